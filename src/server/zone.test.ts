import { spawnSync } from 'node:child_process';
import { bundled } from '../../tests/support/bundle';
import { ownDatabase } from '../../tests/support/database';
import { zoneSchema } from './repositories/settings';

ownDatabase();
const zoned = bundled('tests/support/zoned.ts');

it('the server reckons by the zone of the house, whatever the machine is set to', () => {
  const { stdout, stderr } = spawnSync(process.execPath, [zoned], {
    encoding: 'utf8',
    env: { ...process.env, TZ: 'Asia/Tokyo' },
  });
  expect(stderr).toBe('');
  expect(JSON.parse(stdout)).toEqual({
    before: '2026-11-30 11:30',
    after: ['2026-12-01 00:30', '2026-11-30T11:00:00.000Z'],
    // The day on which the hours change.
    hours: 25,
  });
});

it('a zone that is none of the world is refused', () => {
  expect(zoneSchema.safeParse({ zone: 'Mars/Base' }).success).toBe(false);
  expect(zoneSchema.safeParse({ zone: 'Europe/Berlin' }).success).toBe(true);
});
