import { formatQuantity, type LightSums } from '@/core';
import { LightChart } from '@/features/charts/LightChart';
import { lampCurrent, lightLines, SCENE_WORDS, trimWords } from '@/messages/light';
import { looksWords } from '@/messages/names';
import { Heads } from '@/ui/Heads';
import { SumRows } from '../sums/SumBlockTable';

/** How the lamp follows the light: where it switches, along the light, and in each scene. */
export function LightWork({ light }: { light: LightSums }) {
  return (
    <>
      <section className="ruled">
        <h2>The light at which it switches</h2>
        <table className="table sums">
          <tbody>
            <SumRows lines={lightLines(light)} />
          </tbody>
        </table>
        <p className="pt-2">{trimWords(light)}</p>
        {light.curve && <LightChart light={light} curve={light.curve} />}
      </section>
      <section className="ruled">
        <h2>In every light</h2>
        <table className="table">
          <Heads
            columns={[['scene'], ['light', 'amount'], ['sensor', 'amount'], ['lamp', 'amount'], ['looks']]}
          />
          <tbody>
            {light.scenes.map(({ scene, lux, ohms, amps, brightness }) => (
              <tr key={scene}>
                <th scope="row">{SCENE_WORDS[scene]}</th>
                <td className="amount">{formatQuantity(lux, 'lx', 2)}</td>
                <td className="amount">{formatQuantity(ohms, 'Ω', 2)}</td>
                <td className="amount">{lampCurrent(amps)}</td>
                <td>{looksWords(brightness)}</td>
              </tr>
            ))}
          </tbody>
        </table>
      </section>
    </>
  );
}
