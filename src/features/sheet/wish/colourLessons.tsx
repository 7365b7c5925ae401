import type { ParamsOf } from '@/core';
import { formatEntered } from '@/core';
import Button from 'react-bootstrap/Button';
import { Choice, Typed } from '@/features/wish/Words';
import { readWithin } from '@/features/wish/readers';
import { AmpsWord, ChoiceWords, LampWord } from './CommonWords';
import { KnobWord } from './lampLessons';
import type { WishProps } from './wishProps';
import { SupplyWords } from './SupplyWords';

const COLOURS = ['red', 'green', 'blue'] as const;

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
      />{' '}
      from{' '}
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
      ,{' '}
      <Choice
        label="Drive"
        value={params.drive}
        names={[
          ['fixed', 'fixed'],
          ['potentiometer', 'turned by hand'],
        ]}
        onChoose={(drive) => onChange({ ...params, drive })}
      />
      :{' '}
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
