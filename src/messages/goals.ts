import { formatQuantity, type Goal, type SourceChoice } from '@/core';
import { SCENE_WORDS } from './light';
import { ageName } from './names';
import { listWords } from './stepWords';

const GOALS: Readonly<Record<Goal['code'], (goal: Goal) => string>> = {
  'all-lit': () => 'Every lamp is lit',
  blinks: () => 'Every lamp comes on and goes out',
  'chips-fed': () => 'Every chip has the volts that it is made for',
  'one-takes-all': () => 'One lamp takes the current, and the others stay dark',
  'lights-in-order': () => 'The lamps come on one after another as the volts rise',
  'keeps-time': ({ met, parts }) =>
    met
      ? 'Its times are those that were wished, within 15 %'
      : `${parts.join(' and ')} ${parts.length === 1 ? 'keeps' : 'keep'} another time than was wished`,
  'lit-in': ({ scene }) => `The lamp is lit ${scene ? SCENE_WORDS[scene] : ''}`,
  'dark-in': ({ scene }) => `The lamp is dark ${scene ? SCENE_WORDS[scene] : ''}`,
  'silent-whole': () => 'It is silent while the beam is whole',
  'sounds-cut': () => 'It sounds while the beam is cut',
  'follows-table': () => 'Every lamp is lit and dark in the rows in which the table has it so',
  'own-tone': ({ hertz = 0 }) =>
    `At ${formatQuantity(hertz, 'Hz', 2)} the lamps of its channel light, and those of the others do not`,
  'dark-in-silence': () => 'In silence every lamp is dark',
  'within-limit': () => 'No lamp is above its limit, at any age of the supply',
  'board-makes-it': () => 'The board, read back, makes this circuit',
};

/** What the circuit must do; where it does not, which lamps fail it. */
export function goalWords(goal: Goal, supply: SourceChoice): string {
  const but = goal.met || goal.parts.length === 0 ? '' : `, but not ${listWords(goal.parts)}`;
  const age = goal.age ? `, with the supply ${ageName(goal.age, supply)}` : '';
  return `${GOALS[goal.code](goal)}${age}${but}.`;
}
