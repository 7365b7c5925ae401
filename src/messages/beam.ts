import {
  BEAM,
  formatEntered,
  formatOhms,
  formatPercent,
  formatQuantity,
  HOOD_SHARE,
  RESET_VOLTS,
  SCENE_LUX,
  type BeamRow,
  type BeamSums,
} from '@/core';
import { SCENE_WORDS } from './light';
import type { SumLine } from './sumLines';

const L = (lux: number) => formatQuantity(lux, 'lx', 2);
const V = (volts: number) => formatQuantity(volts, 'V', 2);

/** From the lamp to the reset pin, line by line. */
export function beamLines(beam: BeamSums): SumLine[] {
  const { amps, metres, lens, hood, room, whole, cut, switches, sensor, trim, trimOhms, aimLux } = beam;
  const candela = BEAM.candelaPerAmp * amps;
  const gathered = lens ? ` × ${BEAM.lens} by the lens` : '';
  const spread =
    switches.low !== undefined && switches.high !== undefined
      ? `${L(Math.min(switches.low, switches.high))} to ${L(Math.max(switches.low, switches.high))}`
      : 'not with every one';
  return [
    {
      name: 'from the lamp',
      work: `${formatQuantity(candela, 'cd', 2)} at ${formatQuantity(amps, 'A')}${gathered}, over (${formatEntered(metres, 'm')})²`,
      figure: L(whole.lux - cut.lux),
    },
    {
      name: 'from the room',
      work: `${L(SCENE_LUX[room])} ${SCENE_WORDS[room]}${hood ? `, ${formatPercent(HOOD_SHARE)} of it past the hood` : ''}`,
      figure: L(cut.lux),
    },
    {
      name: 'beam whole',
      work: `${L(whole.lux)} on ${sensor}: ${formatQuantity(whole.ohms, 'Ω', 2)} towards minus, ${formatOhms(trimOhms)} towards plus`,
      figure: V(whole.volts),
    },
    {
      name: 'beam cut',
      work: `${L(cut.lux)} on ${sensor}: ${formatQuantity(cut.ohms, 'Ω', 2)}`,
      figure: V(cut.volts),
    },
    {
      name: 'it sounds below',
      work: `where pin 4 reaches ${V(RESET_VOLTS)}; aimed at ${L(aimLux)}, with ${trim} as chosen`,
      figure: switches.typical === undefined ? 'nowhere' : L(switches.typical),
      strong: true,
    },
    {
      name: 'from sensor to sensor',
      work: `${sensor} of the sort, half as many ohms again either way`,
      figure: spread,
    },
  ];
}

/** How far the beam reaches, and the trim that makes any sensor of the sort do. */
export function beamWords({ reach, range, trim, metres }: BeamSums): string {
  const far =
    reach === undefined
      ? ''
      : `The lamp may stand ${formatQuantity(reach, 'm', 2)} away before the alarm sounds by itself; it stands at ${formatEntered(metres, 'm')}. `;
  if (!range) return `${far}No ${trim} makes up for every sensor of the sort.`;
  const pot = range.potentiometer
    ? `; a trim potentiometer of ${formatOhms(range.potentiometer)} covers it`
    : '; no trim potentiometer of the usual values covers it';
  return `${far}For any sensor of the sort, ${trim} lies between ${formatQuantity(range.low, 'Ω', 2)} and ${formatQuantity(range.high, 'Ω', 2)}${pot}.`;
}

/** What becomes of the alarm in one room. */
export function rowWords({ works, whole, cut }: BeamRow): string {
  if (works) return 'silent, and sounds when cut';
  if (whole.volts >= RESET_VOLTS) return 'sounds all the time';
  return cut.volts < RESET_VOLTS ? 'never sounds' : 'too close to tell';
}

export function beamPath({ lamp, sensor, trim }: BeamSums): string {
  return `The lamp’s way: out of plus, through R5 and ${lamp}, back to minus, all the time. Beside it: out of plus, through ${trim} and ${sensor}, back to minus; between these two hangs the reset, pin 4 of U1.`;
}

export function beamTalk({ sensor, trim }: BeamSums): string {
  return `Light makes ${sensor} small, and it pulls pin 4 below ${V(RESET_VOLTS)}: the chip is held and silent. In the dark ${trim} lifts the pin, and the chip is let go.`;
}

export function beamPredictions({ lamp, sensor, hood }: BeamSums): string[] {
  return [
    `A hand is held between ${lamp} and ${sensor}: what is heard, and why?`,
    hood
      ? 'The hood is taken off: what does the alarm do then?'
      : 'A hood is put over the sensor: what changes?',
    `${lamp} breaks in the night: is anybody told?`,
  ];
}

/** How the lamp is set up. */
export function beamLampWords({ metres, sensor, lens }: BeamSums): string {
  return `On two leads: it stands ${formatEntered(metres, 'm')} from ${sensor} and looks at it${lens ? ', through the lens' : ''}. `;
}

/** How the sensor is set up. */
export function beamSensorWords({ lamp, hood }: BeamSums): string {
  return hood
    ? `Either way round is right. Push the hood over it now, and turn it to where ${lamp} will stand: the room’s light must not reach it.`
    : `Either way round is right. Its face looks at ${lamp}.`;
}

/** In which light a part-built alarm is tested: before its lamp stands, only the room's falls on the sensor. */
export function beamGateWords({ sensor, hood, room }: BeamSums): string {
  return `Where ${sensor} is in by now, it stands ${SCENE_WORDS[room]}${hood ? ', under its hood' : ''}.`;
}
