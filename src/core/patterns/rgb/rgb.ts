import { legsOfColour, type RgbColour, RGB_COLOURS } from './legs';
import { neighbours } from '../../catalogue/preferred';
import { valuesOf } from '../../catalogue/shelf';
import { supplyFigures } from '../../catalogue/supplies';
import type { Part, PartOf } from '../../circuit/circuit';
import { Junction } from '../../devices/junction';
import { finding, refused, type Outcome } from '../../findings/finding';
import type { Design, Means, Pattern } from '../pattern';
import { choose } from '../steady/choose';
import { ampsOf } from '../steady/bank';
import { POTENTIOMETERS } from '../../catalogue/potentiometers';
import type { StringSum } from '../steady/figures';
import type { AgeRow } from '../steady/ages';
import { allLit } from '../goal';
import type { MixSums } from './mix';
import { rgbParams, type RgbParams } from './params';
import { designPulses } from './pulses';
import { finish } from '../steady/finish';
import { circuitFrom, lampPart, MINUS, PLUS, resistorPart, supplyPart } from '../steady/parts';
import { judgeWay } from '../steady/ways';
import { toleranceOf } from '../style';
import { sumsIn } from '../family';
import { supplyRefusals } from '../wishes';

/** A three-colour lamp with a resistor for each colour, fixed, turned by hand or on pulses; or one shared, to show why not. */
export const rgb: Pattern<'rgb', RgbParams> = {
  id: 'rgb',
  params: rgbParams,
  board: 'half',
  after: ['strings', 'hogging'],
  withWay: (params, { kind }) =>
    kind === 'own' || kind === 'shared' ? { ...params, resistors: kind } : undefined,
  defaults: (style) => ({
    supply: { kind: 'usb', cells: 1, age: 'nominal' },
    common: 'cathode',
    drive: 'fixed',
    resistors: 'own',
    amps: { red: style.amps, green: style.amps / 2, blue: style.amps / 2 },
    knobs: { red: 0, green: 0.3, blue: 0.6 },
  }),
  design,
  goals: (sums) => {
    const mix = sumsIn(sums, 'mix')?.mix;
    return sums.ages.map((row) => allLit(mix ? litOf(row, mix) : row));
  },
};

/** A mix wants only some of its lamps lit. */
function litOf(row: AgeRow, { lamps }: MixSums): AgeRow {
  const dark = new Set(lamps.filter(({ step }) => step === 0).map(({ part }) => part));
  return { ...row, lamps: row.lamps.filter(({ part }) => !dark.has(part)) };
}

/** Current with the knob fully down: a lamp still glows faintly there. */
const LOW_AMPS = 1e-4;

function design(params: RgbParams, means: Means): Outcome<Design> {
  if (params.drive === 'pulses') return designPulses(params, means);
  const supply = supplyFigures(params.supply);
  const unfit = supplyRefusals(supply.volts);
  if (unfit.length) return refused(...unfit);
  const sums = sumsFor(params, means);
  if (!sums.ok) return sums;
  const own = partsFor(params, sums.value, means);
  if (!own.ok) return own;
  const circuit = circuitFrom([supplyPart(params.supply), ...own.value]);
  const sorts = Object.fromEntries(RGB_COLOURS.map((colour) => [lampId(colour), colour]));
  const { supply: choice } = params;
  const kind = params.resistors === 'own' ? ('own' as const) : ('shared' as const);
  const other = params.resistors === 'own' ? 'shared' : 'own';
  const compared = otherWay({ ...params, resistors: other, drive: 'fixed' }, means);
  const way = { ...judgeWay({ kind, length: 1, supply: choice, circuit, sorts }, means), taken: true };
  const ways = [
    way,
    ...compared.map((c) => judgeWay({ kind: other, length: 1, supply: choice, circuit: c, sorts }, means)),
  ];
  const findings = params.resistors === 'shared' ? way.why : [];
  return finish({ circuit, supply: choice, sorts, strings: sums.value, findings, ways }, means);
}

function otherWay(params: RgbParams, means: Means) {
  const sums = sumsFor(params, means);
  const parts = sums.ok ? partsFor(params, sums.value, means) : sums;
  return parts.ok ? [circuitFrom([supplyPart(params.supply), ...(parts.value as readonly Part[])])] : [];
}

