import { formatOhms, type Isolation, type Sheet } from '@/core';
import { blinksOf } from './gates';
import { capital } from './grammar';
import { holeName } from './holes';
import { ownName } from './names';
import { listWords, type StepWords } from './stepWords';

type Parking = Isolation['parkings'][number];

/** A step in which one half is tested before the other chip goes in. */
export function isolateWords({ isolation }: { isolation: Isolation }, sheet: Sheet): StepWords {
  const { chip, without, ohms, parkings } = isolation;
  return {
    title: `Stop: test the half of ${chip} alone. ${without} is not in yet.`,
    detail: [
      `A ${formatOhms(ohms)} resistor parks what will be the output of ${without}.`,
      ...parkings.map(
        (parking) => `${parkingPlace(parking)}, power on: ${parkingSeen(parking, isolation, sheet)}`,
      ),
      'Power off, and take the resistor out again.',
    ].join(' '),
    cue: 'Move the resistor only with the power off.',
    why: `What is wrong here is in the half of ${chip}; what comes later is in the other.`,
  };
}

/** Where the resistor goes: `one end in e21, the other in the left + rail, hole 9`. */
export function parkingPlace({ legs }: Parking): string {
  return `One end in ${holeName(legs.a)}, the other in ${holeName(legs.b)}`;
}

/** What is seen with it there, and that the other lamps stay dark. */
export function parkingSeen({ gate }: Parking, { lamps }: Isolation, sheet: Sheet): string {
  const dark = lamps.filter((part) => !seenIn(gate).includes(part));
  // A chip that does not go round comes to rest: what it did on the way there is over then.
  const rests = gate.lit.length > 0 && Object.keys(gate.blinks).length === 0;
  const seen = gate.lit.length > 0 ? blinksOf(gate, gate.lit, sheet) : 'nothing lights';
  const there = rests ? `in the end ${seen}` : seen;
  const faint = gate.may.length > 0 ? `; ${listWords(gate.may)} may glow faintly` : '';
  const stay = dark.length === 1 ? 'stays' : 'stay';
  const others =
    dark.length > 0 && gate.lit.length > 0
      ? `; ${listWords(dark.map((id) => ownName(sheet.circuit, id)))} ${stay} dark`
      : '';
  return `${capital(there)}${faint}${others}.`;
}

function seenIn({ lit, may }: Parking['gate']): readonly string[] {
  return [...lit, ...may];
}
