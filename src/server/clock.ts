import { formatDistance } from 'date-fns';
import { backupState } from './backup/backUp';
import { database } from './db/connection';

/** A clock that is set right by and by may be a little behind what it said before. */
const SLACK_MS = 10 * 60_000;

/** Why this machine's clock is likely wrong: something here was made later than it is now. Undefined where nothing was. */
export async function clockProblem(now = new Date()): Promise<string | undefined> {
  const row = (await (await database())('readings').orderBy('id', 'desc').first('arrived_at')) as
    { arrived_at: string } | undefined;
  const [backup] = backupState().backups;
  const made = [
    ...(row ? [{ what: 'the newest reading', at: new Date(row.arrived_at) }] : []),
    ...(backup ? [{ what: 'the newest backup', at: new Date(backup.instant) }] : []),
  ];
  const ahead = made.find(({ at }) => at.getTime() > now.getTime() + SLACK_MS);
  if (!ahead) return undefined;
  return `This machine’s clock is behind: ${ahead.what} is ${formatDistance(ahead.at, now)} ahead of it. Set the clock; what is entered meanwhile stands under a wrong time.`;
}
