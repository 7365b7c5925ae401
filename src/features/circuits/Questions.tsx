'use client';

import { isKind, type Circuit } from '@/core';
import { BatteryQuestion } from './questions/BatteryQuestion';
import { GaugeQuestion } from './questions/GaugeQuestion';
import { ResistorQuestion } from './questions/ResistorQuestion';
import { TimingQuestion } from './questions/TimingQuestion';
import { TrimQuestion } from './questions/TrimQuestion';

/** What one would otherwise try out by hand: the value that gives an answer, instead of the answer of a value. */
export function Questions({ circuit }: { circuit: Circuit }) {
  const ids = (kind: 'supply' | 'resistor' | 'led' | 'ldr') =>
    circuit.parts.filter((part) => isKind(part, kind)).map(({ id }) => id);
  const [supplies, resistors, lamps, sensors] = [ids('supply'), ids('resistor'), ids('led'), ids('ldr')];
  return (
    <section className="ruled questions" aria-label="Questions">
      <h2>Questions</h2>
      {resistors.length > 0 && lamps.length > 0 && (
        <ResistorQuestion circuit={circuit} resistors={resistors} lamps={lamps} />
      )}
      {supplies.length > 0 && lamps.length > 0 && (
        <>
          <GaugeQuestion circuit={circuit} supplies={supplies} />
          <BatteryQuestion circuit={circuit} supplies={supplies} lamps={lamps} />
        </>
      )}
      {sensors.length > 0 && resistors.length > 0 && circuit.checks.length > 0 && (
        <TrimQuestion circuit={circuit} sensors={sensors} resistors={resistors} />
      )}
      <TimingQuestion />
    </section>
  );
}
