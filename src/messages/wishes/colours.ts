import { CONTROLLERS, MIX_COLOUR_NAMES, PULSES_AT_FIRST, type ControllerId, type ParamsOf } from '@/core';
import { knobNames } from './knob';
import { listed, type Piece } from './sentence';
import { slotsOf } from './slots';

const COLOURS = ['red', 'green', 'blue'] as const;
type Rgb = ParamsOf<'rgb'>;
type Pulses = NonNullable<Rgb['pulses']>;

const r = slotsOf('rgb');

/** The steps of another board for the same shares of the time. */
function stepsOn({ board, steps }: Pulses, next: ControllerId): Pulses['steps'] {
  const scale = CONTROLLERS[next].steps / CONTROLLERS[board].steps;
  const scaled = (colour: keyof Pulses['steps']) => Math.round(steps[colour] * scale);
  return { red: scaled('red'), green: scaled('green'), blue: scaled('blue') };
}

const withPulses = (params: Rgb, change: Partial<Pulses>): Rgb => ({
  ...params,
  pulses: { ...(params.pulses ?? PULSES_AT_FIRST), ...change },
});

const isDriven = ({ drive }: Rgb) => drive === 'pulses';
const fed = r.say` from ${r.supply}, ${r.choice('resistors', 'Resistors', [
  ['own', 'a resistor for each colour'],
  ['shared', 'one resistor for all three'],
])}`;
const drive = r.pick(
  'Drive',
  (params) => params.drive,
  [
    ['fixed', 'fixed'],
    ['potentiometer', 'turned by hand'],
    ['pulses', 'on pulses of a controller'],
  ],
  (params, key) => {
    const next = { ...params, drive: key as Rgb['drive'] };
    return isDriven(next) ? withPulses(next, {}) : next;
  },
);
const board = {
  ...r.controller('pulses.board'),
  choose: (params: Rgb, key: string) => {
    const next = key as ControllerId;
    return withPulses(params, { board: next, steps: stepsOn(params.pulses ?? PULSES_AT_FIRST, next) });
  },
};
const mixed = r.choice('pulses.colour', 'Colour', [
  ...MIX_COLOUR_NAMES.map((name) => [name, name] as const),
  ['own', 'a colour of its own'],
]);
const onPin = (colour: (typeof COLOURS)[number]) => {
  const step = r.count(`pulses.steps.${colour}`, `Step of ${colour}`, 'A colour', 'step', 4);
  const isOwn = ({ pulses }: Rgb) => pulses?.colour === 'own';
  return r.say`, ${colour} on pin ${r.count(`pulses.pins.${colour}`, `Pin of ${colour}`, 'A colour', 'pin')}${r.when(isOwn, r.say` at step ${step}`)}`;
};
const pulses = r.say`, a ${board}, as ${mixed}${onPin('red')}${onPin('green')}${onPin('blue')}`;

const isTurned = (params: Rgb) => params.drive === 'potentiometer' && params.resistors === 'own';
const currents = COLOURS.flatMap((colour, i): Piece<Rgb>[] => {
  const knob = r.choice(`knobs.${colour}`, `Knob of ${colour}`, ({ knobs }) => knobNames(knobs[colour]));
  const amps = r.amps(`amps.${colour}`, `Current of ${colour}`);
  return [i > 0 ? ', ' : '', r.say`${colour} ${amps}${r.when(isTurned, r.say` knob ${knob}`)}`];
});
export const rgb = r.say`Light a three-colour lamp with common ${r.choice('common', 'Common leg', [
  ['cathode', 'cathode'],
  ['anode', 'anode'],
])}${r.when((params) => !isDriven(params), fed)}, ${drive}${r.when(isDriven, pulses)}: ${{ as: 'sentence', pieces: currents }}${r.resistorChoice}.`;

const RUNGS = { least: 2, most: 6 } as const;
const g = slotsOf('gauge');
const rungWords = ({ rungs }: ParamsOf<'gauge'>) =>
  listed(
    rungs.map((_rung, i) => {
      const left = rungs.filter((_, k) => k !== i);
      const without = g.button('×', (params) => ({ ...params, rungs: left }), `Without rung ${i + 1}`);
      const from = g.figure(`rungs.${i}.volts`, `Threshold ${i + 1}`, 'A threshold', 'V');
      return g.say`${g.lamp(`rungs.${i}.lamp`, `Lamp ${i + 1}`)} from ${from}${left.length >= RUNGS.least ? without : ''}`;
    }),
  );
const moreRungs = g.button('+ rung', (params) => {
  const { volts } = params.rungs[params.rungs.length - 1]!;
  return { ...params, rungs: [...params.rungs, { lamp: 'green', volts }] };
});
export const gauge = g.say`Gauge ${g.supply}: ${rungWords} ${g.when(({ rungs }) => rungs.length < RUNGS.most, moreRungs)}, at most ${g.amps('amps')} a lamp${g.resistorChoice}.`;
