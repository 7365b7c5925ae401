'use client';

import { keepPictureDays } from './actions';
import { SettingChoice } from './SettingChoice';

const CHOICES = [1, 7, 30, 90, 365];

/** For how long pictures of benches are kept. */
export function Pictures({ days, version }: { days: number; version: number }) {
  const choices = CHOICES.includes(days) ? CHOICES : [...CHOICES, days].sort((a, b) => a - b);
  return (
    <SettingChoice
      id="picture-days"
      title="Pictures of benches"
      label="are kept for"
      value={days}
      version={version}
      choices={choices.map((many) => [many, many === 1 ? 'a day' : `${many} days`])}
      keep={keepPictureDays}
      shown={(many) => [['Pictures are kept for, days', String(many)]]}
    >
      They stay on this machine, shrunk and without place or device. Then they go by themselves; in backups
      they stay until those are let go.
    </SettingChoice>
  );
}
