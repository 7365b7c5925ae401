import { saveSetting } from '@/server/repositories/settings';
import { reckonBy, spanOfDay, takeZone } from '@/server/zone';
import { clockTime, dayOf } from '@/ui/dates';

const AT = new Date('2026-11-30T11:30:00.000Z');
const shown = () => `${dayOf(AT)} ${clockTime(AT)}`;

/** What a process of its own shows of an instant, before its house has a zone and after; in a test the process is shared. */
async function main(): Promise<void> {
  reckonBy('UTC');
  await takeZone();
  const before = shown();
  await saveSetting('zone', 0, { zone: 'Pacific/Auckland' });
  await takeZone();
  const after = [shown(), spanOfDay('2026-12-01').from];
  reckonBy('Europe/Berlin');
  const { from, to } = spanOfDay('2026-10-25');
  console.log(
    JSON.stringify({ before, after, hours: Math.round((Date.parse(to) - Date.parse(from)) / 3_600_000) }),
  );
  process.exit(0);
}

void main();
