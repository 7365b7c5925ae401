import { judgedByNow } from './judgedBy';
import { listenTo } from './live';
import { attendanceOf } from './repositories/attendance';
import { foundIn } from './repositories/foundFaults';
import { readingsAfter, type LiveReading } from './repositories/readings';
import { rosterTag } from './roster';

/** One who follows a session. */
export class Follower {
  private readonly told = new Map<string, string>();

  /** @param after number of the last reading that was heard of */
  constructor(
    public after: number,
    private readonly hear: (text: string) => void,
  ) {}

  reading(row: LiveReading): void {
    if (row.id <= this.after) return;
    this.after = row.id;
    this.hear(`id: ${row.id}\ndata: ${JSON.stringify(row)}\n\n`);
  }

  /** What is told whole, where it is another than before. */
  whole(event: string, now: string): void {
    if (this.told.get(event) === now) return;
    this.told.set(event, now);
    this.hear(`event: ${event}\ndata: ${now}\n\n`);
  }
}

/** What happens within so short a time is told together, after whoever wrote it has been answered. */
const TOGETHER_MS = 20;
/** Where nobody told of it, another program may have added something. */
const LOOK_MS = 5_000;

/** What is told whole, whenever it is another. */
const WHOLE: Readonly<Record<string, (sessionId: number) => Promise<string>>> = {
  found: foundNow,
  attendance: async (id) => JSON.stringify(await attendanceOf(id)),
  roster: rosterTag,
  'judged-by': judgedByNow,
};

/** All that was found wrong in a session, as text. */
async function foundNow(sessionId: number): Promise<string> {
  const all = await foundIn(sessionId);
  return JSON.stringify(all.map(({ id, studentId, words, after }) => ({ id, studentId, words, after })));
}

/** What is new in one session, looked up once for all who follow it. */
class Feed {
  private readonly all = new Set<Follower>();
  /** Those who have heard of all that was told to the others. */
  private readonly upToDate = new Set<Follower>();
  private isLooking = false;
  private again = false;
  private timer: NodeJS.Timeout | undefined;
  private readonly look = setInterval(() => this.changed(), LOOK_MS);
  private readonly leave: () => void;

  constructor(
    private readonly sessionId: number,
    private readonly onEmpty: () => void,
  ) {
    this.leave = listenTo(sessionId, () => this.changed());
  }

  /** Takes one in who is told of all that came after their last, and of everything from then on. */
  join(follower: Follower): void {
    this.all.add(follower);
    void this.catchUp(follower);
  }

  drop(follower: Follower): void {
    this.all.delete(follower);
    this.upToDate.delete(follower);
    if (this.all.size > 0) return;
    this.leave();
    clearInterval(this.look);
    clearTimeout(this.timer);
    this.onEmpty();
  }

  private async catchUp(follower: Follower): Promise<void> {
    try {
      let rows: LiveReading[];
      do {
        rows = await readingsAfter(this.sessionId, follower.after);
        if (!this.all.has(follower)) return;
        for (const row of rows) follower.reading(row);
        // Others may have been told of newer ones meanwhile.
      } while (rows.length > 0);
      for (const [event, now] of await wholeNow(this.sessionId)) follower.whole(event, now);
    } catch {
      // As when the database is locked: it is tried again.
      setTimeout(() => void (this.all.has(follower) && this.catchUp(follower)), LOOK_MS);
      return;
    }
    if (!this.all.has(follower)) return;
    this.upToDate.add(follower);
    this.changed();
  }

  private changed(): void {
    this.again = true;
    this.timer ??= setTimeout(() => {
      this.timer = undefined;
      // Whatever went wrong is looked up again in a while.
      if (!this.isLooking) void this.lookUp().catch(() => undefined);
    }, TOGETHER_MS);
  }

  private async lookUp(): Promise<void> {
    this.isLooking = true;
    try {
      while (this.again && this.upToDate.size > 0) {
        this.again = false;
        const heard = Math.min(...[...this.upToDate].map(({ after }) => after));
        const rows = await readingsAfter(this.sessionId, heard);
        for (const follower of this.upToDate) for (const row of rows) follower.reading(row);
        const whole = await wholeNow(this.sessionId);
        for (const follower of this.upToDate) for (const [event, now] of whole) follower.whole(event, now);
      }
    } finally {
      this.isLooking = false;
    }
  }
}

function wholeNow(sessionId: number): Promise<(readonly [string, string])[]> {
  return Promise.all(
    Object.entries(WHOLE).map(async ([event, now]) => [event, await now(sessionId)] as const),
  );
}

const held = globalThis as { mivvetFeeds?: Map<number, Feed> };

/** Follows a session. @returns ends the following */
export function follow(sessionId: number, follower: Follower): () => void {
  const feeds = (held.mivvetFeeds ??= new Map());
  let feed = feeds.get(sessionId);
  if (!feed) {
    feed = new Feed(sessionId, () => feeds.delete(sessionId));
    feeds.set(sessionId, feed);
  }
  const own = feed;
  own.join(follower);
  return () => own.drop(follower);
}
