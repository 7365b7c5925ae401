'use client';

import { keepZone } from './actions';
import { SettingChoice } from './SettingChoice';

interface Props {
  readonly zone: string | null;
  readonly version: number;
  /** All zones of the world by name. */
  readonly zones: readonly string[];
}

const MACHINE = 'the machine that the program runs on';

/** The zone that days and hours are reckoned by, on every screen and in every file. */
export function Zone({ zone, version, zones }: Props) {
  // A browser may name its zone by another of its names, or be in none: UTC is not listed among the zones.
  const all = [...new Set([...zones, 'UTC', ...(zone === null ? [] : [zone])])].sort();
  const named = all.map((name) => [name, name.replaceAll('_', ' ')] as const);
  return (
    <SettingChoice<string | null>
      id="house-zone"
      title="Days and hours"
      label="are those of"
      value={zone}
      version={version}
      choices={zone === null ? [[null, MACHINE], ...named] : named}
      keep={keepZone}
      shown={(chosen) => [['Days and hours of', chosen ?? MACHINE]]}
    >
      Sessions, readings, ends of codes and backups stand under the days and hours of this zone for everybody,
      wherever they look from.
    </SettingChoice>
  );
}
