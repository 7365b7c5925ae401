import { useDeferredValue, useId, useState } from 'react';
import Button from 'react-bootstrap/Button';
import Form from 'react-bootstrap/Form';
import Modal from 'react-bootstrap/Modal';
import type { SessionExpectation } from '@/core';
import { tablesHere } from '@/features/hooks/saveTable';
import { saveAs } from '@/ui/download';
import { Problem } from '@/ui/Problem';
import type { Bench } from './bench';
import { emptyTable, readClassTable, type TableFigure } from './classCsv';

interface Props {
  readonly expectation: SessionExpectation;
  readonly students: readonly Bench[];
  readonly predicted: string;
  /** What a figure is that differs from one that stands there. */
  readonly again: 'retest' | 'correction';
  current(studentId: number, point: string): string | undefined;
  onEnter(figures: readonly TableFigure[]): void;
}

/** A whole class's figures out of a table: shown what would go in, and what would not and why, before anything does. */
export function FromTable(props: Props) {
  const { expectation, students, predicted, current } = props;
  const [open, setOpen] = useState(false);
  const [text, setText] = useState('');
  const [problem, setProblem] = useState('');
  const field = useId();
  // Typing goes on while a long table is read.
  const pasted = useDeferredValue(text);
  const table = pasted.trim()
    ? readClassTable(pasted, { expectation, students, predicted, current }, tablesHere())
    : undefined;
  const take = async (file: File | undefined) => {
    if (!file) return;
    if (file.size > MOST_BYTES) return setProblem(`“${file.name}” is too large for a table of one class.`);
    setProblem('');
    setText(await file.text());
  };
  const enter = (figures: readonly TableFigure[]) => {
    props.onEnter(figures);
    setText('');
    setOpen(false);
  };
  return (
    <>
      <Button variant="text" className="btn-text" onClick={() => setOpen(true)}>
        enter from a table
      </Button>
      <Modal show={open} onHide={() => setOpen(false)} size="lg" aria-labelledby={`${field}-title`}>
        <Modal.Header closeButton>
          <Modal.Title id={`${field}-title`}>A class’s figures from a table</Modal.Title>
        </Modal.Header>
        <Modal.Body>
          <p>
            CSV, one row a bench: a column <em>bench</em>, and one for each checkpoint, by the names in the
            grid.{' '}
            <Button
              variant="text"
              className="btn-text"
              onClick={() =>
                saveAs(
                  'class-figures.csv',
                  'text/csv',
                  emptyTable({ expectation, students, predicted }, tablesHere()),
                )
              }
            >
              An empty table to fill in
            </Button>
          </p>
          <Form.Group controlId={`${field}-file`} className="mb-2">
            <Form.Label>A file</Form.Label>
            <Form.Control
              type="file"
              accept=".csv,.tsv,.txt,text/csv"
              onChange={(event) => void take((event.target as HTMLInputElement).files?.[0])}
            />
          </Form.Group>
          <Form.Group controlId={`${field}-text`}>
            <Form.Label>or its text, pasted</Form.Label>
            <Form.Control
              as="textarea"
              rows={6}
              spellCheck={false}
              value={text}
              onChange={(event) => setText(event.target.value)}
            />
          </Form.Group>
          <Problem>{problem}</Problem>
          {table && <WhatGoesIn table={table} {...props} />}
        </Modal.Body>
        <Modal.Footer>
          <Button variant="quiet" onClick={() => setOpen(false)}>
            Cancel
          </Button>
          <Button
            // What is shown is what goes in, and not what a longer table still comes to.
            disabled={!table || table.figures.length === 0 || pasted !== text}
            onClick={() => table && enter(table.figures)}
          >
            Enter {countedFigures(table?.figures.length ?? 0)}
          </Button>
        </Modal.Footer>
      </Modal>
    </>
  );
}

const MOST_BYTES = 1_000_000;
const PROBLEMS_MOST = 12;

function countedFigures(many: number): string {
  return `${many} ${many === 1 ? 'figure' : 'figures'}`;
}

function WhatGoesIn({ table, again, current }: { table: ReturnType<typeof readClassTable> } & Props) {
  const { figures, same, problems } = table;
  const benches = new Set(figures.map(({ student }) => student.id)).size;
  const over = figures.filter(({ student, point }) => current(student.id, point) !== undefined).length;
  return (
    <div className="pt-2" role="status">
      <p>
        {countedFigures(figures.length)} of {benches} {benches === 1 ? 'bench' : 'benches'} can be entered
        {over > 0 && `; ${over} of them where another stands, as a ${again}`}
        {same > 0 && `; ${same} stand there already`}.
      </p>
      {problems.length > 0 && (
        <>
          <p>Not taken:</p>
          <ul className="problem">
            {problems.slice(0, PROBLEMS_MOST).map((problem) => (
              <li key={problem}>{problem}</li>
            ))}
            {problems.length > PROBLEMS_MOST && <li>and {problems.length - PROBLEMS_MOST} more.</li>}
          </ul>
        </>
      )}
    </div>
  );
}
