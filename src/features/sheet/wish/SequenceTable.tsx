import Button from 'react-bootstrap/Button';
import Form from 'react-bootstrap/Form';
import {
  CONTROLLERS,
  formatEntered,
  ROW_SECONDS,
  ROWS_MOST,
  stepIn,
  wholeSeconds,
  type Outcome,
  type ParamsOf,
  type ProgramRow,
  readWithin,
  finding,
  refused,
  readCount,
} from '@/core';
import { Typed } from '@/features/wish/Words';
import { lampName } from '@/messages/names';
import { roundsWords } from '@/messages/program';
import { Scroll } from '@/ui/Scroll';
import { SequenceInWords } from './SequenceInWords';
import type { Problems } from './problems';
import './sequenceTable.css';

type Params = ParamsOf<'sequence'>;

interface Props {
  readonly params: Params;
  readonly problems: Problems;
  onChange(params: Params): void;
}

const readSeconds = readWithin('A row', 's', ROW_SECONDS.low, ROW_SECONDS.high);
const readWhole = readWithin('All of it', 's', 0.01, 1e7);
const readPin = readCount('A column', 'pin', 0, 99);

/** The step of a lamp in a row as it is typed: `on`, `off`, `128`, `50 %`. */
function readStep(full: number) {
  return (typed: string): Outcome<number> => {
    const step = stepIn(typed, full);
    if (step !== undefined) return { ok: true, value: step, findings: [] };
    const problem = `must be on, off, a step from 0 to ${full} or a share as 50 %, and “${typed}” is not`;
    return refused(finding('bad-field', { place: 'A row', field: 'step', problem }));
  };
}

function stepShown(step: number, full: number): string {
  return step === 0 ? 'off' : step === full ? 'on' : String(step);
}

/** The table of a program: who, how, how long; what the program says of its pins stands at the head of each column. */
export function SequenceTable(props: Props) {
  const { params, problems, onChange } = props;
  const { lamps, columns, rows, board } = params;
  const full = CONTROLLERS[board].steps;
  const setRows = (next: readonly ProgramRow[]) => onChange({ ...params, rows: next });
  const setRow = (i: number, change: Partial<ProgramRow>) =>
    setRows(rows.map((row, k) => (k === i ? { ...row, ...change } : row)));
  return (
    <Scroll label="Rows of the program" className="sequence-table">
      <table className="table table-sm">
        <thead>
          <tr>
            <th scope="col">row</th>
            {lamps.map(({ lamp, pin }, i) => (
              <th key={i} scope="col">
                D{i + 1} {lampName(lamp).replace(/ \(.*/u, '')}
                <span className={columns[i] === pin ? 'column-pin' : 'column-pin astray'}>
                  pin{' '}
                  <Typed
                    label={`Pin of column ${i + 1}`}
                    value={String(columns[i])}
                    read={readPin}
                    onValue={(next) =>
                      onChange({ ...params, columns: columns.map((own, k) => (k === i ? next : own)) })
                    }
                    onProblem={problems.of(`pin of column ${i + 1}`)}
                    width={2}
                  />
                </span>
              </th>
            ))}
            <th scope="col">for</th>
            <th scope="col">fade to it</th>
            <th />
          </tr>
        </thead>
        <tbody>
          {rows.map(({ steps, seconds, fade }, i) => (
            <tr key={i}>
              <th scope="row">{i + 1}</th>
              {steps.map((step, k) => (
                <td key={k} className={step > 0 ? 'lit' : undefined}>
                  <Typed
                    label={`Row ${i + 1}, D${k + 1}`}
                    value={stepShown(step, full)}
                    read={readStep(full)}
                    onValue={(next) => setRow(i, { steps: steps.map((own, n) => (n === k ? next : own)) })}
                    onProblem={problems.of(`row ${i + 1}, D${k + 1}`)}
                    width={4}
                  />
                </td>
              ))}
              <td>
                <Typed
                  label={`Row ${i + 1}, how long`}
                  value={formatEntered(seconds, 's')}
                  read={readSeconds}
                  onValue={(next) => setRow(i, { seconds: next })}
                  onProblem={problems.of(`row ${i + 1}, how long`)}
                  width={5}
                />
              </td>
              <td>
                <Form.Check
                  aria-label={`Row ${i + 1}, fade to it`}
                  checked={fade}
                  onChange={(event) => setRow(i, { fade: event.target.checked })}
                />
              </td>
              <td>
                {rows.length > 1 && (
                  <Button
                    variant="text"
                    className="btn-text word-button"
                    aria-label={`Without row ${i + 1}`}
                    onClick={() => setRows(rows.filter((_, k) => k !== i))}
                  >
                    ×
                  </Button>
                )}
              </td>
            </tr>
          ))}
        </tbody>
      </table>
      <div className="sequence-foot">
        {rows.length < ROWS_MOST && (
          <Button
            variant="quiet"
            size="sm"
            onClick={() => setRows([...rows, { ...rows[rows.length - 1]!, fade: false }])}
          >
            + row
          </Button>
        )}
        <WholeWords params={params} problems={problems} onChange={onChange} />
      </div>
      <SequenceInWords params={params} onChange={onChange} />
    </Scroll>
  );
}

/** What the rows come to, beside what the lesson’s own words say. */
function WholeWords({ params, problems, onChange }: Props) {
  const { rows, rounds, says } = params;
  const round = wholeSeconds({ rows, rounds: 1 })!;
  const whole = wholeSeconds({ rows, rounds });
  return (
    <span className="small-print">
      A round {formatEntered(round, 's')}, {roundsWords(rounds)}
      {whole !== undefined && rounds > 1 ? `: ${formatEntered(whole, 's')}` : ''}.{' '}
      {says === undefined ? (
        <Button
          variant="text"
          className="btn-text"
          onClick={() => onChange({ ...params, says: whole ?? round })}
        >
          compare with a time that is said
        </Button>
      ) : (
        <>
          The lesson says{' '}
          <Typed
            label="All of it takes, as the lesson says"
            value={formatEntered(says, 's')}
            read={readWhole}
            onValue={(next) => onChange({ ...params, says: next })}
            onProblem={problems.of('all of it')}
            width={5}
          />{' '}
          <Button
            variant="text"
            className="btn-text word-button"
            aria-label="Without a time that is said"
            onClick={() => {
              const { says: _gone, ...rest } = params;
              onChange(rest);
            }}
          >
            ×
          </Button>
        </>
      )}
    </span>
  );
}
