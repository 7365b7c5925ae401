import { formatEntered, formatQuantity, type ControllerId, type FindingData } from '@/core';
import { counted } from './grammar';
import { CONTROLLER_NAMES } from './names';

const amps = (value: number) => formatQuantity(value, 'A');

type Code =
  | 'no-such-pin'
  | 'pin-twice'
  | 'step-beyond'
  | 'pin-does-not-dim'
  | 'table-misses-wire'
  | 'pin-uploads'
  | 'times-contradict'
  | 'share-while-lit'
  | 'pin-over-current'
  | 'pins-over-current'
  | 'pin-does-not-read'
  | 'threshold-outside'
  | 'hysteresis-wide'
  | 'words-unknown'
  | 'times-unequal'
  | 'rows-beyond'
  | 'table-columns';

/** What is said of programs: their pins, steps, times, thresholds, and the words they are typed in. */
export const PROGRAM_SENTENCES: { readonly [C in Code]: (data: FindingData[C]) => string } = {
  'no-such-pin': ({ board, pin, nearest, where }) =>
    `The ${CONTROLLER_NAMES[board as ControllerId]} has no pin ${pin}, which ${where === 'wire' ? 'a lamp hangs on' : 'the table names'}. Pin ${nearest} is free.`,
  'pin-twice': ({ pin, nearest, where }) =>
    where === 'wire'
      ? `Two lamps hang on pin ${pin}, and would always do the same. Pin ${nearest} is free.`
      : `Two columns of the table name pin ${pin}. Pin ${nearest} is free.`,
  'step-beyond': ({ row, pin, step, limit }) =>
    `${row > 0 ? `Row ${row}` : 'The mix'} sets pin ${pin} to ${step}, and this board’s steps end at ${limit}: nothing wraps round to 0. Write ${limit} for fully on.`,
  'pin-does-not-dim': ({ row, pin, how, nearest }) =>
    `${row > 0 ? `Row ${row}` : 'The mix'} ${how === 'fade' ? 'fades' : 'dims'} pin ${pin}, which is only on or off. Pin ${nearest} dims and is free${row > 0 ? '; or let the row jump to fully on' : ''}.`,
  'table-misses-wire': ({ part, wire, pin }) =>
    `The lead of ${part} is in pin ${wire}, and the table sets pin ${pin}: ${part} stays dark. Change the one or the other.`,
  'pin-uploads': ({ pin, nearest }) =>
    `Pin ${pin} carries the program to the board: its lamp flickers meanwhile, and may keep the program out. Pin ${nearest} is free.`,
  'times-contradict': ({ says, sum, rounds }) =>
    `The lesson says that ${rounds === 0 ? 'a round' : 'all of it'} takes ${formatEntered(says, 's')}, and the rows come to ${formatEntered(sum, 's')}${rounds > 1 ? ` in ${rounds} rounds` : ''}. One of them is wrong.`,
  'share-while-lit': ({ row, first, second, more, less }) =>
    `Row ${row} has ${first} and ${second} on at once, and they share one resistor: ${first} takes ${amps(more)}, ${second} is left ${amps(less)}. Give each its own, or light one at a time.`,
  'pin-over-current': ({ pin, amps: carried, limit, most }) =>
    carried > most
      ? `Pin ${pin} would carry ${amps(carried)}, and it stands ${amps(most)} at the very most. Ask for ${amps(limit)} a lamp.`
      : `Pin ${pin} carries ${amps(carried)}, more than the ${amps(limit)} it is made for, though less than the ${amps(most)} it stands. ${amps(limit)} a lamp is better.`,
  'pins-over-current': ({ row, amps: all, limit }) =>
    `In row ${row} all pins together would carry ${amps(all)}, and the board stands ${amps(limit)}. Light fewer at once, or ask for less current a lamp.`,
  'pin-does-not-read': ({ pin, nearest }) =>
    `Pin ${pin} knows only high and low: it reads no volts. Pin ${nearest} reads and is free.`,
  'threshold-outside': ({ threshold, low, high, nearest }) =>
    `A threshold of ${threshold} lies outside of what the two scenes read, ${low} and ${high}: the lamp would never change. ${nearest} is half way.`,
  'hysteresis-wide': ({ hysteresis, most, low, high }) =>
    `Going on and off ${hysteresis} counts apart does not fit between the readings ${low} and ${high} about this threshold. ${most} counts do.`,
  'words-unknown': ({ words }) =>
    words === ''
      ? 'Say what is lit and for how long: red, green, 4 s, 2 s, twice, then all off.'
      : `“${words.slice(0, 60)}” is not understood. Say colours, times and how often: red, red and green, off, 4 s, 1 s, 2 s, 3 times, then all off.`,
  'times-unequal': ({ moments, times }) =>
    `There are ${counted(moments, 'moment')} and ${counted(times, 'time')}. Give one time for all of them, or one for each.`,
  'rows-beyond': ({ rows, most }) =>
    `That are ${rows} rows, and a table here has ${most} at most. Let a shorter table go round more often.`,
  'table-columns': ({ found }) =>
    `The table has the columns “${found}”. It wants one for each pin, as pin 9, then seconds, then fade.`,
};
