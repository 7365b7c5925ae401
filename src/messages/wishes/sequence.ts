import {
  COLUMNS_MOST,
  readCount,
  ROUNDS_MOST,
  sequenceEdits,
  type ControllerId,
  type ParamsOf,
} from '@/core';
import { listed } from './sentence';
import { slotsOf } from './slots';

type Params = ParamsOf<'sequence'>;
const { onBoard, onPin, withLamp, withoutLamp } = sequenceEdits;

const s = slotsOf('sequence');
const board = {
  ...s.controller('board'),
  choose: (params: Params, key: string) => onBoard(params, key as ControllerId),
};
const lampWords = ({ lamps }: Params) =>
  listed(
    lamps.map((_lamp, i) => {
      const pin = {
        ...s.count(`lamps.${i}.pin`, `Pin of lamp ${i + 1}`, 'A lamp', 'pin'),
        set: (params: Params, next: number) => onPin(params, i, next),
      };
      const without = s.button('×', (params) => withoutLamp(params, i), `Without lamp ${i + 1}`);
      return s.say`${s.lamp(`lamps.${i}.lamp`, `Lamp ${i + 1}`)} on pin ${pin}${lamps.length > 1 ? without : ''}`;
    }),
  );
const oneMore = s.when(({ lamps }) => lamps.length < COLUMNS_MOST, s.button('+ lamp', withLamp));
const common = s.choice('common', 'Other end of the lamps', [
  ['minus', 'towards ground'],
  ['plus', 'hung from its rail'],
]);
const resistors = s.choice('resistors', 'Resistors', [
  ['own', 'each with its own resistor'],
  ['shared', 'all with one resistor'],
]);
const rounds = s.pick(
  'Rounds',
  (params) => (params.rounds === 0 ? 'ever' : 'times'),
  [
    ['times', 'so many times:'],
    ['ever', 'over and over'],
  ],
  (params, how) => ({ ...params, rounds: how === 'ever' ? 0 : 2 }),
);
const times = s.typed(
  'rounds',
  'Number of rounds',
  2,
  String,
  readCount('The table', 'rounds', 1, ROUNDS_MOST),
);
const atTheEnd = s.choice('after', 'At the end', [
  ['off', 'all off'],
  ['stay', 'as the last row leaves them'],
]);
const ends = s.when((params) => params.rounds > 0, s.say`${times}, then ${atTheEnd}`);
export const sequence = s.say`Let a ${board} light ${lampWords} ${oneMore}, ${common}, ${resistors}, about ${s.amps('amps')} each, by the table below, ${rounds} ${ends}${s.resistorChoice}.`;
