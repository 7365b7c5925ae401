import {
  CONTROLLERS,
  cppOf,
  formatEntered,
  formatPercent,
  formatQuantity,
  microPythonOf,
  programCsv,
  type ProgramSums,
  type ProgramTable,
} from '@/core';
import { tablesHere } from '@/features/hooks/saveTable';
import { CONTROLLER_NAMES, lampName, looksWords } from '@/messages/names';
import { rowSentence, timeLines } from '@/messages/program';
import { Heads } from '@/ui/Heads';
import { ProgramText, type Texts } from './ProgramText';
import { SumRows } from '../sums/SumBlockTable';

const A = (amps: number) => formatQuantity(amps, 'A', 3);

interface Props {
  readonly program: ProgramSums;
  readonly title: string;
  readonly measuring: ProgramTable | undefined;
}

/** The table as a program of a controller: its times, its pins with what they carry, row by row, and as a text. */
export function ProgramWork({ program, title, measuring }: Props) {
  return (
    <>
      <PinTable program={program} />
      <section className="ruled">
        <h2>The sum of its times</h2>
        <table className="table sums">
          <tbody>
            <SumRows lines={timeLines(program)} />
          </tbody>
        </table>
      </section>
      <RowTable program={program} />
      <ProgramText
        title={title}
        texts={textsOf(program, title)}
        measuring={measuring && textsOf({ ...program, table: measuring }, `${title}, for measuring`)}
        csv={programCsv(program.table, tablesHere())}
      />
    </>
  );
}

/** Every lamp with its pin by both of its numbers, and what the pin carries against what it stands. */
function PinTable({ program: { table, lamps, rows } }: { program: ProgramSums }) {
  const board = CONTROLLERS[table.board];
  const most = Math.max(...rows.map(({ peak }) => peak));
  return (
    <section className="ruled">
      <h2>Pins of the {CONTROLLER_NAMES[table.board]}</h2>
      <table className="table">
        <Heads
          columns={[
            ['lamp'],
            ['pin in the program'],
            ['place from ground'],
            ['dims'],
            ['carries at most', 'amount'],
            ['mean of a round', 'amount'],
          ]}
        />
        <tbody>
          {lamps.map(({ part, type, pin, place, dims, column, peak, mean }) => (
            <tr key={part}>
              <th scope="row">
                {part} {lampName(type)}
              </th>
              <td>{column === undefined ? `wired to ${pin}, not in the table` : pin}</td>
              <td>{place}</td>
              <td>{dims ? 'yes' : 'on or off only'}</td>
              <td className="amount">{A(peak)}</td>
              <td className="amount">{A(mean)}</td>
            </tr>
          ))}
        </tbody>
      </table>
      <p className="small-print pt-2">
        A pin is made for {A(board.pinAmps)} and stands {A(board.pinAmpsMost)}; all together here carry{' '}
        {A(most)} at once and may carry {A(board.allAmps)}.
      </p>
    </section>
  );
}

/** What the lamps do at the end of each row, as observed. */
function RowTable({ program }: { program: ProgramSums }) {
  return (
    <section className="ruled">
      <h2>Row by row, as observed</h2>
      <table className="table">
        <Heads
          columns={[
            ['from'],
            ['the table says'],
            ...program.lamps.map(({ part }) => [part, 'amount'] as const),
            ['all pins', 'amount'],
          ]}
        />
        <tbody>
          {program.rows.map(({ at, lamps, peak }, i) => (
            <tr key={i}>
              <th scope="row">{at === 0 ? '0 s' : formatEntered(at, 's')}</th>
              <td>{rowSentence(program, i)}</td>
              {lamps.map(({ part, amps, brightness }) => (
                <td key={part} className="amount">
                  {amps < 1e-6 ? 'dark' : `${A(amps)}, ${looksWords(brightness)}`}
                </td>
              ))}
              <td className="amount">{A(peak)}</td>
            </tr>
          ))}
        </tbody>
      </table>
      <DimmedNote program={program} />
    </section>
  );
}

/** Of lamps that are dimmed: that the eye does not go by the share alone. */
function DimmedNote({ program: { table, rows } }: { program: ProgramSums }) {
  const full = CONTROLLERS[table.board].steps;
  const dimmed = rows.flatMap(({ lamps }) => lamps).find(({ step }) => step > 0 && step < full);
  if (!dimmed) return null;
  return (
    <p className="small-print pt-2">
      A dimmed pin gives its whole volts for a share of the time, {table.lowLights ? 'low' : 'high'} so often
      a second that no eye follows; the figures are means, as a meter shows them. The eye takes{' '}
      {formatPercent(dimmed.step / full)} of the current for more than {formatPercent(dimmed.step / full)} of
      the light.
    </p>
  );
}

/** The program in both languages, each pin with the lamp that hangs on it. */
function textsOf({ table, lamps }: ProgramSums, title: string): Texts {
  const named = table.columns.map((pin) => {
    const lamp = lamps.find((one) => one.pin === pin);
    return lamp ? `${lamp.part} ${lampName(lamp.type)}` : '';
  });
  const words = { title, lamps: named };
  return { cpp: cppOf(table, words), py: microPythonOf(table, words) };
}
