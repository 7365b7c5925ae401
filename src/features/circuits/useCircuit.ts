'use client';

import { useMemo, useState } from 'react';
import { circuitFile, circuitFrom, parseCircuit, type Circuit, type Finding } from '@/core';
import { HARBOUR_CIRCUITS } from '@/demo/circuits';
import { useKept } from '@/features/hooks/useKept';

/** A circuit on the screen, and how many seconds show what it does. */
export interface Opened {
  readonly circuit: Circuit;
  readonly seconds: number;
  /** Stays while the circuit is worked on, and differs for the next one, whatever that is called. */
  readonly opening: number;
}

let openings = 0;

const KEPT = 'mivvet.circuit';

export function harbourCircuit(title: string): Opened {
  const { json, seconds } = HARBOUR_CIRCUITS.find((c) => c.title === title) ?? HARBOUR_CIRCUITS[0]!;
  const made = circuitFrom(json);
  if (!made.ok) throw new Error(`The circuit “${title}” is broken.`);
  return { circuit: withChecks(made.value), seconds, opening: ++openings };
}

/** A circuit without checks gets the current of each lamp, at most six, so that there is something to draw. */
function withChecks(circuit: Circuit): Circuit {
  if (circuit.checks.length > 0) return circuit;
  const lamps = circuit.parts.filter((part) => part.kind === 'led').slice(0, 6);
  return {
    ...circuit,
    checks: lamps.map(({ id }) => ({ id: `current of ${id}`, measure: 'amps', part: id })),
  };
}

/** The opened circuit, kept in this browser, with its way back. */
export function useCircuit() {
  const [kept, keep] = useKept<object | undefined>(KEPT, undefined);
  const [past, setPast] = useState<readonly Opened[]>([]);
  const [shown, setShown] = useState<Opened>();
  const opened = useMemo(() => shown ?? openedFrom(kept) ?? harbourCircuit('buoy'), [kept, shown]);
  const [refusals, setRefusals] = useState<readonly Finding[]>([]);

  const put = (next: Opened) => {
    setShown(next);
    setRefusals([]);
    // Once the change is on the screen: writing thousands of parts down takes a moment.
    setTimeout(() => keep(circuitFile(next.circuit)));
  };
  const show = (next: Opened) => {
    setPast([...past, opened].slice(-100));
    put(next);
  };
  const openText = (text: string) => {
    const made = parseCircuit(text);
    if (made.ok) show(openedOf(made.value));
    else setRefusals(made.findings);
  };
  const back = past[past.length - 1];
  const undo =
    back &&
    (() => {
      setPast(past.slice(0, -1));
      put(back);
    });
  return { opened, refusals, show, openText, undo };
}

function openedOf(circuit: Circuit): Opened {
  return { circuit: withChecks(circuit), seconds: secondsFor(circuit), opening: ++openings };
}

function openedFrom(kept: object | undefined): Opened | undefined {
  const made = kept && circuitFrom(kept);
  return made?.ok ? openedOf(made.value) : undefined;
}

/** Long enough for a few periods of its slowest source, else of a blinker. */
function secondsFor({ title, parts }: Circuit): number {
  const known = HARBOUR_CIRCUITS.find((c) => c.title === title);
  if (known) return known.seconds;
  const hertz = parts.flatMap((part) =>
    part.kind === 'signal' || (part.kind === 'pin' && part.params.drive === 'pwm') ? [part.params.hertz] : [],
  );
  return hertz.length > 0 ? 4 / Math.min(...hertz) : 5;
}
