import Button from 'react-bootstrap/Button';
import {
  CONTROLLERS,
  cppOf,
  formatPercent,
  formatQuantity,
  microPythonOf,
  PULSES_AT_FIRST,
  type MixSums,
  type PatternChoice,
  type ProgramTable,
} from '@/core';
import { mixLines, mixName } from '@/messages/mix';
import { CONTROLLER_NAMES } from '@/messages/names';
import { Heads } from '@/ui/Heads';
import { capital } from '@/messages/grammar';
import { ProgramText, type Texts } from './ProgramText';
import { SumRows } from '../sums/SumBlockTable';

const A = (amps: number) => formatQuantity(amps, 'A', 3);
/** How a screen codes light: its figures are about the 2.2th root of it. */
const SCREEN = 2.2;

/** A patch of about the colour that the lights add up to. */
function Patch({ shown }: Pick<MixSums, 'shown'>) {
  const parts = (['red', 'green', 'blue'] as const).map((colour) =>
    Math.round(255 * shown[colour] ** (1 / SCREEN)),
  );
  return <span className="mix-patch" aria-hidden="true" style={{ background: `rgb(${parts.join(' ')})` }} />;
}

/** A mix of three colours on pulses: each pin with its share, the sum of each mean, and every named colour. */
export function MixWork({
  mix,
  title,
  measuring,
  choice,
  onChoice,
}: {
  mix: MixSums;
  title: string;
  measuring: ProgramTable | undefined;
  choice: PatternChoice;
  onChoice: (choice: PatternChoice) => void;
}) {
  const { steps: full } = CONTROLLERS[mix.board];
  const take = (colour: MixSums['colour']) => {
    if (choice.pattern !== 'rgb') return;
    const { pulses = PULSES_AT_FIRST } = choice.params;
    onChoice({ ...choice, params: { ...choice.params, pulses: { ...pulses, colour } } });
  };
  return (
    <>
      <section className="ruled">
        <h2>
          {capital(mixName(mix))} on the {CONTROLLER_NAMES[mix.board]} <Patch shown={mix.shown} />
        </h2>
        <table className="table">
          <Heads
            columns={[
              ['colour'],
              ['pin in the program'],
              ['place from ground'],
              [`step of ${full}`, 'amount'],
              ['of the time', 'amount'],
              ['while it is on', 'amount'],
              ['of the light', 'amount'],
            ]}
          />
          <tbody>
            {mix.lamps.map(({ colour, pin, place, step, share, peak, light }) => (
              <tr key={colour}>
                <th scope="row">{colour}</th>
                <td>{pin}</td>
                <td>{place}</td>
                <td className="amount">{step}</td>
                <td className="amount">{formatPercent(share)}</td>
                <td className="amount">{A(peak)}</td>
                <td className="amount">{formatPercent(light)}</td>
              </tr>
            ))}
          </tbody>
        </table>
        <table className="table sums">
          <tbody>
            <SumRows lines={mixLines(mix)} />
          </tbody>
        </table>
        <p className="small-print pt-2">
          The eye counts green most and blue least: white is about 27 % red, 65 % green and 8 % blue of the
          light. What a milliamp of each lamp gives is a starting figure: compare with a white sheet and
          correct the steps. Half of the steps look like more than half of the light.
        </p>
      </section>
      <section className="ruled">
        <h2>Colours by name, with these lamps and resistors</h2>
        <table className="table">
          <Heads
            columns={[['colour'], ['red', 'amount'], ['green', 'amount'], ['blue', 'amount'], ['', 'ps-4']]}
          />
          <tbody>
            {mix.named.map(({ name, steps }) => (
              <tr key={name} aria-current={name === mix.colour ? 'true' : undefined}>
                <th scope="row">{name}</th>
                {(['red', 'green', 'blue'] as const).map((colour) => (
                  <td key={colour} className="amount">
                    {steps[colour]}
                  </td>
                ))}
                <td className="ps-4 no-print">
                  {name === mix.colour ? (
                    'taken'
                  ) : (
                    <Button variant="text" className="btn-text" onClick={() => take(name)}>
                      take {name}
                    </Button>
                  )}
                </td>
              </tr>
            ))}
          </tbody>
        </table>
      </section>
      <ProgramText
        title={title}
        texts={textsOf(mix, mix.table, title)}
        measuring={measuring && textsOf(mix, measuring, `${title}, for measuring`)}
      />
    </>
  );
}

/** A program that sets the three colours, in both languages. */
function textsOf({ lamps }: MixSums, table: ProgramTable, title: string): Texts {
  const words = { title, lamps: lamps.map(({ colour }) => colour) };
  return { cpp: cppOf(table, words), py: microPythonOf(table, words) };
}
