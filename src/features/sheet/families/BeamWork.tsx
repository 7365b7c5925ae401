import { formatQuantity, type BeamSums } from '@/core';
import { beamLines, beamWords, rowWords } from '@/messages/beam';
import { SCENE_WORDS } from '@/messages/light';
import { Heads } from '@/ui/Heads';
import { SumRows } from '../sums/SumBlockTable';

const L = (lux: number) => formatQuantity(lux, 'lx', 2);
const V = (volts: number) => formatQuantity(volts, 'V', 2);

/** From the lamp to the reset pin, and what the alarm does in every room, with a hood and without. */
export function BeamWork({ beam }: { beam: BeamSums }) {
  return (
    <>
      <section className="ruled">
        <h2>The beam</h2>
        <table className="table sums">
          <tbody>
            <SumRows lines={beamLines(beam)} />
          </tbody>
        </table>
        <p className="pt-2">{beamWords(beam)}</p>
      </section>
      <section className="ruled">
        <h2>In every room</h2>
        <table className="table">
          <Heads
            columns={[
              ['room'],
              ['sensor'],
              ['beam whole', 'amount'],
              ['pin 4', 'amount'],
              ['beam cut', 'amount'],
              ['pin 4', 'amount'],
              ['alarm'],
            ]}
          />
          <tbody>
            {beam.rows.map((row) => (
              <tr key={`${row.room} ${row.hood}`}>
                <th scope="row">{SCENE_WORDS[row.room]}</th>
                <td>{row.hood ? 'under a hood' : 'open'}</td>
                <td className="amount">{L(row.whole.lux)}</td>
                <td className="amount">{V(row.whole.volts)}</td>
                <td className="amount">{L(row.cut.lux)}</td>
                <td className="amount">{V(row.cut.volts)}</td>
                <td>{rowWords(row)}</td>
              </tr>
            ))}
          </tbody>
        </table>
      </section>
    </>
  );
}
