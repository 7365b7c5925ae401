import { useRef, useState } from 'react';
import Button from 'react-bootstrap/Button';
import Form from 'react-bootstrap/Form';
import type { HouseStyle, Sheet } from '@/core';
import { CircuitDiagram } from '@/features/plan/CircuitDiagram';
import { saveSvg } from '@/features/plan/saveSvg';
import { slug } from '@/ui/download';

/** The circuit diagram, with values and, on wish, with the solved volts and currents. */
export function DiagramSection({ sheet, style, title }: { sheet: Sheet; style: HouseStyle; title: string }) {
  const [figures, setFigures] = useState(true);
  const box = useRef<HTMLDivElement>(null);
  const save = () => saveSvg(box.current?.querySelector('svg'), `${slug(title)}-circuit`);
  return (
    <section className="ruled">
      <div className="ruled-head">
        <h2>Circuit diagram</h2>
        <div className="button-row no-print">
          <Form.Check
            id="diagram-figures"
            label="volts and currents"
            checked={figures}
            onChange={(event) => setFigures(event.target.checked)}
          />
          <Button variant="quiet" size="sm" onClick={save}>
            Save as SVG
          </Button>
        </div>
      </div>
      <div ref={box} className="wide-table">
        <CircuitDiagram
          circuit={sheet.circuit}
          sorts={sheet.sorts}
          resistors={style.symbol}
          figures={figures ? sheet.built.seen?.parts : undefined}
        />
      </div>
    </section>
  );
}
