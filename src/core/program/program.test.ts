import fc from 'fast-check';
import { WISHES } from '../../../tests/support/wishes';
import { CONTROLLERS } from '../catalogue/controllers';
import { roundOf, shareAt } from '../devices/pinTable';
import { tableOf } from '../patterns/sequence/params';
import { cppOf } from './cpp';
import { programCsv, readProgramCsv, stepIn } from './csv';
import { microPythonOf } from './microPython';
import { pinTableOf, roundMillis, wantedSpells, wholeSeconds, type ProgramTable } from './table';
import { writesOf, type Write } from './writes';

const WORDS = { title: 'Swing-bridge signal', lamps: [] };
/** Rounds after which a program without end is stopped. */
const STOPPED = 3;

/** What a board notes while a program runs: what each pin was set to, and for how long. */
class Board {
  readonly outputs: number[] = [];
  readonly writes: Write[] = [];
  private readonly now: number[];
  private waited = 0;

  constructor(private readonly table: ProgramTable) {
    this.now = table.columns.map(() => NaN);
  }

  set(pin: number, level: number): void {
    const { columns, lowLights, board } = this.table;
    this.now[columns.indexOf(pin)] = lowLights ? CONTROLLERS[board].steps - level : level;
  }

  wait(ms: number): void {
    this.writes.push({ steps: [...this.now], wait: ms });
    this.waited += ms;
    if (this.table.rounds === 0 && this.waited >= STOPPED * roundMillis(this.table)) throw new Stopped();
  }
}

class Stopped extends Error {}

function stopped(run: () => void): void {
  try {
    run();
  } catch (error) {
    if (!(error instanceof Stopped)) throw error;
  }
}

/** Runs the program in C++ as the statements that it shares with this language; divisions are whole ones. */
function runCpp(source: string, board: Board, full: number): void {
  const script = source
    .replace(/^void \w+\([^)]*\);.*$/gmu, '')
    .replace(/(?:const )?(?:int|long|bool) (\w+)\[\] = \{([^}]*)\};/gu, 'let $1 = [$2];')
    .replace(/(?:const )?long (\w+) = (.+) \/ (\w+|\(.+\));/gu, 'let $1 = Math.trunc(($2) / $3);')
    .replace(/(?:const )?(?:int|long|bool) (\w+) = /gu, 'let $1 = ')
    .replace(/(?:void|int) (\w+)\(([^)]*)\) \{/gu, (_, name: string, takes: string) => {
      return `function ${name}(${takes.replace(/(?:int|long|bool) /gu, '')}) {`;
    });
  const makeOutput = (pin: number) => board.outputs.push(pin);
  const setPin = (pin: number, high: boolean) => board.set(pin, high ? full : 0);
  const run = new Function('makeOutput', 'setPin', 'setDimmed', 'waitMs', `${script}\nmain();`);
  stopped(() =>
    run(
      makeOutput,
      setPin,
      (pin: number, step: number) => board.set(pin, step),
      (ms: number) => board.wait(ms),
    ),
  );
}

