import { useRouter } from 'next/navigation';
import { useEffect, useState } from 'react';
import Button from 'react-bootstrap/Button';
import Form from 'react-bootstrap/Form';
import Modal from 'react-bootstrap/Modal';
import { formatQuantity, type BenchContext, type MeterFigures } from '@/core';
import { useJob } from '@/features/asking/useJob';
import { Working } from '@/features/asking/Working';
import { listed } from '@/messages/grammar';
import { lampName } from '@/messages/names';
import type { ContextChoices } from '@/server/benchContext';
import { heard } from '@/ui/heard';
import { contextChoicesOf, keepContext } from './actions';
import type { Bench } from './bench';
import { contextTyped, typedContext, type TypedContext } from './contextTyped';
import { OwnMeter } from './OwnMeter';

/** What is different on a bench, as the page knows it. */
export interface KnownContext {
  readonly context: BenchContext;
  readonly version: number;
  /** Its readings are judged by it: not where the session was renewed, or taken back, since. */
  readonly counts: boolean;
}

interface Props {
  readonly sessionId: number;
  readonly student: Bench;
  readonly known: KnownContext | undefined;
  readonly meter: MeterFigures;
  onHide(): void;
}

const NOTHING: BenchContext = { ohms: {}, lamps: {} };

/** What is different on one bench: its readings are judged by what is really there. */
export function BenchContextForm({ sessionId, student, known, meter, onHide }: Props) {
  const router = useRouter();
  const [choices, setChoices] = useState<ContextChoices>();
  const [typed, setTyped] = useState<TypedContext>();
  const [batch, setBatch] = useState(false);
  const [problems, setProblems] = useState<readonly string[]>([]);
  const working = useJob<null>();
  const held = known?.context ?? NOTHING;
  useEffect(() => {
    let here = true;
    void heard(contextChoicesOf(sessionId)).then((answer) => {
      if (!here) return;
      if (!answer.ok) return setProblems([answer.message]);
      setChoices(answer.value);
      setTyped((before) => before ?? typedContext(held, answer.value));
    });
    return () => {
      here = false;
    };
    // What is held stands still while the form is open; what was typed is not overwritten by what comes in.
    // eslint-disable-next-line react-hooks/exhaustive-deps
  }, [sessionId]);
  const keep = (context: BenchContext) =>
    working.run(
      () => keepContext(sessionId, { studentId: student.id, version: known?.version ?? 0, context }, batch),
      (answer) => {
        if (!answer.ok) return setProblems([answer.message]);
        onHide();
        router.refresh();
      },
    );
  const save = () => {
    if (!typed || !choices) return;
    const read = contextTyped(typed, choices);
    if ('problems' in read) return setProblems(read.problems);
    setProblems([]);
    keep(read.context);
  };
  const change = (part: Partial<TypedContext>) => setTyped((before) => before && { ...before, ...part });
  return (
    <Modal show onHide={onHide} aria-labelledby="context-title">
      <Modal.Header closeButton>
        <Modal.Title id="context-title">
          Bench {student.bench}, {student.nickname}: what is different here
        </Modal.Title>
      </Modal.Header>
      <Modal.Body>
        <p>
          What is really on this bench: its bands, its mistakes and its verdicts are worked out anew by it. An
          empty field is as planned. Its battery counts by what you measure of it under load, in the grid.
        </p>
        {known && !known.counts && (
          <p>
            This was noted under other figures of the lesson and does not count now. Save it once more and it
            does.
          </p>
        )}
        {!choices && problems.length === 0 && <p role="status">Looking up what is planned …</p>}
        {choices && typed && (
          <Form
            id="context-form"
            onSubmit={(event) => {
              event.preventDefault();
              save();
            }}
          >
            {choices.resistors.map(({ id, ohms }) => (
              <Form.Group key={id} controlId={`fitted-${id}`} className="context-row">
                <Form.Label>
                  {id}, planned {formatQuantity(ohms, 'Ω')}
                </Form.Label>
                <Form.Control
                  size="sm"
                  placeholder="as planned"
                  autoComplete="off"
                  value={typed.ohms[id] ?? ''}
                  onChange={(event) => change({ ohms: { ...typed.ohms, [id]: event.target.value } })}
                />
              </Form.Group>
            ))}
            {choices.lamps.map(({ sort, ids }) => (
              <div key={sort} className="context-row">
                <Form.Label htmlFor={`batch-${sort}`}>
                  {lampName(sort)} {ids.length === 1 ? 'lamp' : 'lamps'} {shortList(ids)}, measured volts
                </Form.Label>
                <Form.Control
                  id={`batch-${sort}`}
                  size="sm"
                  placeholder="not measured"
                  autoComplete="off"
                  value={typed.volts[sort] ?? ''}
                  onChange={(event) => change({ volts: { ...typed.volts, [sort]: event.target.value } })}
                />
                <span>at</span>
                <Form.Control
                  size="sm"
                  aria-label={`current at which the ${lampName(sort)} lamp was measured`}
                  autoComplete="off"
                  value={typed.amps[sort] ?? ''}
                  onChange={(event) => change({ amps: { ...typed.amps, [sort]: event.target.value } })}
                />
              </div>
            ))}
            <Form.Check
              id="context-batch"
              label="Those lamps are of the box that the whole class has"
              checked={batch}
              onChange={(event) => setBatch(event.target.checked)}
            />
            <OwnMeter house={meter} meter={typed.meter} onMeter={(own) => change({ meter: own })} />
          </Form>
        )}
        {problems.length > 0 && (
          <div role="alert" className="problem">
            {problems.map((problem) => (
              <div key={problem}>{problem}</div>
            ))}
          </div>
        )}
        {working.share !== undefined && (
          <Working label="working the bench out anew" share={working.share} onStop={working.stop} />
        )}
      </Modal.Body>
      <Modal.Footer>
        {known && (
          <Button variant="quiet" disabled={working.share !== undefined} onClick={() => keep(NOTHING)}>
            As planned again
          </Button>
        )}
        <Button type="submit" form="context-form" disabled={!typed || working.share !== undefined}>
          Judge this bench by it
        </Button>
      </Modal.Footer>
    </Modal>
  );
}

const SHOWN = 3;

function shortList(ids: readonly string[]): string {
  return ids.length <= SHOWN ? listed(ids) : `${ids[0]} to ${ids[ids.length - 1]}`;
}
