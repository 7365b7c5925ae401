import { useRef } from 'react';
import Button from 'react-bootstrap/Button';
import type { Circuit } from '@/core';
import { DiagramDrawing, UNDRAWN } from '@/features/plan/CircuitDiagram';
import { saveSvg } from '@/features/plan/saveSvg';
import { useDiagram } from '@/features/plan/useDiagram';
import { slug } from '@/ui/download';
import { Note } from '@/ui/Note';
import { Scroll } from '@/ui/Scroll';

/** The circuit in the field's symbols, laid out beside what else is worked out. */
export function DrawnCircuit({ circuit }: { circuit: Circuit }) {
  const { drawn: ready, failure } = useDiagram(circuit);
  const box = useRef<HTMLDivElement>(null);
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
        <Scroll label="The circuit" className="wide-table" ref={box}>
          <DiagramDrawing circuit={circuit} sorts={{}} resistors="box" layout={ready.diagram} />
        </Scroll>
      )}
    </section>
  );
}
