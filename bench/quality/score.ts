import {
  asCounted,
  RIGHT_STATES,
  type Candidates,
  type Cause,
  type JudgedPoint,
  type SessionExpectation,
  type Signature,
  type SimulatedBench,
} from '@/core';
import type { Build } from './builds';

/** Deviations from the right build from which a checkpoint could show that something is wrong. */
const COULD_SHOW = 3;

/** What a wrong build would show with all parts at their nominal values and a meter that is right. */
export type Nominal = SimulatedBench;

/** Whether some checkpoint, or a look, could show that this build is none of the right ones, part-used packs among them. */
export function couldShow(
  { dictionary: { points, signatures } }: SessionExpectation,
  { shown, sight: { looks } }: Nominal,
  widths: readonly (readonly number[])[],
): boolean {
  return signatures.every((right, k) => {
    if (!RIGHT_STATES.has(right.code)) return true;
    const away = shown.some(
      (one, i) =>
        one !== undefined &&
        Math.abs(asCounted(points[i]!, one.value) - right.means[i]!) > COULD_SHOW * widths[k]![i]!,
    );
    return away || Object.entries(right.looks).some(([lamp, look]) => (looks[lamp] ?? 'dark') !== look);
  });
}

/** Whether a cause that was named is what is wrong: the same mistake at the same part, or one that nothing tells from it. */
export function isTrue(
  build: Build,
  nominal: Nominal,
  cause: Named,
  { dictionary, widths }: Candidates,
): boolean {
  const wrong = build.both ?? [build.candidate];
  const named = [cause, ...(cause.also ? [cause.also] : [])];
  if (build.origin !== 'board' && wrong.some((one) => named.some((other) => sameMistake(one, other))))
    return true;
  const signature = dictionary.signatures[cause.place ?? -1];
  return signature !== undefined && behavesLike(nominal, signature, dictionary.points, widths[cause.place!]!);
}

export type Named = Pick<Cause, 'code' | 'data' | 'also' | 'place'>;

function sameMistake(one: Pick<Cause, 'code' | 'data'>, other: Pick<Cause, 'code' | 'data'>): boolean {
  if (one.code !== other.code) return false;
  const told = ({ data }: Pick<Cause, 'data'>) =>
    [data.part, data.other, data.pin, data.hole, data.point].join('|');
  return told(one) === told(other);
}

function behavesLike(
  { shown, sight: { looks } }: Nominal,
  signature: Signature,
  points: readonly JudgedPoint[],
  widths: readonly number[],
): boolean {
  return (
    shown.every(
      (one, i) =>
        one === undefined ||
        Math.abs(asCounted(points[i]!, one.value) - signature.means[i]!) < 2 * widths[i]!,
    ) &&
    Object.keys({ ...looks, ...signature.looks }).every(
      (lamp) => (looks[lamp] ?? 'dark') === (signature.looks[lamp] ?? 'dark'),
    )
  );
}
