import { luxPerAmp } from '../../answers/beam';
import {
  aimOf,
  inLight,
  lightSums,
  offLux,
  type LightSums,
  type LightWish,
  type OwnLight,
} from '../../answers/lampInLight';
import { seek } from '../../answers/seek';
import { SCENE_LUX } from '../../catalogue/light';
import { neighbours } from '../../catalogue/preferred';
import { valuesOf } from '../../catalogue/shelf';
import { supplyFigures } from '../../catalogue/supplies';
import { TRANSISTORS } from '../../catalogue/transistors';
import { isKind, withPart, type Circuit, type Part, type PartOf } from '../../circuit/circuit';
import type { Lux, Metres } from '../../quantities/units';
import { accepted, finding, refused, type Finding, type Outcome } from '../../findings/finding';
import type { Checkpoint } from '../../observe/checkpoint';
import { steadyCheckpoints } from '../steady/checkpoints';
import type { Design, Means, Pattern } from '../pattern';
import { litLamp, pilotLamp, railOf, switchedOn } from './lamps';
import { lightSwitchParams, type LightSwitchParams } from './params';
import { lightGoals, lightSensorFigures, sensorFindings, sensorRefusals } from '../sensed';
import { finish } from '../steady/finish';
import { circuitFrom, MINUS, resistorPart, supplyPart } from '../steady/parts';
import { toleranceOf } from '../style';
import type { Helper } from '../timed/figures';
import { lightIn } from '../family';
import { supplyRefusals } from '../wishes';

/** Guards the base of a transistor whose sensor may become a few ohms in bright light. */
const GUARD_OHMS = 1e3;
/** Ends between which the resistor beside the sensor is looked for. */
const [LEAST_OHMS, MOST_OHMS] = [10, 1e7];

/** A light sensor and a resistor decide about the base of a transistor, and it about a lamp: on in the dark, or in light. */
export const lightSwitch: Pattern<'light-switch', LightSwitchParams> = {
  id: 'light-switch',
  params: lightSwitchParams,
  board: 'half',
  after: ['single'],
  defaults: (style) => ({
    supply: { kind: 'aa-alkaline', cells: 4, age: style.age },
    lamp: 'white',
    amps: 0.008,
    lit: 'dusk',
    dark: 'classroom',
  }),
  design,
  goals: (sums) => lightGoals(lightIn(sums)),
};

function design(params: LightSwitchParams, means: Means): Outcome<Design> {
  const { shelf, style } = means;
  const { supply, lamp } = params;
  const unfit = refusals(params);
  if (unfit.length > 0) return refused(...unfit);
  const lit = litLamp(params, means);
  if (!lit.ok) return lit;
  const pilot = pilotLamp(params, means);
  if (!pilot.ok) return pilot;
  const tolerance = toleranceOf(style);
  const values = valuesOf(shelf, params.values ?? style.values);
  const guard = neighbours(values, GUARD_OHMS).nearest ?? GUARD_OHMS;
  const circuitWith = (trim: number): Circuit =>
    circuitFrom([
      supplyPart(supply),
      ...pilot.value.before,
      ...lit.value.parts,
      transistorPart(),
      ...sensorParts(params, trim, guard, tolerance),
      ...pilot.value.parts,
    ]);
  const half = lit.value.amps / 2;
  const aimed = inLight(circuitWith(1e4), aimOf(params));
  const exact = seek(aimed, {
    part: 'R2',
    field: 'ohms',
    from: MOST_OHMS,
    to: LEAST_OHMS,
    check: 'lamp',
    target: half,
  });
  if (!exact.ok) return refused(finding('no-switching', { lux: aimOf(params), amps: half }));
  const plain = circuitWith(neighbours(values, exact.value).nearest ?? exact.value);
  const wish = { lit: params.lit, dark: params.dark, half };
  const own =
    params.sees === undefined ? undefined : ownLight(params, lightSums(plain, wish, true), params.sees);
  if (own && !own.ok) return own;
  const circuit = own ? shoneOn(plain, own.value.luxPerAmp) : plain;
  const through = [...Object.keys(switchedOn(params)), ...(params.madeFor === undefined ? ['R1'] : [])];
  const sums = { ...lightSums(circuit, wish, means.brief), through };
  const light = own ? { ...sums, own: heldBy(circuit, own.value, wish, sums.switches.typical) } : sums;
  return finish(
    {
      circuit,
      supply,
      sorts: { D1: lamp, ...pilot.value.sorts },
      strings: [...lit.value.strings, ...pilot.value.strings],
      checkpoints: checkpoints(circuit, params),
      held: { L1: params.lit, ...switchedOn(params) },
      findings: sensorFindings(light),
      own: { family: 'light', light, helpers: helpersOf(circuit) },
    },
    means,
  );
}

