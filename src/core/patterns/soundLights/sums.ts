import type { Circuit } from '../../circuit/circuit';
import { playing } from '../../circuit/soundLead';
import { accepted, type Outcome } from '../../findings/finding';
import { GLOW_AMPS, lampsSeen } from '../../observe/looks';
import type { Observation } from '../../observe/observation';
import { observe, reportOf } from '../../observe/observe';
import { withHeld } from '../../observe/held';
import type { Amps, Hertz, Ohms, Volts } from '../../quantities/units';
import { BANDS, tonesOf, type Band, type SoundLightsParams } from './params';

/** One channel: what it lets through, and what its lamps do at every tone. */
export interface SoundChannel {
  readonly band: Band;
  readonly tone: Hertz;
  readonly lamps: readonly string[];
  /** The lamps' own resistor, what switches them, and what keeps that off. */
  readonly resistor: string;
  readonly transistor: string;
  readonly pull: { readonly part: string; readonly ohms: Ohms };
  /** What its filter lets through: from and to these corners, each with the parts that make it. */
  readonly from?: Corner;
  readonly to?: Corner;
  /** Mean current of its lamps at each channel's tone. */
  readonly at: Readonly<Record<Band, Amps>>;
  /** The most that they carry at any instant of their own tone. */
  readonly peak: Amps;
}

/** Where a resistor and a capacitor let through seven tenths. */
export interface Corner {
  readonly hertz: Hertz;
  /** The bound that was wished there; the lowest corner has none. */
  readonly wished?: Hertz;
  readonly resistors: readonly string[];
  readonly ohms: Ohms;
  readonly capacitor: string;
  readonly farads: number;
}

/** From the sound lead to the lamps. */
export interface SoundSums {
  readonly lead: string;
  readonly level: Volts;
  /** The first stage: in silence, and how far its collector swings from its lowest to its highest at each tone. */
  readonly stage: {
    readonly transistor: string;
    readonly load: string;
    readonly loadOhms: Ohms;
    readonly mixOhms: Ohms;
    readonly feedOhms: Ohms;
    /** Ends of the supply, the collector and the base in silence. */
    readonly supplyVolts: Volts;
    readonly volts: Volts;
    readonly baseVolts: Volts;
    readonly amps: Amps;
    readonly swing: Readonly<Record<Band, Volts>>;
  };
  readonly channels: readonly SoundChannel[];
  /** Lamps that are not dark in silence. */
  readonly litInSilence: readonly string[];
}

/** Nets of the first stage. */
export const HUB = 'hub';
export const INPUT_BASE = 'base';

/** A channel before it has been observed. */
export type PlannedChannel = Omit<SoundChannel, 'at' | 'peak'>;

interface Planned extends Pick<SoundSums, 'lead' | 'level'> {
  readonly stage: Pick<SoundSums['stage'], 'transistor' | 'load' | 'loadOhms' | 'mixOhms' | 'feedOhms'>;
  readonly channels: readonly PlannedChannel[];
}

/** The circuit in silence and at the tone of each channel. */
export function soundSums(
  circuit: Circuit,
  planned: Planned,
  { bounds }: Pick<SoundLightsParams, 'bounds'>,
): Outcome<SoundSums> {
  const silent = observe(circuit);
  if (!silent.ok) return silent;
  const tones = tonesOf(bounds);
  const heard = {} as Record<Band, Observation>;
  for (const band of BANDS) {
    const seen = observe(withHeld(circuit, playing(planned.lead, tones[band])));
    if (!seen.ok) return seen;
    heard[band] = seen.value;
  }
  const over = <T>(of: (seen: Observation) => T) =>
    Object.fromEntries(BANDS.map((band) => [band, of(heard[band])])) as Record<Band, T>;
  const { nodes } = silent.value;
  return accepted({
    ...planned,
    stage: {
      ...planned.stage,
      supplyVolts: nodes['plus'] ?? 0,
      volts: nodes[HUB] ?? 0,
      baseVolts: nodes[INPUT_BASE] ?? 0,
      amps: reportOf(silent.value, planned.stage.load).amps,
      swing: over((seen) => swingOf(seen, HUB)),
    },
    channels: planned.channels.map((channel): SoundChannel => {
      const lamp = channel.lamps[0]!;
      return {
        ...channel,
        at: over((seen) => Math.max(0, reportOf(seen, lamp).amps)),
        peak: lampsSeen(heard[channel.band]).find(({ part }) => part === lamp)?.peak ?? 0,
      };
    }),
    litInSilence: lampsSeen(silent.value)
      .filter(({ amps }) => amps >= GLOW_AMPS)
      .map(({ part }) => part),
  });
}

/** From the lowest to the highest volts of a node, once it has settled. */
function swingOf(seen: Observation, net: string): Volts {
  if (seen.kind === 'still') return 0;
  const { run, window } = seen;
  let [low, high] = [Infinity, -Infinity];
  run.nodes[net]?.forEach((volts, i) => {
    if (run.time[i]! < window[0]) return;
    low = Math.min(low, volts);
    high = Math.max(high, volts);
  });
  return high > low ? high - low : 0;
}
