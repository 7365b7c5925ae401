import {
  bandsFor,
  formatOhms,
  formatQuantity,
  SUPPLIES,
  type HouseStyle,
  type LampFigures,
  type Sheet,
  type Shelf,
} from '@/core';
import { ResistorDrawing } from '@/features/plan/ResistorDrawing';
import { BOARD_NAMES, CUE_WORDS, lampName, stockName, supplyName } from '@/messages/names';
import { listWords } from '@/messages/stepWords';
import { Changed } from '../Changed';
import { OtherParts } from '../parts/OtherParts';

/** Each part with its figures, where they come from, and how to tell its legs apart. */
export function PartsStage({ sheet, style, shelf }: { sheet: Sheet; style: HouseStyle; shelf: Shelf }) {
  const { supply, supplyFigures } = sheet.sums;
  const types = [...new Set(Object.values(sheet.sorts))];
  return (
    <>
      {types.map((type) => (
        <LampSection
          key={type}
          lamp={shelf.lamps[type]}
          title={
            types.length === 1 && sheet.sums.design.lamps.length === 1
              ? 'The lamp'
              : `The ${lampName(type)} lamps: ${listWords(Object.keys(sheet.sorts).filter((id) => sheet.sorts[id] === type))}`
          }
        />
      ))}
      <Resistors sheet={sheet} style={style} />
      <section className="ruled">
        <h2>The supply</h2>
        <table className="table">
          <tbody>
            <Row
              name={supplyName(supply)}
              work={`red lead is plus${SUPPLIES[supply.kind].capacity ? `, ${formatQuantity(SUPPLIES[supply.kind].capacity!, 'Ah')}` : ''}`}
              figure={formatQuantity(supplyFigures.volts, 'V')}
            />
            <Row
              name="its own ohms"
              work="in series with everything"
              figure={formatQuantity(supplyFigures.ohms, 'Ω')}
            />
          </tbody>
        </table>
      </section>
      <OtherParts sheet={sheet} shelf={shelf} />
      <section className="ruled">
        <h2>All parts of one kit</h2>
        <table className="table">
          <tbody>
            {sheet.kit.lines.map((line) => (
              <Row
                key={line.key}
                name={stockName(line.spec)}
                work={line.spec.kind === 'board' ? BOARD_NAMES[line.spec.board] : listWords(line.parts)}
                figure={String(line.each)}
              />
            ))}
          </tbody>
        </table>
      </section>
    </>
  );
}

function LampSection({ lamp, title }: { lamp: LampFigures; title: string }) {
  return (
    <section className="ruled">
      <h2>{title}</h2>
      <table className="table">
        <tbody>
          <Row name="colour and chip" work={lamp.technology} figure={lampName(lamp.type)} />
          <Row
            name="forward voltage"
            work={`at ${formatQuantity(lamp.at, 'A', 2)}, from the ${originWords(lamp.origin)}`}
            figure={formatQuantity(lamp.vf, 'V')}
          />
          <Row
            name="from lamp to lamp"
            work="lowest and highest of a batch"
            figure={`${formatQuantity(lamp.vfLow, 'V')} – ${formatQuantity(lamp.vfHigh, 'V')}`}
          />
          <Row
            name="continuous maximum"
            work="what it may carry all day"
            figure={formatQuantity(lamp.maxAmps, 'A', 2)}
          />
          <Row
            name="absolute maximum"
            work="beyond it the die fails"
            figure={formatQuantity(lamp.absoluteAmps, 'A', 2)}
          />
          <Row
            name="reverse limit"
            work="the wrong way round"
            figure={formatQuantity(lamp.reverseLimit, 'V')}
          />
          <Row name="plus end" work="anode" figure={CUE_WORDS['long-leg']} />
          <Row name="minus end" work="cathode" figure={CUE_WORDS['flat-edge']} />
        </tbody>
      </table>
    </section>
  );
}

function Resistors({ sheet, style }: { sheet: Sheet; style: HouseStyle }) {
  const byValue = new Map<number, string[]>();
  for (const part of sheet.circuit.parts) {
    if (part.kind !== 'resistor') continue;
    byValue.set(part.params.ohms, [...(byValue.get(part.params.ohms) ?? []), part.id]);
  }
  if (byValue.size === 0) return null;
  return (
    <section className="ruled">
      <h2>
        {sheet.circuit.parts.filter(({ kind }) => kind === 'resistor').length === 1
          ? 'The resistor'
          : 'The resistors'}
      </h2>
      <table className="table">
        <tbody>
          {[...byValue].map(([ohms, names]) => {
            const bands =
              bandsFor(ohms, style.bands, style.bands === 4 ? 0.05 : 0.01) ?? bandsFor(ohms, 5, 0.01);
            return (
              <tr key={ohms}>
                <th scope="row">
                  {listWords(names)} <Changed>{formatOhms(ohms)}</Changed>
                </th>
                <td className="soft">{bands?.join(', ')}; either way round is right</td>
                <td className="amount">
                  {bands && <ResistorDrawing bands={bands} title={bands.join(', ')} />}
                </td>
              </tr>
            );
          })}
        </tbody>
      </table>
    </section>
  );
}

function Row({ name, work, figure }: { name: string; work: string; figure: string }) {
  return (
    <tr>
      <th scope="row">{name}</th>
      <td className="soft">{work}</td>
      <td className="amount">
        <Changed>{figure}</Changed>
      </td>
    </tr>
  );
}

function originWords(origin: string): string {
  return (
    { table: 'colour table', measured: 'measurement of this batch', assumed: 'assumption' }[origin] ?? origin
  );
}
