'use client';

import { useEffect, useMemo, useRef, useState } from 'react';
import { BAND_DEFAULTS, histogram, type Circuit, type Draws } from '@/core';
import { BandChart, type BandShape } from '@/features/charts/BandChart';
import { screenSentence } from '@/messages/findings';
import { Note } from '@/ui/Note';
import { drawingWorkers } from '@/workers/client';
import { jsonOf } from '@/features/asking/jsonOf';
import { Stopped, Working } from '@/features/asking/Working';
import { shareDraws, type Drawer, type SharedDraws } from '@/workers/sharedDraws';
import { Scroll } from '@/ui/Scroll';

type State =
  | { readonly at: 'drawing'; readonly share: number }
  | { readonly at: 'cancelled' }
  | { readonly at: 'refused'; readonly text: string }
  | { readonly at: 'done'; readonly unsettled: number };

const REST_AFTER_MS = 400;

/** What each check reads from part to part: twenty thousand circuits, drawn on every processor that is free. */
export function PartToPart({ circuit }: { circuit: Circuit }) {
  const { state, points, cancel, again } = useDraws(circuit);
  if (circuit.checks.length === 0) {
    return (
      <section className="ruled" aria-label="From part to part">
        <h2>From part to part</h2>
        <p className="pt-2">This circuit has no lamp and no check, so there is nothing to draw.</p>
      </section>
    );
  }
  return (
    <section className="ruled" aria-label="From part to part" aria-busy={state.at === 'drawing'}>
      <div className="ruled-head">
        <h2>From part to part</h2>
        {state.at === 'drawing' && <Working label="Draws done" share={state.share} onStop={cancel} />}
      </div>
      {state.at === 'cancelled' && <Stopped onAgain={again} />}
      {state.at === 'refused' && <Note>{state.text}</Note>}
      {points.length > 0 && (
        <div className={state.at === 'done' ? '' : 'stale'}>
          {points.map((point) => (
            <Scroll key={point.id} label={`Spread of ${point.id}`}>
              <figure className="band-figure">
                <figcaption>{point.id}</figcaption>
                <BandChart point={point} name={point.id} />
              </figure>
            </Scroll>
          ))}
          <p className="small-print">
            {BAND_DEFAULTS.samples.toLocaleString('en')} draws, seed {BAND_DEFAULTS.seed}; shaded: 95 % of
            them; strokes at the ends: the worst corners.
            {state.at === 'done' &&
              state.unsettled > 0 &&
              ` ${state.unsettled} draws did not settle and are left out.`}
          </p>
        </div>
      )}
    </section>
  );
}

function useDraws(circuit: Circuit) {
  const [state, setState] = useState<State>({ at: 'drawing', share: 0 });
  const [points, setPoints] = useState<readonly BandShape[]>([]);
  const [round, setRound] = useState(0);
  const stop = useRef<() => void>(undefined);
  const key = useMemo(() => jsonOf(circuit), [circuit]);
  const newest = useRef(circuit);
  useEffect(() => {
    newest.current = circuit;
  });
  useEffect(() => {
    const asked = newest.current;
    if (asked.checks.length === 0) return;
    let live = true;
    let job: SharedDraws | undefined;
    const timer = setTimeout(() => {
      const drawers: Drawer[] = drawingWorkers();
      setState({ at: 'drawing', share: 0 });
      job = shareDraws(asked, BAND_DEFAULTS, drawers, (share) => live && setState({ at: 'drawing', share }));
      job.outcome
        .then((outcome) => {
          if (!live || !outcome) return;
          setPoints(outcome.ok ? shapes(outcome.value) : []);
          setState(
            outcome.ok
              ? { at: 'done', unsettled: outcome.value.unsettled }
              : { at: 'refused', text: outcome.findings.map(screenSentence).join(' ') },
          );
        })
        .catch(
          (error: unknown) =>
            live && setState({ at: 'refused', text: `The draws stopped: ${String(error)}.` }),
        );
    }, REST_AFTER_MS);
    stop.current = () => {
      live = false;
      clearTimeout(timer);
      job?.cancel();
    };
    return stop.current;
  }, [key, round]);
  return {
    state,
    points,
    cancel() {
      stop.current?.();
      setState({ at: 'cancelled' });
    },
    again: () => setRound(round + 1),
  };
}

function shapes({ bands, sorted }: Draws): BandShape[] {
  return bands.map((band, i) => ({ ...band, histogram: histogram(sorted[i]!) }));
}
