import { formatOhms, type Cause, type Diagnosis } from '@/core';
import { capital, checkpointName, lampName, legName, partName } from './names';
import { holeName } from './findings';

/** A cause in a few words, as it stands at the end of a row. */
export function causeWords({ code, data }: Cause): string {
  switch (code) {
    case 'right':
      return 'as planned';
    case 'lamp-reversed':
      return 'lamp the wrong way round';
    case 'lamp-open':
      return 'lamp burnt out';
    case 'lamp-shorted':
      return 'lamp shorted: both legs in one row, or a dead lamp';
    case 'resistor-shorted':
      return `${data.part} missing or both its legs in one row`;
    case 'wrong-resistor':
      return `${data.part} is ${formatOhms(data.ohms ?? 0)}, not ${formatOhms(data.wantedOhms ?? 0)}`;
    case 'other-lamp':
      return `a ${lampName(data.lamp ?? '')} lamp fitted`;
    case 'supply-tired':
      return 'tired battery';
    case 'supply-reversed':
      return 'battery reversed';
    case 'supply-dead':
      return 'battery flat, missing or off';
    case 'bad-contact':
      return 'bad contact in the battery lead';
    case 'leg-astray':
      return `${legName(data.part ?? '', data.pin ?? '')} of ${partName(data.part ?? '')} a row off, as in ${holeName(data.hole ?? '')}`;
    case 'probes-swapped':
      return data.point === undefined ? 'probes swapped' : `probes swapped ${onPoint(data.point)}`;
    case 'volts-through-current-jack':
      return 'probe in the meter’s current jack';
    case 'fuse-blown':
      return 'the meter’s fuse is blown';
    case 'meter-across-lamp':
      return 'meter put across the lamp, not in series';
    case 'something-else':
      return 'something else';
  }
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
  return cause.code === 'leg-astray' ? `a leg of ${partName(cause.data.part ?? '')} a row off` : causeWords(cause);
}

/** What would settle it: the next measurement, or the thing to do when measuring cannot. */
export function nextWords(diagnosis: Diagnosis): string | undefined {
  if (diagnosis.next) return `next: measure ${phrase(diagnosis.next.point)}`;
  const codes = new Set(diagnosis.groups[0]?.causes.map((cause) => cause.code));
  if (codes.has('lamp-reversed')) return 'turn the lamp round: if it stays dark, swap it';
  if (codes.has('lamp-shorted')) return 'look which row each leg of the lamp sits in';
  if (codes.has('leg-astray')) return 'compare every leg with the card';
  if (codes.has('wrong-resistor')) return 'read the bands of R1';
  if (codes.has('supply-tired') || codes.has('bad-contact')) return 'try a fresh pack';
  if (codes.has('something-else')) return 'no single fault shows these figures: read them again, then compare with the card';
  return undefined;
}

function phrase(id: string): string {
  const name = checkpointName(id);
  return name.startsWith('across') ? name : `the ${name}`;
}