/** Runs the program in MicroPython, line by line as blocks of this language. */
function runMicroPython(source: string, board: Board, full: number): void {
  const lines = source
    .split('\n')
    .filter((line) => line.trim() !== '' && !/^\s*#|^from |^import /u.test(line));
  const depths: number[] = [];
  const script: string[] = [];
  const expression = (text: string) =>
    text
      .replace(/= (.+) \/\/ (\w+|\(.+\))$/u, '= Math.floor(($1) / $2)')
      .replace(/^(show|fade)\((\d+), \(([^()]*)\)\)$/u, '$1($2, [$3])')
      .replace(/= \(([^()]*)\)$/u, '= [$1]')
      .replaceAll('True', 'true')
      .replaceAll('False', 'false');
  for (const line of lines) {
    const depth = /^ */u.exec(line)![0].length;
    while (depths.length > 0 && depth <= depths[depths.length - 1]!) {
      depths.pop();
      script.push('}');
    }
    const text = line.trim();
    const block = /^(def|for|if|while|else)\b(.*):$/u.exec(text);
    if (!block) {
      const assigned = /^(\w+) = (.*)$/u.exec(text);
      script.push(`${assigned ? 'var ' : ''}${expression(text)};`);
      continue;
    }
    depths.push(depth);
    const [, word, rest = ''] = block;
    const ranged = /^ (\w+) in range\((?:(\w+), )?(.+)\)$/u.exec(rest);
    if (word === 'def') script.push(`function${rest} {`);
    else if (word === 'for')
      script.push(
        `for (let ${ranged![1]} = ${ranged![2] ?? 0}; ${ranged![1]} < ${ranged![3]!.replace(/len\((\w+)\)/u, '$1.length')}; ${ranged![1]}++) {`,
      );
    else if (word === 'else') script.push('else {');
    else script.push(`${word} (${expression(rest.trim()).replace('True', 'true')}) {`);
  }
  script.push(...depths.map(() => '}'));
  const made = (pin: number, output: boolean) => {
    board.outputs.push(pin);
    return {
      duty_u16: (share: number) => board.set(pin, Math.round((share * full) / 65535)),
      value: (high: boolean) => board.set(pin, output && high ? full : 0),
    };
  };
  const body = script
    .join('\n')
    .replace(/outs\.append\(PWM\(Pin\(PINS\[lamp\]\), freq=\d+\)\)/u, 'outs.push(made(PINS[lamp], false))')
    .replace(/outs\.append\(Pin\(PINS\[lamp\], Pin\.OUT\)\)/u, 'outs.push(made(PINS[lamp], true))')
    .replaceAll('list(now)', '[...now]')
    .replaceAll('min(', 'Math.min(')
    .replaceAll('max(', 'Math.max(');
  const run = new Function('made', 'sleep_ms', body);
  stopped(() => run(made, (ms: number) => board.wait(ms)));
}

const tables = fc.sample(WISHES.sequence, { numRuns: 200, seed: 31 }).map((wish) => tableOf(wish));

describe('the table, its two program texts and its timeline', () => {
  it.each([
    ['C++', cppOf, runCpp],
    ['MicroPython', microPythonOf, runMicroPython],
  ] as const)('say the same of 200 random tables: %s', (_, textOf, run) => {
    for (const table of tables) {
      const { steps: full } = CONTROLLERS[table.board];
      const board = new Board(table);
      run(textOf(table, WORDS), board, full);
      expect(board.outputs).toEqual(table.columns);
      const wanted = writesOf(table, table.rounds === 0 ? STOPPED : table.rounds);
      expect(JSON.stringify(board.writes)).toBe(JSON.stringify(wanted));
    }
  });

  it('have the same mean of every pin to 0.1 % of a whole round', () => {
    for (const table of tables) {
      const { steps: full } = CONTROLLERS[table.board];
      const round = writesOf({ ...table, rounds: table.rounds === 1 ? 1 : 0 }, 1).filter(
        ({ wait }) => wait > 0,
      );
      const millis = roundMillis(table);
      table.columns.forEach((_pin, column) => {
        const written =
          round.reduce((sum, { steps, wait }) => sum + steps[column]! * wait, 0) / full / millis;
        const { spells } = pinTableOf(table, column);
        const high = spells.reduce((sum, { seconds, from, to }) => sum + (seconds * (from + to)) / 2, 0);
        const share = (high * 1000) / millis;
        expect(Math.abs(written - (table.lowLights ? 1 - share : share))).toBeLessThan(1e-3);
      });
    }
  });

  it('last as long as the sum of the rows, round after round', () => {
    for (const table of tables) {
      const writes = writesOf(table, table.rounds === 0 ? STOPPED : table.rounds);
      const waited = writes.reduce((sum, { wait }) => sum + wait, 0);
      expect(waited).toBe((table.rounds === 0 ? STOPPED : table.rounds) * roundMillis(table));
      if (table.rounds > 0) expect(wholeSeconds(table)).toBeCloseTo(waited / 1000, 9);
      else expect(wholeSeconds(table)).toBeUndefined();
    }
  });
});

describe('a pin by its table', () => {
  const table: ProgramTable = {
    board: 'five-volt',
    columns: [9],
    rows: [
      { steps: [255], seconds: 2, fade: true },
      { steps: [51], seconds: 1, fade: false },
    ],
    rounds: 2,
    after: 'off',
    lowLights: false,
  };

  it('is at its share at every instant, and at what it jumps from and to', () => {
    const pin = pinTableOf(table, 0);
    expect(roundOf(pin)).toBe(3);
    // The first fade begins where the last row ends, as in every later round.
    expect(shareAt(pin, 0)).toBeCloseTo(0.2, 12);
    expect(shareAt(pin, 1)).toBeCloseTo(0.6, 12);
    expect(shareAt(pin, 2, 'until')).toBeCloseTo(1, 12);
    expect(shareAt(pin, 2)).toBeCloseTo(0.2, 12);
    expect(shareAt(pin, 4)).toBeCloseTo(0.6, 12);
    expect(shareAt(pin, 6, 'until')).toBeCloseTo(0.2, 12);
    expect(shareAt(pin, 6)).toBe(0);
  });

  it('is wanted lit from the first row to the end of the last round, in one', () => {
    expect(wantedSpells(table, 0, 10)).toEqual([{ from: 0, to: 6 }]);
    const blink = { ...table, rows: [255, 0].map((step) => ({ steps: [step], seconds: 1, fade: false })) };
    expect(wantedSpells(blink, 0, 10)).toEqual([
      { from: 0, to: 1 },
      { from: 2, to: 3 },
    ]);
  });
});

describe('the table as CSV', () => {
  it('comes back as it went out', () => {
    for (const table of tables) {
      const back = readProgramCsv(programCsv(table), table.board);
      expect(back).toMatchObject({ ok: true, value: { columns: table.columns, rows: table.rows } });
    }
  });

  it('takes semicolons, decimal commas and words', () => {
    const text = 'pin 9;pin 11;seconds;fade\non;off;0,5;no\n50 %;255;2;yes';
    const back = readProgramCsv(text, 'five-volt');
    expect(back.ok && back.value.rows).toEqual([
      { steps: [255, 0], seconds: 0.5, fade: false },
      { steps: [128, 255], seconds: 2, fade: true },
    ]);
    expect(stepIn('120 %', 255)).toBeUndefined();
  });

  it.each([
    ['who,how,how long\nred,on,4', 'table-columns'],
    ['pin 9,seconds,fade\nbright,4,no', 'csv-row'],
    ['pin 9,seconds,fade\non,0,no', 'csv-row'],
    ['pin 9,seconds,fade\non', 'csv-row'],
    [`pin 9,seconds,fade\n${'on,1,no\n'.repeat(300)}`, 'rows-beyond'],
  ])('refuses %#', (text, code) => {
    const back = readProgramCsv(text, 'five-volt');
    expect(back.ok ? 'read' : back.findings[0]!.code).toBe(code);
  });
});
