import { scriptOf, type ProgramWords } from './script';
import type { ProgramTable } from './table';
import { FADE_MILLIS, FADE_MOST } from './writes';

/**
 * The table as a program in C++. What boards call their own functions differs: four are declared at the top and used
 * everywhere below.
 */
export function cppOf(table: ProgramTable, words: ProgramWords): string {
  const { title, pins, full, lowLights, before, lines, rounds, after } = scriptOf(table, words);
  const lamps = pins.map((_, i) => `lamp${i + 1}`);
  const takes = ['long ms', ...lamps.map((lamp) => `long ${lamp}`)].join(', ');
  const rows = lines.map(({ call, figures }) => `${call}(${figures.join(', ')});`);
  const loop = rounds === 0 ? 'while (true) {' : `for (int round = 1; round <= ${rounds}; round++) {`;
  return [
    `// ${title}`,
    '',
    '// What a board calls these differs: give each the name that it has in the library of yours.',
    'void makeOutput(int pin);',
    'void setPin(int pin, bool high);',
    `void setDimmed(int pin, long step);  // 0 is off, ${full} is fully on`,
    'void waitMs(long ms);',
    '',
    `const int lamps = ${pins.length};`,
    `const int pins[] = {${pins.map(({ number }) => number).join(', ')}};`,
    ...pins.map(({ number, lamp }) => `// pin ${number}: ${lamp || 'no lamp'}`),
    `const bool dims[] = {${pins.map(({ dims }) => dims).join(', ')}};`,
    `const bool lowLights = ${lowLights};`,
    `const long full = ${full};`,
    `long now[] = {${before.join(', ')}};`,
    '',
    'void setLamp(int lamp, long step) {',
    '  now[lamp] = step;',
    '  long level = lowLights ? full - step : step;',
    '  if (dims[lamp]) setDimmed(pins[lamp], level);',
    '  else setPin(pins[lamp], level > 0);',
    '}',
    '',
    `void show(${takes}) {`,
    ...lamps.map((lamp, i) => `  setLamp(${i}, ${lamp});`),
    '  waitMs(ms);',
    '}',
    '',
    `void fade(${takes}) {`,
    `  const long from[] = {${pins.map((_, i) => `now[${i}]`).join(', ')}};`,
    `  const long to[] = {${lamps.join(', ')}};`,
    `  long count = ms / ${FADE_MILLIS};`,
    '  if (count < 1) count = 1;',
    `  if (count > ${FADE_MOST}) count = ${FADE_MOST};`,
    '  const long wait = ms / count;',
    '  for (long k = 1; k <= count; k++) {',
    '    for (int lamp = 0; lamp < lamps; lamp++) {',
    '      const long step = (from[lamp] * (2 * count - 2 * k + 1) + to[lamp] * (2 * k - 1) + count) / (2 * count);',
    '      setLamp(lamp, step);',
    '    }',
    '    waitMs(k < count ? wait : ms - wait * (count - 1));',
    '  }',
    '  for (int lamp = 0; lamp < lamps; lamp++) now[lamp] = to[lamp];',
    '}',
    '',
    'int main() {',
    '  for (int lamp = 0; lamp < lamps; lamp++) makeOutput(pins[lamp]);',
    `  ${loop}`,
    ...rows.map((row) => `    ${row}`),
    '  }',
    ...(rounds === 0 ? [] : [`  show(0, ${after.join(', ')});`]),
    '}',
    '',
  ].join('\n');
}
