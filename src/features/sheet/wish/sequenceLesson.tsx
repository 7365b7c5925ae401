import Button from 'react-bootstrap/Button';
import { COLUMNS_MOST, CONTROLLER_IDS, CONTROLLERS, nearestPin, ROUNDS_MOST, type ParamsOf } from '@/core';
import { Choice, Typed } from '@/features/wish/Words';
import { CONTROLLER_NAMES } from '@/messages/names';
import { AmpsWord, ChoiceWords, LampWord } from './CommonWords';
import { countReader } from './problems';
import type { WishProps } from './wishProps';

type Params = ParamsOf<'sequence'>;

const readPin = countReader('A lamp', 'pin', 0, 99);
const readRounds = countReader('The table', 'rounds', 1, ROUNDS_MOST);

/** The table with another board: what was fully on is so again, and what was dimmed keeps its share. */
function onBoard(params: Params, board: Params['board']): Params {
  const scale = CONTROLLERS[board].steps / CONTROLLERS[params.board].steps;
  const rows = params.rows.map((row) => ({
    ...row,
    steps: row.steps.map((step) => Math.round(step * scale)),
  }));
  return { ...params, board, rows };
}

/** With one lamp more, on the nearest pin that is free, and dark in every row. */
function withLamp(params: Params): Params {
  const used = [...params.lamps.map(({ pin }) => pin), ...params.columns];
  const last = params.lamps[params.lamps.length - 1]!;
  const pin = nearestPin(CONTROLLERS[params.board], last.pin, used) ?? last.pin;
  return {
    ...params,
    lamps: [...params.lamps, { lamp: 'green', pin }],
    columns: [...params.columns, pin],
    rows: params.rows.map((row) => ({ ...row, steps: [...row.steps, 0] })),
  };
}

function without(params: Params, i: number): Params {
  const left = <T,>(list: readonly T[]) => list.filter((_, k) => k !== i);
  return {
    ...params,
    lamps: left(params.lamps),
    columns: left(params.columns),
    rows: params.rows.map((row) => ({ ...row, steps: left(row.steps) })),
  };
}

/** A lamp's lead moved to another pin takes its column of the table along. */
function onPin(params: Params, i: number, pin: number): Params {
  const before = params.lamps[i]!.pin;
  return {
    ...params,
    lamps: params.lamps.map((lamp, k) => (k === i ? { ...lamp, pin } : lamp)),
    columns: params.columns.map((column, k) => (k === i && column === before ? pin : column)),
  };
}

export function SequenceWish({ params, style, problems, onChange }: WishProps<Params>) {
  const { lamps } = params;
  const setLamp = (i: number, change: Partial<Params['lamps'][number]>) =>
    onChange({ ...params, lamps: lamps.map((lamp, k) => (k === i ? { ...lamp, ...change } : lamp)) });
  return (
    <>
      Let a{' '}
      <Choice
        label="Controller"
        value={params.board}
        names={CONTROLLER_IDS.map((id) => [id, CONTROLLER_NAMES[id]])}
        onChoose={(board) => onChange(onBoard(params, board))}
      />{' '}
      light{' '}
      {lamps.map(({ lamp, pin }, i) => (
        <span key={`${i}`}>
          {i > 0 && (i === lamps.length - 1 ? ' and ' : ', ')}
          <LampWord label={`Lamp ${i + 1}`} lamp={lamp} onChange={(next) => setLamp(i, { lamp: next })} /> on
          pin{' '}
          <Typed
            label={`Pin of lamp ${i + 1}`}
            value={String(pin)}
            read={readPin}
            onValue={(next) => onChange(onPin(params, i, next))}
            onProblem={problems.of(`pin of lamp ${i + 1}`)}
            width={2}
          />
          {lamps.length > 1 && (
            <Button
              variant="text"
              className="btn-text word-button"
              aria-label={`Without lamp ${i + 1}`}
              onClick={() => onChange(without(params, i))}
            >
              ×
            </Button>
          )}
        </span>
      ))}{' '}
      {lamps.length < COLUMNS_MOST && (
        <Button variant="text" className="btn-text word-button" onClick={() => onChange(withLamp(params))}>
          + lamp
        </Button>
      )}
      ,{' '}
      <Choice
        label="Other end of the lamps"
        value={params.common}
        names={[
          ['minus', 'towards ground'],
          ['plus', 'hung from its rail'],
        ]}
        onChoose={(common) => onChange({ ...params, common })}
      />
      ,{' '}
      <Choice
        label="Resistors"
        value={params.resistors}
        names={[
          ['own', 'each with its own resistor'],
          ['shared', 'all with one resistor'],
        ]}
        onChoose={(resistors) => onChange({ ...params, resistors })}
      />
      , about{' '}
      <AmpsWord amps={params.amps} problems={problems} onChange={(amps) => onChange({ ...params, amps })} />{' '}
      each, by the table below,{' '}
      <Choice
        label="Rounds"
        value={params.rounds === 0 ? 'ever' : 'times'}
        names={[
          ['times', 'so many times:'],
          ['ever', 'over and over'],
        ]}
        onChoose={(how) => onChange({ ...params, rounds: how === 'ever' ? 0 : 2 })}
      />{' '}
      {params.rounds > 0 && (
        <>
          <Typed
            label="Number of rounds"
            value={String(params.rounds)}
            read={readRounds}
            onValue={(rounds) => onChange({ ...params, rounds })}
            onProblem={problems.of('rounds')}
            width={2}
          />
          , then{' '}
          <Choice
            label="At the end"
            value={params.after}
            names={[
              ['off', 'all off'],
              ['stay', 'as the last row leaves them'],
            ]}
            onChoose={(after) => onChange({ ...params, after })}
          />
        </>
      )}
      <ChoiceWords params={params} style={style} onChange={onChange} />.
    </>
  );
}
