import { formatOhms, formatQuantity, POLARITY, SUPPLIES, type HouseStyle, type Sheet } from '@/core';
import { ResistorDrawing } from '@/features/plan/ResistorDrawing';
import { CUE_WORDS, lampName, stockName, supplyName } from '@/messages/names';
import { Changed } from '../Changed';

/** Each part with its figures, where they come from, and how to tell its legs apart. */
export function PartsStage({ sheet, style }: { sheet: Sheet; style: HouseStyle }) {
  const { lamp, supply, supplyFigures, chosen } = sheet.sums;
  const bands = style.bands === 4 ? (sheet.sums.bands4 ?? sheet.sums.bands5) : sheet.sums.bands5;
  const led = POLARITY['led']!.pins;
  return (
    <>
      <section className="ruled">
        <h2>The lamp</h2>
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
            <Row name="plus end" work="anode" figure={CUE_WORDS[led['anode']!]} />
            <Row name="minus end" work="cathode" figure={CUE_WORDS[led['cathode']!]} />
          </tbody>
        </table>
      </section>
      <section className="ruled">
        <h2>The resistor</h2>
        <table className="table">
          <tbody>
            <Row name="value" work="has no polarity: either way round is right" figure={formatOhms(chosen)} />
            <tr>
              <th scope="row">bands</th>
              <td className="soft">{bands?.join(', ')}</td>
              <td className="amount">
                {bands && <ResistorDrawing bands={bands} title={bands.join(', ')} />}
              </td>
            </tr>
          </tbody>
        </table>
      </section>
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
      <section className="ruled">
        <h2>All parts of one kit</h2>
        <table className="table">
          <tbody>
            {sheet.kit.lines.map((line) => (
              <Row
                key={line.key}
                name={stockName(line.spec)}
                work={line.parts.join(', ')}
                figure={String(line.each)}
              />
            ))}
          </tbody>
        </table>
      </section>
    </>
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
