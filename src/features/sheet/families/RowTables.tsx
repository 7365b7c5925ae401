import { formatOhms, formatQuantity, type SumsOf } from '@/core';
import { BRIGHTNESS_WORDS } from '@/messages/names';
import { Heads } from '@/ui/Heads';

/** The row of resistors that a class walks down, and where the floor is. */
export function WalkTable({ rows }: { rows: SumsOf<'walk'>['walk'] }) {
  return (
    <section className="ruled">
      <h2>From high to low, on a fresh supply</h2>
      <table className="table">
        <Heads columns={[['resistor'], ['current', 'amount'], ['the lamp looks', 'ps-4']]} />
        <tbody>
          {rows.map((row) => (
            <tr key={row.ohms} className={row.beyond ? 'beyond' : undefined}>
              <th scope="row">{formatOhms(row.ohms)}</th>
              <td className="amount">{formatQuantity(row.amps, 'A')}</td>
              <td className="ps-4">
                {row.beyond
                  ? `stop above this one: ${BRIGHTNESS_WORDS[row.brightness]}`
                  : BRIGHTNESS_WORDS[row.brightness]}
              </td>
            </tr>
          ))}
        </tbody>
      </table>
      <p className="small-print mt-2">
        Change the resistor with the supply off, from the highest value down. Nobody goes below the last value
        that is not crossed out.
      </p>
    </section>
  );
}

export function KnobTable({ rows, wish }: { rows: SumsOf<'knob'>['knob']; wish: SumsOf<'knob'>['wished'] }) {
  const amps = rows.map((row) => row.amps);
  const span = (low: number, high: number) => `${formatQuantity(low, 'A')} to ${formatQuantity(high, 'A')}`;
  return (
    <section className="ruled">
      <h2>Turning the knob</h2>
      <table className="table">
        <Heads
          columns={[['knob'], ['its ohms', 'amount'], ['current', 'amount'], ['the lamp looks', 'ps-4']]}
        />
        <tbody>
          {rows.map((row) => (
            <tr key={row.position}>
              <th scope="row">{Math.round((1 - row.position) * 100)} % up</th>
              <td className="amount">{formatQuantity(row.ohms, 'Ω')}</td>
              <td className="amount">{formatQuantity(row.amps, 'A')}</td>
              <td className="ps-4">{BRIGHTNESS_WORDS[row.brightness]}</td>
            </tr>
          ))}
        </tbody>
      </table>
      {wish && (
        <p className="small-print mt-2">
          Wished: {span(wish.low, wish.high)}. It comes out {span(Math.min(...amps), Math.max(...amps))}: R1
          and P1 are the next values that can be had.
        </p>
      )}
    </section>
  );
}

export function RungTable({ rows }: { rows: SumsOf<'gauge'>['rungs'] }) {
  return (
    <section className="ruled">
      <h2>The rungs</h2>
      <table className="table">
        <Heads
          columns={[
            ['lamp'],
            ['zener'],
            ['wanted from', 'amount'],
            ['lit from (1 mA)', 'amount'],
            ['current when fresh', 'amount'],
          ]}
        />
        <tbody>
          {rows.map((row) => (
            <tr key={row.lamp}>
              <th scope="row">{row.lamp}</th>
              <td>{row.zener.slice('zener-'.length).replace('v', '.').replace(/\.$/u, '')} V</td>
              <td className="amount">{formatQuantity(row.wanted, 'V')}</td>
              <td className="amount strong">
                {row.lit === undefined ? 'not below 24 V' : formatQuantity(row.lit, 'V')}
              </td>
              <td className="amount">{formatQuantity(Math.max(0, row.fullAmps), 'A')}</td>
            </tr>
          ))}
        </tbody>
      </table>
      <p className="small-print mt-2">
        Zeners are sold ±5 %: at 10 V that moves a rung by half a volt either way. The check sheet shows the
        band.
      </p>
    </section>
  );
}
