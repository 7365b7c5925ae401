import { CONTROLLERS, sourceOf, spellsOf, wantedSpells, type Day, type LampSorts, type Moving } from '@/core';
import { lampName } from '@/messages/names';

/** One row of the chart. */
export type Row = {
  readonly key: string;
  readonly name: string;
  readonly about: string;
  readonly height: number;
} & (
  | {
      readonly form: 'volts';
      readonly values: Float64Array;
      /** Volts at which the chip turns, with their names. */
      readonly turns: readonly { readonly volts: number; readonly name: string }[];
    }
  | { readonly form: 'level'; readonly values: Float64Array }
  | {
      readonly form: 'bars';
      readonly spells: readonly { readonly from: number; readonly to: number; readonly amps: number }[];
      readonly most: number;
      /** When a table wants the lamp lit. */
      readonly wanted?: readonly { readonly from: number; readonly to: number }[];
    }
);

const HEIGHTS = { volts: 74, level: 34, bars: 30 } as const;
/** With two chips the rows are lower, so that all of them stand on one page. */
const LOW = 0.74;

/** A row for what each capacitor does, each output, and each lamp. */
export function rowsOf(
  seen: Moving,
  { timing, pulses, program }: Pick<Day, 'timing' | 'pulses' | 'program'>,
  sorts: LampSorts,
): Row[] {
  if (program) return programRows(seen, program, sorts);
  const { circuit, run } = seen;
  const scale = timing.length > 1 ? LOW : 1;
  const chips = timing.flatMap((times): Row[] => {
    const chip = circuit.parts.find(({ id }) => id === times.chip);
    const capacitor = circuit.parts.find(({ id }) => id === times.parts.c);
    if (!chip || !capacitor) return [];
    const [node, output] = [capacitor.pins['a']!, chip.pins['output']!];
    const turns = [
      { volts: times.upper, name: '⅔' },
      ...(times.form === 'one-shot' ? [] : [{ volts: times.lower, name: '⅓' }]),
    ];
    return [
      {
        key: capacitor.id,
        form: 'volts',
        name: capacitor.id,
        about: 'fills, empties',
        height: HEIGHTS.volts * scale,
        values: run.nodes[node]!,
        turns: timing.length > 1 && times.form === 'one-shot' ? [] : turns,
      },
      {
        key: `${chip.id} output`,
        form: 'level',
        name: timing.length > 1 ? `output ${chip.id}` : 'output',
        about: 'up, down',
        height: HEIGHTS.level * scale,
        values: run.nodes[output]!,
      },
    ];
  });
  const lamps = circuit.parts.flatMap((part): Row[] => {
    if (part.kind === 'led') {
      return [
        bars(seen, part.id, `${part.id} ${lampName(sorts[part.id] ?? '').replace(/ \(.*/u, '')}`, scale),
      ];
    }
    if (part.kind !== 'speaker') return [];
    const values = run.parts[part.id]!.amps;
    return [
      { key: part.id, form: 'level', name: part.id, about: 'current', height: HEIGHTS.volts * scale, values },
    ];
  });
  return [...(pulses ? pulseRows(seen, pulses) : []), ...chips, ...lamps];
}

/** What each lamp does beside what the table wants of it; dimmed ones by the mean of their pulses. */
function programRows(seen: Moving, { table, lamps }: NonNullable<Day['program']>, sorts: LampSorts): Row[] {
  const full = CONTROLLERS[table.board].steps;
  return lamps.map(({ part, column }, i): Row => {
    const name = `${part} ${lampName(sorts[part] ?? '').replace(/ \(.*/u, '')}`;
    const own = column ?? i;
    const whole = table.rows.every(({ steps, fade }) => !fade && (steps[own] === 0 || steps[own] === full));
    if (!whole) {
      const { amps } = seen.run.parts[part]!;
      return { key: part, form: 'level', name, about: 'mean current', height: HEIGHTS.bars, values: amps };
    }
    return { ...bars(seen, part, name, 1), wanted: wantedSpells(table, own, seen.run.ended) };
  });
}

/** What a source of pulses gives and what its lamp has of it, each with the mean that a meter shows. */
function pulseRows({ circuit, run }: Moving, pulses: NonNullable<Day['pulses']>): Row[] {
  const over = (id: string): Float64Array | undefined => {
    const ends = Object.values(circuit.parts.find((part) => part.id === id)?.pins ?? {});
    const [plus, minus] = ends.map((net) => run.nodes[net]);
    return plus?.map((volts, i) => volts - (minus?.[i] ?? 0));
  };
  const row = (id: string, mean: number): Row[] => {
    const values = over(id);
    const turns = [{ volts: mean, name: 'mean' }];
    const shape = { key: `${id} volts`, form: 'volts', height: HEIGHTS.volts, turns } as const;
    return values ? [{ ...shape, name: id, about: 'volts', values }] : [];
  };
  return [
    ...row(sourceOf(circuit)?.id ?? '', pulses.source.mean),
    ...row(pulses.lamp, pulses.lampVolts.mean),
  ];
}

/** Amps from which a spell of light is drawn. */
const LIT_FROM = 2e-4;

function bars({ run }: Moving, id: string, name: string, scale: number): Extract<Row, { form: 'bars' }> {
  const { amps } = run.parts[id]!;
  const spells = spellsOf(run, id).map((spell) => {
    // At a jump two samples stand at one time: only those that are lit belong to the light.
    const inside = amps.filter(
      (value, i) => value >= LIT_FROM && run.time[i]! >= spell.from && run.time[i]! <= spell.to,
    );
    return { ...spell, amps: inside.reduce((sum, value) => sum + value, 0) / Math.max(1, inside.length) };
  });
  const open = lastOpen(run, id);
  const all = open === undefined ? spells : [...spells, { ...open, amps: amps[amps.length - 1]! }];
  const most = amps.reduce((largest, value) => Math.max(largest, value), 0);
  return { key: id, form: 'bars', name, about: 'current', height: HEIGHTS.bars * scale, spells: all, most };
}

/** The light that has not gone out when the run ends. */
function lastOpen({ time, parts }: Moving['run'], id: string): { from: number; to: number } | undefined {
  const { amps } = parts[id]!;
  const end = time.length - 1;
  if (!(amps[end]! >= LIT_FROM)) return undefined;
  let at = end;
  while (at > 0 && amps[at - 1]! >= LIT_FROM) at--;
  return { from: time[at]!, to: time[end]! };
}
