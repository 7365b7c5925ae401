/** A group that the lesson can be given to. */
export interface GroupChoice {
  readonly id: number;
  readonly name: string;
  readonly students: number;
}

/** A session that the lesson was given for. */
export interface GivenSession {
  readonly id: number;
  readonly groupName: string;
  readonly onDate: string;
}
