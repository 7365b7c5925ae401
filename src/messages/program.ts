import {
  CONTROLLERS,
  formatEntered,
  formatPercent,
  formatQuantity,
  type LampSeen,
  type ProgramSums,
  type Sheet,
  sumsIn,
} from '@/core';
import { lampName } from './names';
import { listWords } from './stepWords';

const S = (seconds: number) => formatEntered(seconds, 's');
const A = (amps: number) => formatQuantity(amps, 'A');

/** How often the rows are gone through: `twice`, `7 times`, `over and over`. */
export function roundsWords(rounds: number): string {
  if (rounds === 0) return 'over and over';
  return rounds < 3 ? ['once', 'twice'][rounds - 1]! : `${rounds} times`;
}

/** One row of the table in a sentence: `red on for 4 s`. */
export function rowSentence(program: ProgramSums, row: number): string {
  const { lamps, seconds, fade } = program.rows[row]!;
  const full = CONTROLLERS[program.table.board].steps;
  const lit = lamps.filter(({ step }) => step > 0);
  const typeOf = (part: string) => lampName(program.lamps.find((lamp) => lamp.part === part)!.type);
  const words = lit.map(({ part, step }) => {
    const how = step >= full ? '' : ` at ${formatPercent(step / full)}`;
    return `${typeOf(part)}${how}`;
  });
  const what = words.length > 0 ? listWords(words) : 'all off';
  return `${what}, ${fade ? 'faded to over' : 'for'} ${S(seconds)}`;
}

/** The whole of a program in a line: `red, yellow and green lamps by a table of 3 rows, 9 s, twice`. */
export function programLine(program: ProgramSums): string {
  const names = [...new Set(program.lamps.map(({ type }) => lampName(type)))];
  const count = program.rows.length;
  return `${listWords(names)} ${program.lamps.length === 1 ? 'lamp' : 'lamps'} by a table of ${count} ${count === 1 ? 'row' : 'rows'}, ${S(program.roundSeconds)}, ${roundsWords(program.table.rounds)}`;
}

/** What the lamps of a build do that a program drives, as the board by now makes it: which, and for how long each time. */
export function turnWords(lamps: readonly LampSeen[], program: ProgramSums): string {
  const inOrder = program.lamps.flatMap(({ part }) => lamps.find((lamp) => lamp.part === part) ?? []);
  const lit = inOrder.filter(({ look }) => look !== 'dark');
  const turns = lit.filter(({ litFor }) => litFor !== undefined);
  const isOffOnce = ({ part }: LampSeen) =>
    program.rows.some(({ lamps: states }) => states.some((state) => state.part === part && state.step === 0));
  // What is lit when the program has ended has come on once, and not gone out again.
  const stays = lit.filter((lamp) => lamp.litFor === undefined && isOffOnce(lamp));
  const always = lit.filter((lamp) => lamp.litFor === undefined && !isOffOnce(lamp));
  const dark = inOrder.filter(({ look }) => look === 'dark');
  const names = (some: readonly LampSeen[]) => listWords(some.map(({ part }) => part));
  const often = program.table.rounds === 1 ? '' : ' each time';
  return [
    turns.length > 0 &&
      `${listWords(turns.map(({ part, litFor }) => `${part} for ${formatQuantity(litFor!, 's', 2)}`))}${often}, once round in ${S(program.roundSeconds)}`,
    stays.length > 0 && `${names(stays)} in the end, and ${stays.length === 1 ? 'stays' : 'stay'} lit`,
    always.length > 0 && `${names(always)} all the time`,
    dark.length > 0 && `${names(dark)} never`,
  ]
    .filter(Boolean)
    .join('; ');
}

/** The way of the current, for the talk. */
export function programPath({ table, lamps }: ProgramSums): string {
  const { part, resistor, pin } = lamps[0]!;
  return table.lowLights
    ? `While the program holds pin ${pin} low, current flows from the board’s rail through ${part} and ${resistor} into the pin, and inside the board to ground. While it is high, both ends stand at the same volts, and nothing flows.`
    : `While the program holds pin ${pin} high, current flows out of it through ${resistor} and ${part} to ground and back into the board. While it is low, both ends are at ground, and nothing flows.`;
}

/** The sum of a program, for the talk: its times, and what one pin carries. */
export function programTalk(program: ProgramSums): string {
  const { table, roundSeconds, wholeSeconds, lamps } = program;
  const board = CONTROLLERS[table.board];
  const most = lamps.reduce((best, lamp) => (lamp.peak > best.peak ? lamp : best));
  const times = table.rows.map(({ seconds }) => S(seconds)).slice(0, 8);
  const sum = `${times.join(' + ')}${table.rows.length > 8 ? ' + …' : ''} = ${S(roundSeconds)} a round`;
  const whole = wholeSeconds === undefined ? 'without end' : `${S(wholeSeconds)} in all`;
  return `${sum}, ${roundsWords(table.rounds)}: ${whole}. Pin ${most.pin} ${table.lowLights ? 'takes' : 'gives'} ${A(most.peak)} at most; it is made for ${A(board.pinAmps)}, and all pins together for ${A(board.allAmps)}.`;
}

export function programPredictions({ lamps, rows, table }: ProgramSums): string[] {
  const [first] = lamps;
  return [
    `Read the table: which lamp is lit ${S(rows[0]!.seconds + rows[0]!.seconds / 2)} after the start, and for how much longer?`,
    `What does the meter read from pin ${first!.pin} to ground while ${first!.part} is lit, and while it is dark?`,
    lamps.length > 1
      ? `The leads of pin ${lamps[0]!.pin} and pin ${lamps[1]!.pin} are exchanged: what is seen, and is anything harmed?`
      : `The program says pin ${first!.pin + 1}, and the lead is in pin ${first!.pin}: what is seen?`,
    ...(rows.some(({ lamps: states }) =>
      states.some(({ step }) => step > 0 && step < CONTROLLERS[table.board].steps),
    )
      ? ['Half of the time on: is the lamp half as bright to the eye, or more?']
      : []),
  ];
}

/** The sum of the table as lines: each row, the round, the whole. */
export function timeLines(program: ProgramSums): { name: string; work: string; figure: string }[] {
  const { rows, roundSeconds, wholeSeconds, table } = program;
  return [
    ...rows.map(({ seconds }, i) => ({
      name: `row ${i + 1}`,
      work: rowSentence(program, i),
      figure: S(seconds),
    })),
    { name: 'a round', work: `${rows.length} rows together`, figure: S(roundSeconds) },
    ...(wholeSeconds === undefined || table.rounds === 1
      ? []
      : [{ name: 'all of it', work: `${table.rounds} × ${S(roundSeconds)}`, figure: S(wholeSeconds) }]),
  ];
}

/** The lamps on a controller’s pins, whatever its program does with them. */
export function boardLamps({
  sums,
}: Pick<Sheet, 'sums'>): readonly { part: string; pin: number; place: number }[] {
  const { own } = sums;
  if (own.family === 'program') return own.program.lamps;
  if (own.family === 'mix') return own.mix.lamps;
  return own.family === 'rule' ? [own.rule.lamp] : [];
}

/** Where a lamp’s lead goes, for its step: `pin 9, the 12th place from ground`. */
export function pinPlaceWords({ sums }: Pick<Sheet, 'sums'>, pin: number): string {
  const reads = sumsIn(sums, 'rule')?.rule.reads;
  const lamp = reads?.pin === pin ? reads : boardLamps({ sums }).find((one) => one.pin === pin);
  return lamp ? `pin ${pin}, place ${lamp.place} counted from ground` : `pin ${pin}`;
}
