import { useMemo, useRef } from 'react';
import Button from 'react-bootstrap/Button';
import type { Remote } from 'comlink';
import type { Circuit, Diagram } from '@/core';
import { useAsked } from '@/features/asking/useAsked';
import { DiagramDrawing, UNDRAWN, wiringOf } from '@/features/plan/CircuitDiagram';
import { saveSvg } from '@/features/plan/saveSvg';
import { slug } from '@/ui/download';
import { Note } from '@/ui/Note';
import type { CoreApi } from '@/workers/coreApi';

interface Answer {
  readonly diagram: Diagram | undefined;
}

/** A layout hangs on which legs are joined alone: it is asked for anew only when that changes. */
const ask = async (core: Remote<CoreApi>, wiring: string): Promise<Answer> => ({
  diagram: await core.diagram(JSON.parse(wiring) as Circuit),
});

/** The circuit in the field's symbols, laid out beside what else is worked out. */
export function DrawnCircuit({ circuit }: { circuit: Circuit }) {
  const wiring = useMemo(() => wiringOf(circuit), [circuit]);
  const { reply, of, failure } = useAsked('careful', wiring, ask);
  const box = useRef<HTMLDivElement>(null);
  const ready = of === wiring ? reply : undefined;
  return (
    <section className="ruled" aria-label="Circuit diagram" aria-busy={!ready && !failure}>
      <div className="ruled-head">
        <h2>Circuit diagram</h2>
        {ready?.diagram && (
          <Button
            variant="quiet"
            size="sm"
            className="no-print"
            onClick={() => saveSvg(box.current?.querySelector('svg'), `${slug(circuit.title)}-circuit`)}
          >
            Save as SVG
          </Button>
        )}
      </div>
      {failure && <Note kind="refusal">{failure}</Note>}
      {!ready && !failure && <p className="soft pt-2">Being drawn…</p>}
      {ready && !ready.diagram && <p className="soft pt-2">{UNDRAWN}</p>}
      {ready?.diagram && (
        <div ref={box} className="wide-table">
          <DiagramDrawing circuit={circuit} sorts={{}} resistors="box" layout={ready.diagram} />
        </div>
      )}
    </section>
  );
}
