'use client';

import {
  createColumnHelper,
  createSortedRowModel,
  rowSortingFeature,
  sortFns,
  tableFeatures,
  useTable,
} from '@tanstack/react-table';
import { useRouter } from 'next/navigation';
import { useState } from 'react';
import { useForm } from 'react-hook-form';
import Button from 'react-bootstrap/Button';
import Form from 'react-bootstrap/Form';
import { money } from '@/messages/money';
import { stockName } from '@/messages/names';
import type { StockRow } from '@/server/repositories/stock';
import { useFinder } from '@/ui/useFinder';
import { SortHead } from '@/ui/SortHead';
import { heard } from '@/ui/heard';
import { Overtaken, type Shown } from '@/ui/Overtaken';
import { useSaving } from '@/ui/useSaving';
import { Problem } from '@/ui/Problem';
import { changeStock, takeOutStock, type StockFormValues } from './actions';

const features = tableFeatures({ rowSortingFeature, sortedRowModel: createSortedRowModel(), sortFns });
const helper = createColumnHelper<typeof features, StockRow>();
const columns = helper.columns([
  helper.accessor((row) => stockName(row.spec), { id: 'part', header: 'part' }),
  helper.accessor('have', { header: 'in store' }),
  helper.accessor('packSize', { header: 'pack of' }),
  helper.accessor('packCents', { header: 'price of a pack' }),
  helper.accessor('place', { header: 'place' }),
]);

/** The stock, row by row; a row opens into its figures. */
export function StockTable({ rows, currency }: { rows: StockRow[]; currency: string }) {
  const [open, setOpen] = useState<number | undefined>();
  const { found, shown, head, foot } = useFinder(
    rows,
    'kinds of parts',
    ({ spec, place }) => `${stockName(spec)} ${place}`,
    {},
    '',
    ({ id }) => id,
  );
  const table = useTable({ features, columns, data: found as StockRow[] });
  return (
    <>
      {head}
      <table className="table">
        <thead>
          <tr>
            {table.getHeaderGroups()[0]!.headers.map((header) => (
              <SortHead
                key={header.id}
                figure={header.id !== 'part' && header.id !== 'place'}
                sorted={header.column.getIsSorted()}
                onSort={() => header.column.toggleSorting()}
              >
                {String(header.column.columnDef.header)}
              </SortHead>
            ))}
            <th>
              <span className="visually-hidden">change</span>
            </th>
          </tr>
        </thead>
        <tbody>
          {/* Ordered by a column, all are, and not the page that is shown. */}
          {table
            .getRowModel()
            .rows.slice(0, shown.length)
            .map(({ original: row }) =>
              row.id === open ? (
                <EditRow key={row.id} row={row} onDone={() => setOpen(undefined)} />
              ) : (
                <tr key={row.id}>
                  <th scope="row">{stockName(row.spec)}</th>
                  <td className="amount">{row.have}</td>
                  <td className="amount">{row.packSize}</td>
                  <td className="amount">{money(row.packCents, currency)}</td>
                  <td>{row.place}</td>
                  <td className="amount">
                    <Button
                      variant="text"
                      className="btn-text"
                      aria-label={`Change ${stockName(row.spec)}`}
                      onClick={() => setOpen(row.id)}
                    >
                      change
                    </Button>
                  </td>
                </tr>
              ),
            )}
        </tbody>
      </table>
      {foot}
    </>
  );
}

interface Fields {
  have: number;
  packSize: number;
  price: string;
  place: string;
}

function fieldsOf({ have, packSize, packCents, place }: StockFormValues): Fields {
  return { have, packSize, price: (packCents / 100).toFixed(2), place };
}

function shownStock({ have, packSize, packCents, place }: StockFormValues): Shown {
  return [
    ['in store', String(have)],
    ['pack of', String(packSize)],
    ['price of a pack', (packCents / 100).toFixed(2)],
    ['place', place],
  ];
}

function EditRow({ row, onDone }: { row: StockRow; onDone: () => void }) {
  const router = useRouter();
  const [problem, setProblem] = useState('');
  const { register, handleSubmit, reset } = useForm<Fields>({ defaultValues: fieldsOf(row) });
  const saving = useSaving<StockFormValues>({
    version: row.version,
    send: (version, values) => changeStock(row.id, version, values),
    onSaved: onDone,
    onTheirs: (theirs) => reset(fieldsOf(theirs)),
  });
  const save = handleSubmit(({ have, packSize, price, place }) =>
    saving.save({
      have: Number(have),
      packSize: Number(packSize),
      packCents: Math.round(Number(price.replace(',', '.')) * 100),
      place,
    }),
  );
  const [sure, setSure] = useState(false);
  const takeOut = async () => {
    if (!sure) return setSure(true);
    const answer = await heard(takeOutStock(row.id, row.version));
    if (!answer.ok) return setProblem(answer.message);
    router.refresh();
    onDone();
  };
  const name = stockName(row.spec);
  return (
    <>
      <tr className="edit-row">
        <th scope="row">
          {name}
          <Problem>{problem}</Problem>
        </th>
        <td>
          <Form.Control
            size="sm"
            type="number"
            aria-label={`${name}: in store`}
            {...register('have', { valueAsNumber: true })}
          />
        </td>
        <td>
          <Form.Control
            size="sm"
            type="number"
            aria-label={`${name}: pack of`}
            {...register('packSize', { valueAsNumber: true })}
          />
        </td>
        <td>
          <Form.Control
            size="sm"
            inputMode="decimal"
            aria-label={`${name}: price of a pack`}
            {...register('price')}
          />
        </td>
        <td>
          <Form.Control size="sm" aria-label={`${name}: place`} {...register('place')} />
        </td>
        <td className="amount">
          <Button size="sm" onClick={() => void save()}>
            Save
          </Button>{' '}
          <Button size="sm" variant="quiet" onClick={onDone}>
            Leave
          </Button>{' '}
          <Button size="sm" variant="quiet" onClick={() => void takeOut()}>
            {sure ? 'Yes, take it out' : 'Take out'}
          </Button>
        </td>
      </tr>
      {saving.problem && (
        <tr className="edit-row">
          <td colSpan={6}>
            <Overtaken saving={saving} shown={shownStock} />
          </td>
        </tr>
      )}
    </>
  );
}
