import { isKind, type Circuit, type PartOf } from '../../circuit/circuit';
import type { Checkpoint, Held } from '../../observe/checkpoint';
import { sourceOf } from '../../circuit/source';
import { firstOf } from '../../parts/index';

/** Lamps that are counted and measured one by one. */
const LAMPS_MOST = 4;

interface Wanted {
  /** How it is counted or timed: flashes of lamps, the length of one light, or the pitch. */
  readonly by: 'flashes' | 'stopwatch' | 'pitch' | 'means';
  /** Flashes are counted at these lamps; left out, at the first. */
  readonly lamps?: readonly string[];
  readonly held?: Held;
  /** Its lamps flash in bursts: they are counted within one. */
  readonly pauses?: boolean;
  /** Lamps that are probed as well: what their mean is, is told. */
  readonly across?: readonly string[];
}

/**
 * What a beginner can measure of a build that moves: how often it comes on, how long one light lasts, and the means that
 * a meter shows of the supply, of every chip's output and of the lamps' resistors. What waits for its button is measured
 * while that is held, and timed after a press.
 */
export function timedCheckpoints(
  circuit: Circuit,
  { by, lamps, held, pauses, across = [] }: Wanted,
): Checkpoint[] {
  const all = circuit.parts.filter((part) => isKind(part, 'led'));
  const counted = by === 'means' ? [] : all.filter(({ id }) => lamps?.includes(id) ?? id === all[0]?.id);
  const supply = sourceOf(circuit)!;
  const chips = circuit.parts.filter((part) => isKind(part, 'timer'));
  const hands = held ? { held } : {};
  const probed = (id: string, part: { id: string; kind: Checkpoint['kind'] }, from: string, to: string) =>
    ({
      id,
      part: part.id,
      kind: part.kind,
      measure: by === 'stopwatch' ? 'volts' : 'meanVolts',
      from: { part: part.id, pin: from },
      to: { part: part.id, pin: to },
      ...hands,
    }) as const satisfies Checkpoint;
  const speaker = firstOf(circuit, 'speaker');
  const watched: Checkpoint[] =
    by === 'pitch' && speaker
      ? [{ id: 'pitch', part: speaker.id, kind: 'speaker', measure: 'hertz', ...hands }]
      : counted.map(({ id }) => ({
          id: `${id} ${by === 'stopwatch' ? 'light' : 'rate'}`,
          part: id,
          kind: 'led',
          measure: by === 'stopwatch' ? 'seconds' : 'hertz',
          ...(by === 'stopwatch' ? { held: pressed(circuit) } : hands),
          ...(pauses ? { pauses } : {}),
        }));
  return [
    ...watched,
    probed('pack', supply, 'plus', 'minus'),
    ...chips.map((chip) => probed(`${chip.id} output`, chip, 'output', 'ground')),
    ...resistorsOf(circuit, all.slice(0, LAMPS_MOST)).map((part) => probed(part.id, part, 'a', 'b')),
    ...(by === 'pitch' && speaker ? couplersOf(circuit, speaker) : []).map((part) =>
      probed(part.id, part, 'a', 'b'),
    ),
    ...all.filter(({ id }) => across.includes(id)).map((part) => probed(part.id, part, 'anode', 'cathode')),
    {
      id: 'current',
      part: supply.id,
      kind: supply.kind,
      measure: by === 'stopwatch' ? 'amps' : 'meanAmps',
      gap: { part: supply.id, pin: 'plus' },
      ...hands,
    },
  ];
}

/** The capacitor before a loudspeaker: it stands at the mean of the output where the way to it is whole. */
function couplersOf({ parts }: Pick<Circuit, 'parts'>, speaker: PartOf<'speaker'>): PartOf<'capacitor'>[] {
  const rails = new Set(Object.values(sourceOf({ parts })?.pins ?? {}));
  const near = Object.values(speaker.pins).filter((net) => !rails.has(net));
  return parts.filter(
    (part): part is PartOf<'capacitor'> =>
      isKind(part, 'capacitor') && Object.values(part.pins).some((net) => near.includes(net)),
  );
}

/** Every button pressed once and let go. */
function pressed(circuit: Circuit): Held {
  const buttons = circuit.parts.filter((part) => isKind(part, 'switch'));
  return Object.fromEntries(buttons.map(({ id }) => [id, 'pressed' as const]));
}

/** The resistors that stand in a row with lamps. */
function resistorsOf(circuit: Circuit, lamps: readonly PartOf<'led'>[]): PartOf<'resistor'>[] {
  const near = new Set(lamps.flatMap(({ pins }) => Object.values(pins)));
  const rails = new Set(Object.values(sourceOf(circuit)?.pins ?? {}));
  const chips = new Set(
    circuit.parts.filter((part) => isKind(part, 'timer')).flatMap(({ pins }) => Object.values(pins)),
  );
  return circuit.parts.filter(
    (part): part is PartOf<'resistor'> =>
      isKind(part, 'resistor') &&
      Object.values(part.pins).some((net) => near.has(net) && !rails.has(net) && !chips.has(net)) &&
      // What lamps in opposite directions share carries as much one way as the other: its mean tells nothing.
      !Object.values(part.pins).some((net) => isBothWays(lamps, net)),
  );
}

function isBothWays(lamps: readonly PartOf<'led'>[], net: string): boolean {
  return lamps.some(({ pins }) => pins['anode'] === net) && lamps.some(({ pins }) => pins['cathode'] === net);
}
