import {
  CONTROLLER_IDS,
  CONTROLLERS,
  formatEntered,
  MIX_COLOUR_NAMES,
  PULSES_AT_FIRST,
  type ParamsOf,
} from '@/core';
import Button from 'react-bootstrap/Button';
import { Choice, Typed } from '@/features/wish/Words';
import { readWithin } from '@/features/wish/readers';
import { CONTROLLER_NAMES } from '@/messages/names';
import { AmpsWord, ChoiceWords, LampWord } from './CommonWords';
import { countReader } from './problems';
import { KnobWord } from './lampLessons';
import type { WishProps } from './wishProps';
import { SupplyWords } from './SupplyWords';

const COLOURS = ['red', 'green', 'blue'] as const;

type Rgb = ParamsOf<'rgb'>;
type RgbWords = Omit<WishProps<Rgb>, 'style'>;

/** What feeds the lamp, where no controller does. */
function FedWords({ params, problems, onChange }: RgbWords) {
  return (
    <>
      {' from '}
      <SupplyWords
        supply={params.supply}
        problems={problems}
        onChange={(supply) => onChange({ ...params, supply })}
      />
      ,{' '}
      <Choice
        label="Resistors"
        value={params.resistors}
        names={[
          ['own', 'a resistor for each colour'],
          ['shared', 'one resistor for all three'],
        ]}
        onChoose={(resistors) => onChange({ ...params, resistors })}
      />
    </>
  );
}

const readPin = countReader('A colour', 'pin', 0, 99);
const readStep = countReader('A colour', 'step', 0, 65535);

type Pulses = NonNullable<Rgb['pulses']>;

/** The steps of another board for the same shares of the time. */
function stepsOn({ board, steps }: Pulses, next: Pulses['board']): Pulses['steps'] {
  const scale = CONTROLLERS[next].steps / CONTROLLERS[board].steps;
  const scaled = (colour: keyof Pulses['steps']) => Math.round(steps[colour] * scale);
  return { red: scaled('red'), green: scaled('green'), blue: scaled('blue') };
}

/** The board, the colour by name or by its steps, and the pins. */
function PulsesWords({ params, problems, onChange }: RgbWords) {
  const pulses = params.pulses ?? PULSES_AT_FIRST;
  const set = (change: Partial<typeof pulses>) => onChange({ ...params, pulses: { ...pulses, ...change } });
  return (
    <>
      {', a '}
      <Choice
        label="Controller"
        value={pulses.board}
        names={CONTROLLER_IDS.map((id) => [id, CONTROLLER_NAMES[id]])}
        onChoose={(board) => set({ board, steps: stepsOn(pulses, board) })}
      />
      {', as '}
      <Choice
        label="Colour"
        value={pulses.colour}
        names={[...MIX_COLOUR_NAMES.map((name) => [name, name] as const), ['own', 'a colour of its own']]}
        onChoose={(colour) => set({ colour })}
      />
      {COLOURS.map((colour) => (
        <span key={colour}>
          , {colour} on pin{' '}
          <Typed
            label={`Pin of ${colour}`}
            value={String(pulses.pins[colour])}
            read={readPin}
            onValue={(pin) => set({ pins: { ...pulses.pins, [colour]: pin } })}
            onProblem={problems.of(`pin of ${colour}`)}
            width={2}
          />
          {pulses.colour === 'own' && (
            <>
              {' at step '}
              <Typed
                label={`Step of ${colour}`}
                value={String(pulses.steps[colour])}
                read={readStep}
                onValue={(step) => set({ steps: { ...pulses.steps, [colour]: step } })}
                onProblem={problems.of(`step of ${colour}`)}
                width={4}
              />
            </>
          )}
        </span>
      ))}
    </>
  );
}

export function RgbWish({ params, style, problems, onChange }: WishProps<ParamsOf<'rgb'>>) {
  return (
    <>
      Light a three-colour lamp with common{' '}
      <Choice
        label="Common leg"
        value={params.common}
        names={[
          ['cathode', 'cathode'],
          ['anode', 'anode'],
        ]}
        onChoose={(common) => onChange({ ...params, common })}
      />
      {params.drive !== 'pulses' && <FedWords {...{ params, problems, onChange }} />},{' '}
      <Choice
        label="Drive"
        value={params.drive}
        names={[
          ['fixed', 'fixed'],
          ['potentiometer', 'turned by hand'],
          ['pulses', 'on pulses of a controller'],
        ]}
        onChoose={(drive) =>
          onChange({
            ...params,
            drive,
            ...(drive === 'pulses' ? { pulses: params.pulses ?? PULSES_AT_FIRST } : {}),
          })
        }
      />
      {params.drive === 'pulses' && <PulsesWords {...{ params, problems, onChange }} />}:{' '}
      {COLOURS.map((colour, i) => (
        <span key={colour}>
          {i > 0 && ', '}
          {colour}{' '}
          <AmpsWord
            label={`Current of ${colour}`}
            amps={params.amps[colour]}
            problems={problems}
            onChange={(amps) => onChange({ ...params, amps: { ...params.amps, [colour]: amps } })}
          />
          {params.drive === 'potentiometer' && params.resistors === 'own' && (
            <>
              {' knob '}
              <KnobWord
                label={`Knob of ${colour}`}
                position={params.knobs[colour]}
                onChange={(position) =>
                  onChange({ ...params, knobs: { ...params.knobs, [colour]: position } })
                }
              />
            </>
          )}
        </span>
      ))}
      <ChoiceWords params={params} style={style} onChange={onChange} />.
    </>
  );
}

const readThreshold = readWithin('A threshold', 'V', 3, 24);

export function GaugeWish({ params, style, problems, onChange }: WishProps<ParamsOf<'gauge'>>) {
  const { rungs } = params;
  const withRung = (i: number, change: Partial<(typeof rungs)[number]>) =>
    onChange({ ...params, rungs: rungs.map((rung, k) => (k === i ? { ...rung, ...change } : rung)) });
  return (
    <>
      Gauge{' '}
      <SupplyWords
        supply={params.supply}
        problems={problems}
        onChange={(supply) => onChange({ ...params, supply })}
      />
      :{' '}
      {rungs.map((rung, i) => (
        <span key={`${i}`}>
          {i > 0 && (i === rungs.length - 1 ? ' and ' : ', ')}
          <LampWord
            label={`Lamp ${i + 1}`}
            lamp={rung.lamp}
            onChange={(lamp) => withRung(i, { lamp })}
          />{' '}
          from{' '}
          <Typed
            label={`Threshold ${i + 1}`}
            value={formatEntered(rung.volts, 'V')}
            read={readThreshold}
            onValue={(volts) => withRung(i, { volts })}
            onProblem={problems.of(`rung ${i}`)}
            width={6}
          />
          {rungs.length > 2 && (
            <Button
              variant="text"
              className="btn-text word-button"
              aria-label={`Without rung ${i + 1}`}
              onClick={() => onChange({ ...params, rungs: rungs.filter((_, k) => k !== i) })}
            >
              ×
            </Button>
          )}
        </span>
      ))}{' '}
      {rungs.length < 6 && (
        <Button
          variant="text"
          className="btn-text word-button"
          onClick={() =>
            onChange({
              ...params,
              rungs: [...rungs, { lamp: 'green', volts: rungs[rungs.length - 1]!.volts }],
            })
          }
        >
          + rung
        </Button>
      )}
      , at most{' '}
      <AmpsWord amps={params.amps} problems={problems} onChange={(amps) => onChange({ ...params, amps })} /> a
      lamp
      <ChoiceWords params={params} style={style} onChange={onChange} />.
    </>
  );
}
