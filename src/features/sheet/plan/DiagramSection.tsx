import { useRef, useState } from 'react';
import Button from 'react-bootstrap/Button';
import Form from 'react-bootstrap/Form';
import Modal from 'react-bootstrap/Modal';
import ModalBody from 'react-bootstrap/ModalBody';
import ModalHeader from 'react-bootstrap/ModalHeader';
import { partOf, voltsAcross, type HouseStyle, type Sheet } from '@/core';
import { CircuitDiagram } from '@/features/plan/CircuitDiagram';
import { useDiagram } from '@/features/plan/useDiagram';
import { saveSvg } from '@/features/plan/saveSvg';
import { slug } from '@/ui/download';
import { Scroll } from '@/ui/Scroll';

/** Volts and amps of every part, as solved. */
function figuresOf({ built, circuit }: Sheet): Record<string, { volts: number; amps: number }> | undefined {
  const { seen } = built;
  if (!seen) return undefined;
  return Object.fromEntries(
    circuit.parts.flatMap(({ id }) => {
      const part = partOf(built.circuit, id);
      const report = seen.parts[id];
      return part && report ? [[id, { volts: voltsAcross(part, seen), amps: report.amps }]] : [];
    }),
  );
}

/** The circuit diagram, with values and, on wish, with the solved volts and currents. */
export function DiagramSection({ sheet, style, title }: { sheet: Sheet; style: HouseStyle; title: string }) {
  const [figures, setFigures] = useState(true);
  const [large, setLarge] = useState(false);
  const moves = sheet.built.seen?.kind === 'moving';
  const { drawn, failure } = useDiagram(sheet.circuit);
  const diagram = drawn ? (
    <CircuitDiagram
      circuit={sheet.circuit}
      sorts={sheet.sorts}
      resistors={style.symbol}
      figures={figures ? figuresOf(sheet) : undefined}
      layout={drawn.diagram}
    />
  ) : (
    <p className="soft pt-2">{failure || 'Being drawn…'}</p>
  );
  const box = useRef<HTMLDivElement>(null);
  const save = () => saveSvg(box.current?.querySelector('svg'), `${slug(title)}-circuit`);
  return (
    <section className="ruled">
      <div className="ruled-head">
        <h2>Circuit diagram</h2>
        <div className="button-row no-print">
          <Form.Check
            id="diagram-figures"
            label={moves ? 'volts and currents, on average' : 'volts and currents'}
            checked={figures}
            onChange={(event) => setFigures(event.target.checked)}
          />
          <Button variant="quiet" size="sm" onClick={() => setLarge(true)}>
            Look at it large
          </Button>
          <Button variant="quiet" size="sm" onClick={save}>
            Save as SVG
          </Button>
        </div>
      </div>
      <Scroll label="The circuit" className="wide-table" ref={box}>
        {diagram}
      </Scroll>
      <Modal show={large} fullscreen onHide={() => setLarge(false)} aria-labelledby="large-diagram">
        <ModalHeader closeButton>
          <h2 id="large-diagram" className="modal-title">
            {title}: circuit diagram
          </h2>
        </ModalHeader>
        <ModalBody className="large-diagram">{diagram}</ModalBody>
      </Modal>
    </section>
  );
}
