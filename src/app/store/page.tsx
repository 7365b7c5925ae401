import '@/features/store/store.css';
import { admit } from '@/server/access/admit';
import { AddStock } from '@/features/store/AddStock';
import { BandReader } from '@/features/store/BandReader';
import { BandTrainer } from '@/features/store/BandTrainer';
import { BatteryReader } from '@/features/store/BatteryReader';
import { LampFinder } from '@/features/store/LampFinder';
import { LampTable } from '@/features/store/LampTable';
import { StockTable } from '@/features/store/StockTable';
import { batteries } from '@/server/repositories/batteries';
import { houseStyle } from '@/server/repositories/settings';
import { lamps, shelf, stockRows } from '@/server/repositories/stock';

export const dynamic = 'force-dynamic';
export const metadata = { title: 'Store' };

export default async function StorePage() {
  await admit('/store');
  const [rows, style, shelved, lampFigures, read] = await Promise.all([
    stockRows(),
    houseStyle(),
    shelf(),
    lamps(),
    batteries(),
  ]);
  return (
    <div className="page">
      <div className="page-head">
        <h1>Store</h1>
        <a className="btn btn-quiet btn-sm" href="/cheat-sheet">
          Cheat sheet
        </a>
      </div>
      <div className="page-columns">
        <div>
          <section className="ruled">
            <h2>Stock</h2>
            {rows.length === 0 && (
              <p className="pt-3">
                Nothing is counted in yet. Add the first part below; until then sums choose from E12.
              </p>
            )}
            <StockTable rows={rows} currency={style.value.currency} />
            <AddStock />
          </section>
        </div>
        <div>
          <BandReader drawer={shelved.drawer} />
          <BandTrainer drawer={shelved.drawer} count={style.value.bands} />
          <LampFinder figures={lampFigures.figures} />
          <BatteryReader batteries={read} />
        </div>
      </div>
      <section className="ruled">
        <h2>Lamps</h2>
        <LampTable figures={lampFigures.figures} versions={lampFigures.versions} />
      </section>
    </div>
  );
}
