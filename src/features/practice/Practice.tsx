'use client';

import { useState } from 'react';
import { GLANCE, type SessionExpectation } from '@/core';
import type { Bench } from '../check/bench';
import { CheckGrid } from '../check/CheckGrid';
import { heard } from '@/ui/heard';
import { meterReads } from './actions';
import { AtTheBench } from './AtTheBench';
import { Instruments } from './Instruments';
import { useMadeUpClass } from './useMadeUpClass';

interface Props {
  readonly sessionId: number;
  readonly expectation: SessionExpectation;
  readonly students: readonly Bench[];
  readonly predicted: string;
  /** What the lesson's supply gives, where it may be turned. */
  readonly usual: number | undefined;
}

/** The whole of Check on a made-up class: a stand-in meter is read into the cells, and nothing is kept of anybody. */
export function Practice({ sessionId, expectation, students, predicted, usual }: Props) {
  const { points } = expectation.dictionary;
  const made = useMadeUpClass(sessionId, points, students);
  const [at, setAt] = useState<{ bench: number; point: string }>({
    bench: students[0]?.bench ?? 1,
    point: points[0]?.id ?? GLANCE,
  });
  const [reading, setReading] = useState(false);
  const isMended = (bench: number) => made.mended.some((one) => one.bench === bench);
  const name = (bench: number) => ({
    sessionId,
    seed: made.seed,
    bench,
    mended: isMended(bench),
  });
  const read = async ({ bench }: Bench, point: string) => {
    setReading(true);
    const says = await heard(meterReads(name(bench), point));
    setReading(false);
    return says;
  };
  const student = students.find(({ bench }) => bench === at.bench);
  return (
    <>
      <Instruments
        seed={made.seed}
        untouched={made.readings.length === 0 && made.mended.length === 0}
        reading={reading}
        onBegin={made.begin}
      />
      {student && (
        <AtTheBench
          key={`${made.seed} ${at.bench} ${isMended(at.bench)}`}
          bench={name(at.bench)}
          nickname={student.nickname}
          usual={usual}
          onMend={() => made.mend(at.bench)}
        />
      )}
      <CheckGrid
        key={made.seed}
        sessionId={sessionId}
        expectation={expectation}
        students={students}
        judged={students.map(() => ({ state: 'none', verdicts: {} }))}
        predicted={predicted}
        keeping={made.keeping}
        meter={{ read, at: ({ bench }, point) => setAt({ bench, point }) }}
      />
    </>
  );
}
