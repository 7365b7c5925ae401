import type { Cause } from '@/core';
import type { Answer } from '@/server/failures';
import type { Attendance, NotedAttendance } from '@/server/repositories/attendance';
import type { NewReading, Reading } from '@/server/repositories/readings';
import type { Bench, Refused } from './bench';
import type { Found } from './useFound';

/** Where a grid's readings come from and go to: a session of the house, or a made-up class in this browser. */
export interface Keeping {
  readonly all: readonly Reading[];
  /** Whether others are heard of; undefined where there are none. */
  readonly live: boolean | undefined;
  /** What was typed and not taken, by `student point`. */
  readonly refused: Readonly<Record<string, Refused>>;
  refuse(cell: string, problem: Refused | undefined): void;
  send(reading: NewReading): void;
  /** What was refused in a cell has been corrected, or left out. */
  settle(studentId: number, point: string): void;
  readonly found: readonly Found[];
  /** @param words what it was, where the lesson knows no such mistake */
  note(studentId: number, cause: Pick<Cause, 'code' | 'data'>, by: string, words?: string): void;
  takeBack(id: number): void;
  /** Who is away, late, or at another's bench. */
  readonly attendance: readonly Attendance[];
  attend(noted: NotedAttendance): void;
  /** Number of the last reading before something was mended at a bench; 0 where nothing was. */
  mended(studentId: number): number;
}

/** An instrument that is read into the cells of a grid. */
export interface GridMeter {
  read(student: Bench, point: string): Promise<Answer<{ readonly typed: string; readonly meter: string }>>;
  /** The probes are held where this cell says. */
  at(student: Bench, point: string): void;
}
