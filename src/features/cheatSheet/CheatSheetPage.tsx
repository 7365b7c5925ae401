import { formatOhms, formatQuantity, type CheatCell, type CheatSheet } from '@/core';
import { PrintButton } from '@/features/print/PrintButton';
import { sentence } from '@/messages/findings';
import { lampName, supplyName } from '@/messages/names';
import { Scroll } from '@/ui/Scroll';
import './cheatSheet.css';

/** Supplies by lamps on one page: the resistor to take, its bands, the current and the heat. */
export function CheatSheetPage({ sheet }: { sheet: CheatSheet }) {
  return (
    <article className="page cheat-sheet">
      <div className="page-head">
        <h1>Cheat sheet</h1>
        <PrintButton />
      </div>
      <p className="soft">
        One lamp, wanted {formatQuantity(sheet.wanted, 'A')}, values as the house chooses them. It follows the
        store and the house style: print it anew when either has changed.
      </p>
      <Scroll label="Supplies by lamps" className="wide-table">
        <table className="table">
          <thead>
            <tr>
              <th scope="col">supply</th>
              {sheet.lamps.map((lamp) => (
                <th key={lamp} scope="col">
                  {lampName(lamp)}
                </th>
              ))}
            </tr>
          </thead>
          <tbody>
            {sheet.supplies.map((supply, i) => (
              <tr key={`${supply.kind} ${supply.cells}`}>
                <th scope="row">{supplyName(supply)}</th>
                {sheet.lamps.map((lamp, k) => (
                  <td key={lamp}>
                    <Cell cell={sheet.cells[i]![k]!} />
                  </td>
                ))}
              </tr>
            ))}
          </tbody>
        </table>
      </Scroll>
      <p className="small-print">
        A dash: this supply cannot push the current through that lamp, or the drawer ends below the value.
        Heat is that of the resistor; above 125 mW a ¼ W part is hot to touch.
      </p>
    </article>
  );
}

function Cell({ cell }: { cell: CheatCell }) {
  if ('why' in cell) return <span title={sentence(cell.why)}>–</span>;
  return (
    <>
      <strong>{formatOhms(cell.ohms)}</strong>
      <span className="small-print d-block">{cell.bands?.slice(0, -1).join(' ')}</span>
      <span className="d-block">{formatQuantity(cell.amps, 'A')}</span>
      <span className="small-print d-block">{formatQuantity(cell.watts, 'W', 2)}</span>
    </>
  );
}
