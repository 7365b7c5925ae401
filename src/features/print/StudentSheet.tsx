import { QRCodeSVG } from 'qrcode.react';
import {
  bandsFor,
  formatQuantity,
  judgedPoint,
  type Diagram,
  type HouseStyle,
  type Level,
  type Sheet,
} from '@/core';
import { Meanings } from '@/features/glossary/Meanings';
import { BoardDrawing } from '@/features/plan/BoardDrawing';
import { CircuitDiagram } from '@/features/plan/CircuitDiagram';
import { ResistorDrawing } from '@/features/plan/ResistorDrawing';
import { StringWork } from '@/features/sheet/sums/StringWork';
import { SumBlockTable } from '@/features/sheet/sums/SumBlockTable';
import { WorkingTable } from '@/features/sheet/families/LoopWork';
import { CAUTION_WORDS } from '@/messages/cautions';
import { glossaryFor, type OwnWords } from '@/messages/glossary';
import { LEVEL_WORDS, seen, sumsAt } from '@/messages/levels';
import { stockName } from '@/messages/names';
import { pointName, probeWords } from '@/messages/points';
import { inShort } from '@/messages/sheetText';
import { talkFor } from '@/messages/talk';
import { Heads } from '@/ui/Heads';
import { PrintButton } from './PrintButton';
import './print.css';

interface Words {
  readonly title: string;
  readonly aim: string;
  readonly story: string;
  readonly homework: string;
  readonly level: Level;
}

interface Props {
  readonly words: Words;
  readonly sheet: Sheet;
  readonly style: HouseStyle;
  readonly own: OwnWords;
  /** The circuit as it has been laid out; it stands on sheets with the full working. */
  readonly diagram: Diagram | undefined;
}

/** What every student takes along: parts, predictions, the sum at their level, places to write, words, homework. */
export function StudentSheet({ words, sheet, style, own, diagram }: Props) {
  const { title, aim, story, level } = words;
  const talk = talkFor(sheet);
  // Beside a long sum there is room under the plan.
  const longSum = level === 'full working';
  const drawing = longSum && (
    <CircuitDiagram circuit={sheet.circuit} sorts={sheet.sorts} resistors={style.symbol} layout={diagram} />
  );
  const wide = longSum && (diagram?.width ?? 0) > COLUMN_SYMBOLS;
  return (
    <article className="printed student">
      <header className="ruled-head">
        <h1>{title}</h1>
        <PrintButton />
      </header>
      <p className="soft">Name or bench: ______________________ · {LEVEL_WORDS[level].name}</p>
      <div className="cautions">
        {sheet.cautions.map(({ code, place }) => (
          <p key={`${code} ${place}`} className="caution-line">
            {CAUTION_WORDS[code]}
          </p>
        ))}
      </div>
      {story && <p>{story}</p>}
      {aim && <p className="strong">{aim}</p>}
      <div className="printed-columns">
        <div>
          <PartsList sheet={sheet} style={style} />
          {!longSum && <Predictions questions={talk.predict} />}
          <Sum sheet={sheet} style={style} level={level} />
        </div>
        <div>
          <BoardDrawing {...sheet} orientation={sheet.build.held} title={`Plan of ${title}`} />
          {!wide && drawing}
          <figure className="sheet-code">
            <QRCodeSVG value={inShort(title, sheet)} size={144} marginSize={2} title="The lesson as text" />
            <figcaption className="small-print">
              The parts and readings as text, for any phone’s camera. Nothing is opened or sent.
            </figcaption>
          </figure>
          {longSum && <Predictions questions={talk.predict} />}
        </div>
      </div>
      {wide && <div className="wide-diagram">{drawing}</div>}
      <Readings sheet={sheet} />
      <section className="ruled word-list">
        <h2>Words</h2>
        <Meanings list={glossaryFor(sheet, level, own).map(({ term, meaning }) => [term, meaning])} />
      </section>
      <p>
        <strong>At home:</strong> {words.homework || talk.homework}
      </p>
      <FoldedBack sheet={sheet} level={level} />
    </article>
  );
}

/** A diagram of more symbols side by side has letters too small to read in a column. */
const COLUMN_SYMBOLS = 6;

/** What one thinks before anything is built, with a line to write each on. */
function Predictions({ questions }: { questions: readonly string[] }) {
  return (
    <section className="ruled">
      <h2>Before you build: what do you think?</h2>
      <ol>
        {questions.map((question) => (
          <li key={question}>
            {question}
            <span className="write-line" />
          </li>
        ))}
      </ol>
    </section>
  );
}

function PartsList({ sheet, style }: { sheet: Sheet; style: HouseStyle }) {
  const tolerance = style.bands === 4 ? 0.05 : 0.01;
  return (
    <section className="ruled">
      <h2>You need</h2>
      <ul className="needed">
        {sheet.kit.lines.map(({ key, each, spec }) => {
          const bands = spec.kind === 'resistor' ? bandsFor(spec.ohms, style.bands, tolerance) : undefined;
          return (
            <li key={key}>
              {each} × {stockName(spec)}{' '}
              {bands && (
                <>
                  <ResistorDrawing bands={bands} title={bands.join(', ')} />{' '}
                  <span className="small-print">{bands.join(', ')}</span>
                </>
              )}
            </li>
          );
        })}
      </ul>
    </section>
  );
}

function Sum({ sheet, style, level }: { sheet: Sheet; style: HouseStyle; level: Level }) {
  if (level !== 'full working') {
    return sumsAt(level, sheet).map((block) => <SumBlockTable key={block.title} block={block} />);
  }
  const { own } = sheet.sums;
  if (own.family === 'loop') return <WorkingTable sums={sheet.sums} loop={own.loop} style={style} />;
  return (
    <>
      {sumsAt('full working', sheet).map((block) => (
        <SumBlockTable key={block.title} block={block} />
      ))}
      <StringWork sheet={sheet} style={style} />
    </>
  );
}

/** Places to write in, first what one thinks, then what one reads. */
function Readings({ sheet }: { sheet: Sheet }) {
  return (
    <section className="ruled write-list">
      <h2>What the meter says</h2>
      <table className="table">
        <Heads columns={[['where'], ['I think'], ['I read']]} />
        <tbody>
          {sheet.expected.points.map(judgedPoint).map((point) => (
            <tr key={point.id} className="write-row">
              <th scope="row">
                {pointName(point)} <span className="small-print">{probeWords(point)}</span>
              </th>
              <td />
              <td />
            </tr>
          ))}
        </tbody>
      </table>
    </section>
  );
}

/** What comes out, at the foot of the sheet: folded back until one's own figures are written. */
function FoldedBack({ sheet, level }: { sheet: Sheet; level: Level }) {
  const { lines } = seen(sheet, level);
  const readings = sheet.expected.points.map(({ point, unit, low, high }) => ({
    name: pointName(point),
    work: 'right builds read',
    figure: `${formatQuantity(low, unit)} – ${formatQuantity(high, unit)}`,
  }));
  return (
    <div className="folded">
      <p className="small-print">
        Fold back along this line, and look only when your own figures are written.
      </p>
      <SumBlockTable
        block={{
          title: 'What comes out',
          lines: level === 'no mathematics' ? lines : [...lines, ...readings],
        }}
      />
    </div>
  );
}
