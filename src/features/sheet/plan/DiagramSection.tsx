import { useRef, useState } from 'react';
import Button from 'react-bootstrap/Button';
import Form from 'react-bootstrap/Form';
import type { HouseStyle, Sheet } from '@/core';
import { CircuitDiagram } from '@/features/plan/CircuitDiagram';
import { saveAs, slug } from '@/ui/download';

/** The circuit diagram, with values and, on wish, with the solved volts and currents. */
export function DiagramSection({ sheet, style, title }: { sheet: Sheet; style: HouseStyle; title: string }) {
  const [figures, setFigures] = useState(true);
  const box = useRef<HTMLDivElement>(null);
  const save = () => {
    const svg = box.current?.querySelector('svg');
    if (!svg) return;
    const css = getComputedStyle(svg);
    // A saved drawing has no theme around it: it takes its colours with it.
    const text = new XMLSerializer()
      .serializeToString(svg)
      .replace(/var\(--([a-z]+)\)/gu, (_, name: string) => css.getPropertyValue(`--${name}`).trim());
    saveAs(`${slug(title)}-circuit.svg`, 'image/svg+xml', text);
  };
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
          figures={figures ? sheet.built.solved?.parts : undefined}
        />
      </div>
    </section>
  );
}
