import { useState } from 'react';
import Form from 'react-bootstrap/Form';
import {
  formatPercent,
  formatQuantity,
  type Extra,
  type HouseStyle,
  type Kit,
  type KitLine,
  type Sheet,
  type SheetRequest,
  type StockSpec,
} from '@/core';
import { useAsked } from '@/features/asking/useAsked';
import { CAUTION_WORDS } from '@/messages/cautions';
import { stockName } from '@/messages/names';
import { money } from '@/messages/money';
import { talkFor } from '@/messages/talk';
import type { GroupChoice } from '../given';
import { ExtrasSection } from '../kit/ExtrasSection';
import { StatusMark } from '@/ui/StatusMark';
import { Heads } from '@/ui/Heads';

interface Props {
  readonly sheet: Sheet;
  readonly request: SheetRequest;
  readonly groups: readonly GroupChoice[];
  /** The group that it is given to next. */
  readonly nextGroup: number | undefined;
  readonly style: HouseStyle;
  readonly csvHref: string;
  readonly extras: readonly Extra[];
  onExtras(extras: readonly Extra[]): void;
}

/** Parts for one, for the group, with spares, against the stock, and what to buy; what else the lesson wants; tools. */
export function KitStage({ extras, onExtras, groups, nextGroup, request, ...rest }: Props) {
  const [chosen, setChosen] = useState(nextGroup ?? groups[0]?.id);
  const group = groups.find(({ id }) => id === chosen);
  const { sheet, waiting } = useCountedFor(rest.sheet, request, group?.students);
  return (
    <>
      {groups.length > 1 && (
        <Form.Group controlId="kit-group" className="level-switch no-print">
          <Form.Label>Counted for</Form.Label>
          <Form.Select
            size="sm"
            className="w-auto"
            value={chosen}
            onChange={(event) => setChosen(Number(event.target.value))}
          >
            {groups.map(({ id, name, students }) => (
              <option key={id} value={id}>{`${name} (${students})`}</option>
            ))}
          </Form.Select>
        </Form.Group>
      )}
      <div className={waiting ? 'stale' : undefined} aria-busy={waiting}>
        <KitTable
          {...rest}
          sheet={sheet}
          csvHref={group ? `${rest.csvHref}?group=${group.id}` : rest.csvHref}
          name={waiting ? undefined : group?.name}
        />
      </div>
      <ExtrasSection extras={extras} onExtras={onExtras} />
      <section className="ruled">
        <h2>Tools, which are in no kit</h2>
        <ul>
          {talkFor(rest.sheet).tools.map((tool) => (
            <li key={tool}>{tool}</li>
          ))}
        </ul>
      </section>
    </>
  );
}

type Question = { readonly sheet: Sheet; readonly request: SheetRequest } | null;
type Core = Parameters<Parameters<typeof useAsked<Question, Sheet | undefined>>[2]>[0];
const ask = async (core: Core, question: Question): Promise<Sheet | undefined> =>
  question ? core.counted(question.sheet, question.request) : undefined;

/** The sheet with its kit counted for so many students; until that is there, as it was, and said to be. */
function useCountedFor(
  sheet: Sheet,
  request: SheetRequest,
  students = sheet.kit.students,
): { readonly sheet: Sheet; readonly waiting: boolean } {
  const same = students === 0 || students === sheet.kit.students;
  const { reply, waiting } = useAsked(
    'careful',
    same ? null : { sheet, request: { ...request, students } },
    ask,
  );
  const counted = waiting ? undefined : reply;
  return same ? { sheet, waiting: false } : { sheet: counted ?? sheet, waiting: counted === undefined };
}

