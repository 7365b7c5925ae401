import { formatHours, formatPercent, formatQuantity, GLOW_AMPS, type PulseSums } from '@/core';
import { SUPPLY_NAMES } from './names';
import type { SumLine } from './sumLines';

const V = (volts: number) => formatQuantity(volts, 'V', 3);
const A = (amps: number) => formatQuantity(amps, 'A', 3);
const S = (seconds: number) => formatQuantity(seconds, 's', 3);

/** Peak and mean of a lamp on pulses, line by line, and why it lights at volts that it does not light at. */
export function pulseLines(pulses: PulseSums): SumLine[] {
  const { hertz, duty, up, lamp, lampVolts, amps, source } = pulses;
  const share = formatPercent(duty);
  return [
    { name: 'once round', work: `1 ÷ ${formatQuantity(hertz, 'Hz')}`, figure: S(1 / hertz) },
    { name: 'a pulse lasts', work: `${share} of it`, figure: S(up) },
    { name: `${lamp} while it lasts`, work: `at ${V(lampVolts.peak)} across it`, figure: A(amps.peak) },
    {
      name: 'its mean',
      work: `${share} of ${A(amps.peak)}, and nothing for the rest`,
      figure: A(amps.mean),
      strong: true,
    },
    {
      name: `a meter across ${lamp} shows`,
      work: `the mean: ${share} of ${V(lampVolts.peak)}`,
      figure: V(lampVolts.mean),
      strong: true,
    },
    {
      name: 'and at the source',
      work: `the mean: ${share} of ${V(source.peak)}`,
      figure: V(source.mean),
    },
  ];
}

/** Why a lamp lights at volts that would leave it dark. */
export function whyItLights({ lamp, lampVolts, amps, steadyAmps, hertz }: PulseSums): string {
  const seen = hertz >= 50 ? 'the eye sees one steady light, as bright as the mean' : 'the eye sees flashes';
  const steady =
    steadyAmps < GLOW_AMPS
      ? `Steady ${V(lampVolts.mean)} would leave ${lamp} dark.`
      : `At steady ${V(lampVolts.mean)} ${lamp} would carry ${A(steadyAmps)}, not ${A(amps.mean)}.`;
  return `${steady} It lights because it never has ${V(lampVolts.mean)}: it has ${V(lampVolts.peak)} and ${A(amps.peak)}, or nothing. The meter is too slow to follow and shows the mean; ${seen}.`;
}

/** What the cell behind the booster gives for it, at best. */
export function cellLines({ watts, cell }: PulseSums): SumLine[] {
  const name = SUPPLY_NAMES[cell.kind].one;
  return [
    {
      name: 'power of the pulses',
      work: 'the mean of volts × amps at every instant',
      figure: formatQuantity(watts, 'W', 3),
    },
    {
      name: `out of the ${name}, at least`,
      work: `divided by its ${V(cell.volts)}; a booster loses some and takes more`,
      figure: A(cell.ampsLeast),
    },
    ...(cell.hoursMost === undefined
      ? []
      : [
          {
            name: 'so it lasts, at most',
            work: `one ${name} from full`,
            figure: formatHours(cell.hoursMost),
          },
        ]),
  ];
}

/** What may be asked before a lamp on pulses is switched on. */
export function pulsePredictions({ lamp, lampVolts, duty }: PulseSums): string[] {
  return [
    `What does the meter read across ${lamp}: more or less than the ${V(lampVolts.peak)} that it needs?`,
    `The pulses are made half as long (${formatPercent(duty / 2)} of the time): what does the eye see, and what the meter?`,
    'The rate is made ten times as high: what changes?',
  ];
}

/** The mean, traced aloud with this lesson's own figures. */
export function pulseTalk({ duty, lampVolts, amps }: PulseSums): string {
  const share = formatPercent(duty);
  return `${share} × ${V(lampVolts.peak)} = ${V(lampVolts.mean)}, which the meter shows; ${share} × ${A(amps.peak)} = ${A(amps.mean)}, which the eye goes by.`;
}
