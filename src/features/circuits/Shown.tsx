'use client';

import { MOST_LINES } from '@/features/charts/LineChart';
import { useFinder } from '@/ui/useFinder';

interface Props {
  readonly legend: string;
  /** Of which chart they are, for those who hear the names of two. */
  readonly chart: string;
  readonly names: readonly string[];
  readonly shown: readonly string[];
  onShow(names: string[]): void;
}

/** Which lines of a chart are shown: at most four, the oldest choice makes room. */
export function Shown({ legend, chart, names, shown, onShow }: Props) {
  const listed = useFinder(names, `names for “${legend}”, ${chart}`, (name) => name);
  const turn = (name: string) =>
    onShow(shown.includes(name) ? shown.filter((n) => n !== name) : [...shown, name].slice(-MOST_LINES));
  return (
    <fieldset className="shown no-print">
      <legend className="soft">{legend}</legend>
      {listed.head}
      {listed.shown.map((name) => (
        <label key={name}>
          <input
            type="checkbox"
            aria-label={`${legend} ${name}, ${chart}`}
            className="form-check-input"
            checked={shown.includes(name)}
            onChange={() => turn(name)}
          />{' '}
          {name}
        </label>
      ))}
      {listed.foot}
    </fieldset>
  );
}
