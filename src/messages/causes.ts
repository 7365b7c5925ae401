import { formatOhms, formatQuantity, type Cause, type Diagnosis } from '@/core';
import { capital, checkpointName, lampName, legName, partName } from './names';
import { holeName } from './holes';

type CauseWords = (data: Cause['data']) => string;

const CAUSES: Readonly<Record<Cause['code'], CauseWords>> = {
  right: () => 'as planned',
  'lamp-reversed': () => 'lamp the wrong way round',
  'lamp-open': () => 'lamp burnt out',
  'lamp-shorted': () => 'lamp shorted: both legs in one row, or a dead lamp',
  'resistor-shorted': ({ part }) => `${part} missing or both its legs in one row`,
  'wrong-resistor': ({ part, ohms = 0, wantedOhms = 0 }) =>
    `${part} is ${formatOhms(ohms)}, not ${formatOhms(wantedOhms)}`,
  'resistors-exchanged': ({ part, other }) => `${part} and ${other} in each other’s place`,
  'loose-joint': ({ part }) => `a loose leg or a poor joint at ${part}`,
  'other-common': () => 'a lamp with the other common leg fitted',
  'zener-reversed': ({ part }) => `${part} the wrong way round`,
  'zeners-exchanged': ({ part, other }) => `${part} and ${other} in each other’s place`,
  'other-lamp': ({ lamp = '' }) => `a ${lampName(lamp)} lamp fitted`,
  'supply-tired': () => 'tired battery',
  'supply-reversed': () => 'battery reversed',
  'supply-dead': () => 'battery flat, missing or off',
  'bad-contact': () => 'bad contact in the battery lead',
  'supply-limited': ({ amps = 0 }) => `supply holding ${formatQuantity(amps, 'A', 2)}, its current limit`,
  'jumper-missing': ({ part }) => `${part} missing, or an end of it in the wrong row`,
  'rail-gap': ({ part }) => `the two halves of the rail not bridged: ${part} missing`,
  'cut-missing': ({ hole }) => `the strip not cut at ${hole}`,
  bridge: ({ hole = '', other = '' }) =>
    hole === 'p0' ? 'the plus tape touching the minus tape' : `a bridge of solder from ${hole} to ${other}`,
  'tape-torn': ({ hole = '' }) =>
    `the ${hole.startsWith('p') ? 'plus' : 'minus'} tape torn before lane ${hole.slice(1)}`,
  'leg-astray': ({ part = '', pin = '', hole = '' }) =>
    `${legName(part, pin)} of ${partName(part)} a row off, as in ${holeName(hole)}`,
  'probes-swapped': ({ point }) =>
    point === undefined ? 'probes swapped' : `probes swapped ${onPoint(point)}`,
  'volts-through-current-jack': () => 'probe in the meter’s current jack',
  'fuse-blown': () => 'the meter’s fuse is blown',
  'meter-across-lamp': () => 'meter put across the lamp, not in series',
  'something-else': () => 'something else',
};

/** A cause in a few words, as it stands at the end of a row. */
export function causeWords({ code, data }: Cause): string {
  return CAUSES[code](data);
}

function onPoint(id: string): string {
  return id === 'current' ? 'in the current reading' : `${checkpointName(id)}`;
}

/** The first group as one phrase: what no checkpoint can tell apart stands together. */
export function likeliestWords(diagnosis: Diagnosis): string {
  const words = [...new Set((diagnosis.groups[0]?.causes ?? []).slice(0, 4).map(broadWords))];
  return capital(words.join(', or '));
}

/** Many legs may be the one astray; in a group they are said in one breath. */
function broadWords(cause: Cause): string {
  return cause.code === 'leg-astray'
    ? `a leg of ${partName(cause.data.part ?? '')} a row off`
    : causeWords(cause);
}

/** What would settle it: the next measurement, or the thing to do when measuring cannot. */
export function nextWords(diagnosis: Diagnosis): string | undefined {
  if (diagnosis.next) return `next: measure ${phrase(diagnosis.next.point)}`;
  const codes = new Set(diagnosis.groups[0]?.causes.map((cause) => cause.code));
  if (codes.has('lamp-reversed')) return 'turn the lamp round: if it stays dark, swap it';
  if (codes.has('lamp-shorted')) return 'look which row each leg of the lamp sits in';
  if (codes.has('leg-astray')) return 'compare every leg with the card';
  if (codes.has('jumper-missing') || codes.has('rail-gap')) return 'compare every wire with the card';
  if (codes.has('wrong-resistor')) return 'read the bands of R1';
  if (codes.has('supply-tired') || codes.has('bad-contact')) return 'try a fresh pack';
  if (codes.has('something-else'))
    return 'no single fault shows these figures: read them again, then compare with the card';
  return undefined;
}

function phrase(id: string): string {
  const name = checkpointName(id);
  return name.startsWith('across') ? name : `the ${name}`;
}
