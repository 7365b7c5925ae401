import { useRef, useState } from 'react';
import { flushSync } from 'react-dom';
import Button from 'react-bootstrap/Button';
import type { Circuit } from '@/core';
import { DiagramDrawing, UNDRAWN } from '@/features/plan/CircuitDiagram';
import { saveSvg } from '@/features/plan/saveSvg';
import { useDiagram } from '@/features/plan/useDiagram';
import { slug } from '@/ui/download';
import { Note } from '@/ui/Note';
import { Scroll } from '@/ui/Scroll';
import { useSeen } from './useSeen';

const NO_SORTS = {};

/** The circuit in the field's symbols, laid out beside what else is worked out. */
export function DrawnCircuit({ circuit }: { circuit: Circuit }) {
  const { drawn: ready, failure } = useDiagram(circuit);
  const box = useRef<HTMLDivElement>(null);
  const seen = useSeen(box, ready?.diagram);
  const [isWhole, setWhole] = useState(false);
  const save = () => {
    flushSync(() => setWhole(true));
    saveSvg(box.current?.querySelector('svg'), `${slug(circuit.title)}-circuit`);
    setWhole(false);
  };
  return (
    <section className="ruled" aria-label="Circuit diagram" aria-busy={!ready && !failure}>
      <div className="ruled-head">
        <h2>Circuit diagram</h2>
        {ready?.diagram && (
          <Button variant="quiet" size="sm" className="no-print" onClick={save}>
            Save as SVG
          </Button>
        )}
      </div>
      {failure && <Note kind="refusal">{failure}</Note>}
      {!ready && !failure && <p className="soft pt-2">Being drawn…</p>}
      {ready && !ready.diagram && <p className="soft pt-2">{UNDRAWN}</p>}
      {ready?.diagram && (
        <Scroll label="The circuit" className={seen ? 'wide-table long-diagram' : 'wide-table'} ref={box}>
          <DiagramDrawing
            circuit={circuit}
            sorts={NO_SORTS}
            resistors="box"
            layout={ready.diagram}
            seen={isWhole ? undefined : seen}
          />
        </Scroll>
      )}
    </section>
  );
}
