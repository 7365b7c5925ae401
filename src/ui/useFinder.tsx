'use client';

import { useId, useState, type ReactNode } from 'react';
import Button from 'react-bootstrap/Button';
import Form from 'react-bootstrap/Form';
import './finder.css';

/** A page of a list; there is a search wherever a list is longer. */
const PAGE = 40;

/** A way to order a list, by its name. */
export type Orders<T> = Readonly<Record<string, (a: T, b: T) => number>>;

interface Found<T> {
  /** All that was found, and what is shown of it now, in its order. */
  readonly found: readonly T[];
  readonly shown: readonly T[];
  /** By the name of the order; empty for that in which the list came. */
  readonly order: string;
  /** Search and order; nothing while the list is short. */
  readonly head: ReactNode;
  /** How many there are besides, and a way to see them. */
  readonly foot: ReactNode;
}

/**
 * Search, order and pages of a list that may grow long.
 *
 * @param name what the list is of, in the plural
 * @param textOf all that it is searched by
 * @param orders besides the order in which it came
 * @param first name of the order in which it came
 * @param idOf tells one from another where some come while the list is open: those stand first, to be seen
 */
export function useFinder<T>(
  list: readonly T[],
  name: string,
  textOf: (one: T) => string,
  orders: Orders<T> = {},
  first = 'as they stand',
  idOf?: (one: T) => number,
): Found<T> {
  const [wanted, setWanted] = useState('');
  const [order, setOrder] = useState('');
  const [most, setMost] = useState(PAGE);
  const field = useId();
  const [before] = useState(() => new Set(idOf && list.map(idOf)));
  const isNew = (one: T) => idOf !== undefined && !before.has(idOf(one));
  const words = plain(wanted).split(/\s+/u).filter(Boolean);
  const found = newFirst(list, isNew).filter((one) => {
    const text = words.length > 0 ? plain(textOf(one)) : '';
    return words.every((word) => text.includes(word));
  });
  const by = orders[order];
  const ordered = by ? [...found].sort(by) : found;
  const shown = ordered.slice(0, most);
  const isLong = list.length > PAGE;
  const head = isLong && (
    <div className="finder">
      <Form.Control
        id={`${field}-find`}
        type="search"
        aria-label={`Find among ${list.length} ${name}`}
        placeholder={`Find among ${list.length} ${name}`}
        value={wanted}
        onChange={(event) => {
          setWanted(event.target.value);
          setMost(PAGE);
        }}
      />
      {Object.keys(orders).length > 0 && (
        <Form.Select
          aria-label={`Order of ${name}`}
          value={order}
          onChange={(event) => setOrder(event.target.value)}
        >
          {['', ...Object.keys(orders)].map((one) => (
            <option key={one} value={one}>
              {one || first}
            </option>
          ))}
        </Form.Select>
      )}
    </div>
  );
  const left = ordered.length - shown.length;
  const foot = isLong && (
    <p className="finder-foot" role="status">
      {found.length === 0
        ? `No ${name} with “${wanted}”.`
        : left > 0 && (
            <>
              {shown.length} of {ordered.length} are shown.{' '}
              <Button size="sm" variant="quiet" onClick={() => setMost(most + PAGE)}>
                Show {Math.min(PAGE, left)} more
              </Button>
            </>
          )}
    </p>
  );
  return { found: ordered, shown, order, head, foot };
}

function newFirst<T>(list: readonly T[], isNew: (one: T) => boolean): readonly T[] {
  const news = list.filter(isNew);
  return news.length > 0 ? [...news, ...list.filter((one) => !isNew(one))] : list;
}

/** As names are compared: without regard to capitals and accents. */
function plain(text: string): string {
  return text.normalize('NFKD').replace(/\p{M}/gu, '').toLowerCase();
}
