import { CONTROLLERS, formatQuantity, ruleCpp, ruleMicroPython, type LightSums, type RuleSums } from '@/core';
import { LightChart } from '@/features/charts/LightChart';
import { lampCurrent, SCENE_WORDS, trimWords } from '@/messages/light';
import { CONTROLLER_NAMES, looksWords } from '@/messages/names';
import { ruleLines } from '@/messages/rule';
import { Heads } from '@/ui/Heads';
import { ProgramText } from './ProgramText';
import { SumRows } from '../sums/SumBlockTable';

/** A lamp that a program lights by a reading: the thresholds, along the light, in each scene, and the text. */
export function RuleWork({ rule, light, title }: { rule: RuleSums; light: LightSums; title: string }) {
  const { counts, volts } = CONTROLLERS[rule.board];
  return (
    <>
      <section className="ruled">
        <h2>The readings between which it decides</h2>
        <table className="table sums">
          <tbody>
            <SumRows lines={ruleLines(rule, light)} />
          </tbody>
        </table>
        <p className="pt-2">{trimWords(light)}</p>
        {light.curve && <LightChart light={light} curve={light.curve} />}
        <p className="small-print">
          The {CONTROLLER_NAMES[rule.board]} counts from 0 to {counts} for 0 to {volts} V. Lamp{' '}
          {rule.lamp.part} on pin {rule.lamp.pin} (place {rule.lamp.place} from ground); pin {rule.reads.pin}{' '}
          (place {rule.reads.place}) reads.
        </p>
      </section>
      <section className="ruled">
        <h2>In every light</h2>
        <table className="table">
          <Heads
            columns={[
              ['scene'],
              ['light', 'amount'],
              ['sensor', 'amount'],
              ['volts', 'amount'],
              ['reading', 'amount'],
              ['lamp', 'amount'],
              ['looks'],
            ]}
          />
          <tbody>
            {light.scenes.map(({ scene, lux, ohms, amps, brightness }, i) => (
              <tr key={scene}>
                <th scope="row">{SCENE_WORDS[scene]}</th>
                <td className="amount">{formatQuantity(lux, 'lx', 2)}</td>
                <td className="amount">{formatQuantity(ohms, 'Ω', 2)}</td>
                <td className="amount">{formatQuantity(rule.rows[i]!.volts, 'V', 3)}</td>
                <td className="amount">{rule.rows[i]!.counts}</td>
                <td className="amount">{lampCurrent(amps)}</td>
                <td>{looksWords(brightness)}</td>
              </tr>
            ))}
          </tbody>
        </table>
      </section>
      <ProgramText
        title={title}
        texts={{ cpp: ruleCpp(rule, title), py: ruleMicroPython(rule, title, counts) }}
      />
    </>
  );
}