function lampId(colour: RgbColour): string {
  return `D1${colour.charAt(0)}`;
}

function sumsFor(params: RgbParams, { shelf, style }: Means): Outcome<StringSum[]> {
  const { volts, ohms } = supplyFigures(params.supply);
  const total = RGB_COLOURS.reduce((sum, colour) => sum + params.amps[colour], 0);
  const values = valuesOf(shelf, params.values ?? style.values);
  const sums: StringSum[] = [];
  for (const [i, type] of RGB_COLOURS.entries()) {
    const wanted = params.resistors === 'shared' ? total : params.amps[type];
    const junction = new Junction(shelf.lamps[type]);
    const lampVolts = junction.voltsAt(params.amps[type]);
    const voltsLeft = volts - lampVolts;
    const lessOhms = (total * ohms) / wanted;
    const exactOhms = voltsLeft / wanted - lessOhms;
    if (exactOhms <= 0) {
      const needVolts = lampVolts + total * ohms;
      const amps = ampsOf([junction], volts, ohms);
      return refused(finding('cannot-light', { supply: volts, lampVolts, lamp: type, amps, needVolts }));
    }
    const ampsWith = (value: number) => ampsOf([junction], volts, value + ohms);
    const chosen = choose(params.rounding ?? style.rounding, values, exactOhms, wanted, ampsWith);
    if (chosen === undefined) {
      return refused(finding('no-resistor-in-drawer', { ohms: exactOhms, largest: Math.max(...values) }));
    }
    const resistor = `R${i + 1}`;
    const lamps = [{ part: lampId(type), type, volts: lampVolts }];
    const alike = [resistor];
    sums.push({ resistor, alike, lamps, wanted, lampVolts, voltsLeft, lessOhms, exactOhms, chosen });
  }
  // One resistor for all three is sized for the colour that leaves the most volts: red.
  const value = params.resistors === 'shared' ? sums.slice(0, 1) : sums;
  return { ok: true, value, findings: [] };
}

function partsFor(params: RgbParams, sums: readonly StringSum[], { shelf, style }: Means): Outcome<Part[]> {
  const cathode = params.common === 'cathode';
  const far = cathode ? MINUS : PLUS;
  const near = cathode ? PLUS : MINUS;
  const shared = params.resistors === 'shared';
  const tolerance = toleranceOf(style);
  const resistorOf = (id: string, from: string, to: string, ohms: number) =>
    cathode ? resistorPart(id, from, to, ohms, tolerance) : resistorPart(id, to, from, ohms, tolerance);
  const parts: Part[] = [];
  const lamps: Part[] = [];
  const { volts } = supplyFigures(params.supply);
  for (const [i, colour] of RGB_COLOURS.entries()) {
    const sum = sums[shared ? 0 : i]!;
    const turned = params.drive === 'potentiometer' && !shared;
    const leg = shared ? 'joined' : `${colour} leg`;
    if (!shared) parts.push(resistorOf(`R${i + 1}`, near, turned ? `${colour} knob` : leg, sum.chosen));
    if (turned) {
      const drop = new Junction(shelf.lamps[colour]).voltsAt(LOW_AMPS);
      const whole = (volts - drop) / LOW_AMPS - sum.chosen;
      const ohms = neighbours(POTENTIOMETERS, Math.min(whole, 4.7e4)).up;
      if (ohms === undefined) return refused(finding('no-potentiometer', { ohms: whole }));
      parts.push({
        id: `P${i + 1}`,
        kind: 'potentiometer',
        pins: { a: `${colour} knob`, wiper: leg, b: leg },
        params: { ohms, tolerance: 0.2, position: params.knobs[colour] },
      });
    }
    const part = cathode
      ? lampPart(lampId(colour), leg, far, shelf.lamps[colour])
      : lampPart(lampId(colour), far, leg, shelf.lamps[colour]);
    lamps.push(inBody(part, colour, cathode));
  }
  if (shared) parts.push(resistorOf('R1', near, 'joined', sums[0]!.chosen));
  return { ok: true, value: [...parts, ...lamps], findings: [] };
}

function inBody(part: PartOf<'led'>, colour: RgbColour, commonCathode: boolean): PartOf<'led'> {
  return { ...part, body: { id: 'D1', legs: legsOfColour(colour, commonCathode) } };
}
