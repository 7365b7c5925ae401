import { z } from 'zod';
import { thresholds } from '../../answers/thresholds';
import { LAMP_TYPES, type LampType } from '../../catalogue/lamps';
import { valuesOf } from '../../catalogue/shelf';
import { supplyFigures } from '../../catalogue/supplies';
import {
  ZENER_TOLERANCE,
  ZENER_TYPES,
  ZENERS,
  type ZenerFigures,
  type ZenerType,
} from '../../catalogue/zeners';
import type { Part, PartOf } from '../../circuit/circuit';
import { THERMAL_VOLTS } from '../../quantities/constants';
import { Junction } from '../../devices/junction';
import { finding, refused, type Finding, type Outcome } from '../../findings/finding';
import type { Goal } from '../goal';
import type { Design, Means, Pattern } from '../pattern';
import { choose } from '../steady/choose';
import { ampsOf } from '../steady/bank';
import type { LessonSums, StringSum } from '../steady/figures';
import type { RungRow } from '../steady/rows';
import { finish } from '../steady/finish';
import { circuitFrom, lampPart, MINUS, PLUS, resistorPart, supplyPart } from '../steady/parts';
import { toleranceOf } from '../style';
import { sumsIn } from '../family';
import { ampsSchema, choiceOverrides, supplyRefusals, supplySchema } from '../wishes';

/** At this current a rung counts as lit. */
export const LIT_AMPS = 1e-3;

export const gaugeParams = z.strictObject({
  supply: supplySchema,
  rungs: z
    .array(z.strictObject({ lamp: z.enum(LAMP_TYPES), volts: z.number().min(3).max(24) }))
    .min(2)
    .max(6)
    .readonly(),
  /** Current of the first rung at a fresh supply: the most that any lamp carries. */
  amps: ampsSchema,
  ...choiceOverrides,
});
export type GaugeParams = z.output<typeof gaugeParams>;

/** A battery gauge: rungs of zener, resistor and lamp on one bus, lit while a button is held. */
export const gauge: Pattern<'gauge', GaugeParams> = {
  id: 'gauge',
  params: gaugeParams,
  board: 'full',
  after: ['strings'],
  goals,
  defaults: (style) => ({
    supply: { kind: 'lead-acid-12v', cells: 1, age: 'fresh' },
    rungs: [
      { lamp: 'red', volts: 10.5 },
      { lamp: 'yellow', volts: 11 },
      { lamp: 'yellow-green', volts: 12 },
    ],
    amps: style.amps,
  }),
  design,
};

/** The lamps come on one after another as the volts rise. */
function goals(sums: LessonSums): Goal[] {
  const { rungs } = sumsIn(sums, 'gauge') ?? { rungs: [] };
  const late = rungs.filter(
    (rung, i) => i > 0 && !((rungs[i - 1]!.lit ?? Infinity) < (rung.lit ?? Infinity)),
  );
  return [{ code: 'lights-in-order', met: late.length === 0, parts: late.map(({ lamp }) => lamp) }];
}

function design(params: GaugeParams, means: Means): Outcome<Design> {
  const fresh = supplyFigures(params.supply, 'fresh');
  const unfit = supplyRefusals(fresh.volts);
  if (unfit.length) return refused(...unfit);
  const rungs: Rung[] = [];
  for (const [i, wish] of params.rungs.entries()) {
    const rung = rungFor(i, wish, fresh.volts, params, means);
    if (!rung.ok) return rung;
    rungs.push(rung.value);
  }
  const button: PartOf<'switch'> = {
    id: 'S1',
    kind: 'switch',
    pins: { a: PLUS, b: 'bus' },
    params: { closed: true },
  };
  const circuit = circuitFrom([supplyPart(params.supply), button, ...rungs.flatMap(({ parts }) => parts)]);
  const sorts = Object.fromEntries(rungs.map(({ lamp, type }) => [lamp, type]));
  const found = thresholds(circuit, 'B1', LIT_AMPS, 1, 24);
  if (!found.ok) return found;
  const made = finish({ circuit, supply: params.supply, sorts, strings: rungs.map(({ sum }) => sum) }, means);
  if (!made.ok) return made;
  const freshRow = made.value.sums.ages[0]!;
  const rows = rungs.map(({ lamp, zener }, i): RungRow => {
    const lit = found.value.find((threshold) => threshold.lamp === lamp)?.volts;
    const fullAmps = freshRow.lamps.find((figure) => figure.part === lamp)!.amps;
    const row = { lamp, zener, wanted: params.rungs[i]!.volts, fullAmps };
    return lit === undefined ? row : { ...row, lit };
  });
  const findings = [...alike(rows), ...made.value.findings];
  const sums: LessonSums = { ...made.value.sums, own: { family: 'gauge', rungs: rows } };
  return { ...made, value: { ...made.value, findings, sums } };
}

