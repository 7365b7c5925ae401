import type { PatternId } from '@/core';

/** A group that the lesson can be given to. */
export interface GroupChoice {
  readonly id: number;
  readonly name: string;
  readonly students: number;
}

/** A session that the lesson was given for. */
export interface GivenSession {
  readonly id: number;
  readonly groupId: number;
  readonly groupName: string;
  readonly onDate: string;
}

/** Another lesson of the same course. */
export interface CourseLesson {
  readonly id: number;
  readonly title: string;
  readonly pattern: PatternId;
  /** Place in the course, from 1. */
  readonly place: number;
}