function KitTable({
  sheet,
  style,
  csvHref,
  name,
}: Pick<Props, 'sheet' | 'style' | 'csvHref'> & { name: string | undefined }) {
  const { kit } = sheet;
  const cents = (amount: number) => money(amount, style.currency);
  return (
    <section className="ruled">
      <div className="ruled-head">
        <h2>
          Kit for {kit.students} students{name && `, ${name}`}
        </h2>
        <a className="btn btn-quiet btn-sm no-print" href={csvHref}>
          Save as CSV
        </a>
      </div>
      <table className="table">
        <Heads
          columns={[
            ['part'],
            ['for one', 'amount'],
            ['for all', 'amount'],
            ['spares', 'amount'],
            ['in store', 'amount'],
            ['to buy', 'amount'],
            ['costs', 'amount'],
          ]}
        />
        <tbody>
          {kit.lines.map((line) => (
            <tr key={line.key}>
              <th scope="row">
                {stockName(line.spec)} <span className="small-print">{line.parts.join(', ')}</span>
              </th>
              <td className="amount">
                {line.each}
                {line.per !== 'student' && <span className="small-print"> {PER_WORDS[line.per]}</span>}
              </td>
              <td className="amount">{line.forGroup}</td>
              <td className="amount">{line.spares}</td>
              <td className="amount">{line.have}</td>
              <td className="amount">
                {line.short > 0 ? (
                  <>
                    <StatusMark status="off" size={9} /> {line.packs} × {line.packSize}
                  </>
                ) : (
                  '–'
                )}
              </td>
              <td className="amount">{costWords(line, cents)}</td>
            </tr>
          ))}
        </tbody>
        <tfoot>
          <tr>
            <th scope="row">
              one kit {cents(kit.eachCents)}
              {kit.aloneCents > kit.eachCents && (
                <span className="small-print"> {cents(kit.aloneCents)} for one who buys whole packs</span>
              )}
            </th>
            <td colSpan={5} className="amount">
              to buy now
            </td>
            <td className="amount strong">
              {cents(kit.buyCents)}
              {kit.lines.some((l) => l.short > 0 && l.eachCents === undefined) && (
                <span className="small-print"> and what has no price</span>
              )}
            </td>
          </tr>
        </tfoot>
      </table>
      {sheet.substitutes.map(({ key, instead, have, lamp, before, after }) => (
        <p key={key} className="small-print mt-2">
          Instead of {nameOf(kit, key)}, of which there are too few: {stockName(instead)}, {have} in store.
          All kits alike, {lamp} then carries {formatQuantity(after, 'A')} in place of{' '}
          {formatQuantity(before, 'A')}.
        </p>
      ))}
      <p className="small-print mt-2">
        Spares: so many that the chance of running out of a part is at most {formatPercent(style.spareRisk)},
        when a class loses {lossWords(kit)}.
        {kit.unpriced.length > 0 &&
          ` Not in the store, so without a price: ${kit.lines
            .filter((l) => kit.unpriced.includes(l.key))
            .map((l) => stockName(l.spec))
            .join(', ')}.`}
      </p>
      {sheet.cautions
        .filter(({ place }) => place === 'kit')
        .map(({ code }) => (
          <p key={code} className="caution-line">
            {CAUTION_WORDS[code]}
          </p>
        ))}
    </section>
  );
}

const PER_WORDS = { bench: 'for two', class: 'for all' } as const;

/** What is to buy and has no price says so: it is not for nothing. */
function costWords({ short, buyCents, eachCents }: KitLine, cents: (amount: number) => string): string {
  if (short === 0) return '–';
  return eachCents === undefined ? 'no price' : cents(buyCents);
}

const LOST: Readonly<Record<StockSpec['kind'], string>> = {
  resistor: 'resistors',
  led: 'lamps',
  cell: 'cells',
  holder: 'holders',
  supply: 'leads',
  jumper: 'jumpers',
  board: 'boards',
  potentiometer: 'potentiometers',
  zener: 'zeners',
  button: 'buttons',
  'slide-switch': 'switches',
  'rgb-lamp': 'three-colour lamps',
  tape: 'pieces of tape',
  'tinned-wire': 'pieces of wire',
  capacitor: 'capacitors',
  inductor: 'coils',
  diode: 'diodes',
  transistor: 'transistors',
  timer: 'timer chips',
  'light-sensor': 'light sensors',
  speaker: 'speakers',
  'sound-lead': 'sound leads',
  controller: 'controllers',
  'clip-lead': 'clip leads',
  fuse: 'fuses',
  iron: 'irons',
  thing: 'other things',
};

/** The loss rates that the spares were counted with, as the kit carries them. */
function lossWords({ lines }: Kit): string {
  const rates = new Map(lines.map(({ spec, lossRate }) => [LOST[spec.kind], lossRate]));
  return [...rates].map(([name, rate]) => `${formatPercent(rate)} of its ${name}`).join(', ');
}

function nameOf({ lines }: Kit, key: string): string {
  const line = lines.find((other) => other.key === key);
  return line ? stockName(line.spec) : key;
}