/** Volts by which two rungs must differ to tell anything apart. */
const APART = 0.3;

/** Neighbouring rungs that light together. */
function alike(rows: readonly RungRow[]): Finding[] {
  const lit = rows.filter(({ lit: volts }) => volts !== undefined).sort((a, b) => a.lit! - b.lit!);
  return lit
    .slice(1)
    .flatMap((row, i) =>
      row.lit! - lit[i]!.lit! < APART
        ? [finding('rungs-alike', { first: lit[i]!.lamp, second: row.lamp, volts: row.lit! }, 'warning')]
        : [],
    );
}

interface Rung {
  readonly lamp: string;
  readonly type: LampType;
  readonly zener: ZenerType;
  readonly sum: StringSum;
  readonly parts: readonly Part[];
}

/** The zener whose knee with the lamp on top comes closest to the wanted volts, and the resistor for the top current. */
function rungFor(
  index: number,
  wish: GaugeParams['rungs'][number],
  freshVolts: number,
  params: GaugeParams,
  { shelf, style }: Means,
): Outcome<Rung> {
  const figures = shelf.lamps[wish.lamp];
  const junction = new Junction(figures);
  const kneeWith = (type: ZenerType, ohms: number) =>
    zenerVoltsAt(ZENERS[type], LIT_AMPS) + junction.voltsAt(LIT_AMPS) + LIT_AMPS * ohms;
  const values = valuesOf(shelf, params.values ?? style.values);
  const options = ZENER_TYPES.flatMap((zener) => {
    const headroom = freshVolts - ZENERS[zener].vz - junction.voltsAt(params.amps);
    const exact = Math.max(headroom / params.amps, GUARD_OHMS);
    const ampsWith = (ohms: number) => ampsOf([junction], freshVolts - ZENERS[zener].vz, ohms);
    const chosen = choose(params.rounding ?? style.rounding, values, exact, params.amps, ampsWith);
    return chosen === undefined ? [] : [{ zener, chosen, exact, knee: kneeWith(zener, chosen) }];
  });
  const best = options.reduce<(typeof options)[0] | undefined>(
    (a, b) => (!a || Math.abs(b.knee - wish.volts) < Math.abs(a.knee - wish.volts) ? b : a),
    undefined,
  );
  if (!best || Math.abs(best.knee - wish.volts) > KNEE_SLACK) {
    return refused(finding('no-zener', { volts: wish.volts, lamp: wish.lamp }));
  }
  const n = index + 1;
  const [z, r, d] = [`Z${n}`, `R${n}`, `D${n}`];
  const lampVolts = junction.voltsAt(params.amps);
  const voltsLeft = freshVolts - lampVolts - ZENERS[best.zener].vz;
  const lamps = [{ part: d, type: wish.lamp, volts: lampVolts }];
  const tolerance = toleranceOf(style);
  const zenerPart: PartOf<'zener'> = {
    id: z,
    kind: 'zener',
    // It is used in reverse: the banded end towards plus.
    pins: { anode: `${z}.1`, cathode: 'bus' },
    params: { ...ZENERS[best.zener], tolerance: ZENER_TOLERANCE } as PartOf<'zener'>['params'],
  };
  return {
    ok: true,
    findings: [],
    value: {
      lamp: d,
      type: wish.lamp,
      zener: best.zener,
      sum: {
        resistor: r,
        alike: [r],
        lamps,
        wanted: params.amps,
        lampVolts,
        zener: { part: z, volts: ZENERS[best.zener].vz },
        voltsLeft,
        lessOhms: 0,
        exactOhms: best.exact,
        ...(best.exact > voltsLeft / params.amps ? { guardOhms: GUARD_OHMS } : {}),
        chosen: best.chosen,
      },
      parts: [
        zenerPart,
        resistorPart(r, `${z}.1`, `${z}.2`, best.chosen, tolerance),
        lampPart(d, `${z}.2`, MINUS, figures),
      ],
    },
  };
}

/** Reverse volts of a zener at a current, off its exponential knee. */
function zenerVoltsAt({ vz, iz, nz, rz }: ZenerFigures, amps: number): number {
  return vz - nz * THERMAL_VOLTS * Math.log(iz / amps) - rz * (iz - amps);
}

/** Even where almost no volts are left, a resistor guards the lamp. */
const GUARD_OHMS = 47;
/** Volts that a rung may lie beside its wish before it is called impossible. */
const KNEE_SLACK = 0.6;