/** What the lamp leaves of light on its own sensor; or from how far it must be, for the two lights to stay apart. */
function ownLight(
  { lit, dark, amps: wished }: LightSwitchParams,
  { way, switches, scenes }: LightSums,
  sees: Metres,
): Outcome<OwnLight> {
  const luxPerAmp = luxPerAmpAt(sees);
  const amps = scenes.find(({ scene }) => scene === lit)?.amps ?? wished;
  const least = Math.min(SCENE_LUX[lit], SCENE_LUX[dark]);
  // In the darker of its two scenes its own light must leave the sensor on that side of where it switches.
  const room = ((switches.typical ?? 0) - least) / OWN_MARGIN;
  const lux = luxPerAmp * amps;
  if (lux <= room) return accepted({ metres: sees, luxPerAmp, lux });
  const nearest = room > 0 ? Math.sqrt((luxPerAmpAt(1) * amps) / room) : 0;
  return refused(finding('lights-own-sensor', { metres: sees, lux, way, nearest }));
}

/** The same with the light at which it goes out again, where its own is enough to hold it lit below where it came on. */
function heldBy(
  circuit: Circuit,
  own: OwnLight,
  { lit, dark, half }: LightWish,
  on: Lux | undefined,
): OwnLight {
  const off = SCENE_LUX[lit] > SCENE_LUX[dark] ? offLux(circuit, half) : undefined;
  const holds = off !== undefined && on !== undefined && off < on * (1 - HELD_SHARE);
  return holds ? { ...own, offLux: off } : own;
}

/** Lights nearer to one another than this share are one. */
const HELD_SHARE = 0.005;

/** By so much the light at which it switches stays above what its own lamp and the darker scene make together. */
const OWN_MARGIN = 1.25;

/** A clear lamp without lens or hood, that looks straight at the sensor. */
function luxPerAmpAt(metres: number): number {
  return luxPerAmp({ metres, lens: false });
}

function shoneOn(circuit: Circuit, perAmp: number): Circuit {
  return withPart(circuit, 'L1', (part) =>
    isKind(part, 'ldr')
      ? { ...part, params: { ...part.params, litBy: [{ part: 'D1', luxPerAmp: perAmp }] } }
      : part,
  );
}

/** What the resistors beside the lamp's own are there for. */
function helpersOf({ parts }: Circuit): Helper[] {
  const jobs = { R2: 'sets-light', R3: 'guards-base' } as const;
  return parts.flatMap((part) =>
    isKind(part, 'resistor') && part.id in jobs
      ? [{ part: part.id, ohms: part.params.ohms, job: jobs[part.id as keyof typeof jobs] }]
      : [],
  );
}

function refusals(params: LightSwitchParams): Finding[] {
  const unfit = supplyRefusals(supplyFigures(params.supply).volts);
  return unfit.length > 0 ? unfit : sensorRefusals(params);
}

function transistorPart(): PartOf<'transistor'> {
  return {
    id: 'Q1',
    kind: 'transistor',
    pins: { collector: 'collector', base: 'base', emitter: MINUS },
    params: { polarity: 'npn', ...TRANSISTORS.npn },
  };
}

/** The sensor towards minus lifts the base in the dark; towards plus it lifts it in the light, through a guard. */
function sensorParts(params: LightSwitchParams, trim: number, guard: number, tolerance: number): Part[] {
  const inDark = SCENE_LUX[params.lit] < SCENE_LUX[params.dark];
  const node = inDark ? 'base' : 'sense';
  const sensor: PartOf<'ldr'> = {
    id: 'L1',
    kind: 'ldr',
    pins: inDark ? { a: node, b: MINUS } : { a: railOf(params), b: node },
    params: { ...lightSensorFigures(params), lux: SCENE_LUX[params.lit], litBy: [] },
  };
  return inDark
    ? [resistorPart('R2', railOf(params), node, trim, tolerance), sensor]
    : [
        sensor,
        resistorPart('R2', node, MINUS, trim, tolerance),
        resistorPart('R3', node, 'base', guard, tolerance),
      ];
}

/** In both lights the sensor; where it is lit the lamp and what feeds it, where it is dark the transistor that holds off. */
function checkpoints(circuit: Circuit, params: LightSwitchParams): Checkpoint[] {
  const { lit, dark } = params;
  const on = switchedOn(params);
  const all = steadyCheckpoints(circuit).filter(({ part }) => part !== 'R3');
  const sensor = (id: string): Checkpoint => ({
    id,
    part: 'L1',
    kind: 'ldr',
    measure: 'volts',
    from: { part: 'L1', pin: 'a' },
    to: { part: 'L1', pin: 'b' },
  });
  // Its volts tell that nothing flows; those of the lamp’s resistor would be next to nothing.
  const across: Checkpoint = {
    id: 'Q1 dark',
    part: 'Q1',
    kind: 'transistor',
    measure: 'volts',
    from: { part: 'Q1', pin: 'collector' },
    to: { part: 'Q1', pin: 'emitter' },
  };
  return [
    ...[...all, sensor('L1')].map((point) => ({ ...point, held: { L1: lit, ...on } })),
    ...[sensor('L1 dark'), across].map((point) => ({ ...point, held: { L1: dark, ...on } })),
  ];
}
