import { scriptOf, type ProgramWords } from './script';
import type { ProgramTable } from './table';
import { FADE_MILLIS, FADE_MOST } from './writes';

/** The table as a program in MicroPython, with that language’s own words for pins and pulses. */
export function microPythonOf(table: ProgramTable, words: ProgramWords): string {
  const { title, pins, full, hertz, lowLights, before, lines, rounds, after } = scriptOf(table, words);
  const tuple = (values: readonly (string | number)[]) =>
    `(${values.join(', ')}${values.length === 1 ? ',' : ''})`;
  const rows = lines.map(({ call, figures: [ms, ...steps] }) => `${call}(${ms}, ${tuple(steps)})`);
  return [
    `# ${title}`,
    'from machine import Pin, PWM',
    'from time import sleep_ms',
    '',
    ...pins.map(({ number, lamp }) => `# pin ${number}: ${lamp || 'no lamp'}`),
    `PINS = ${tuple(pins.map(({ number }) => number))}`,
    `DIMS = ${tuple(pins.map(({ dims }) => (dims ? 'True' : 'False')))}`,
    `LOW_LIGHTS = ${lowLights ? 'True' : 'False'}`,
    `FULL = ${full}`,
    `now = [${before.join(', ')}]`,
    'outs = []',
    '',
    'def set_lamp(lamp, step):',
    '    now[lamp] = step',
    '    level = step',
    '    if LOW_LIGHTS:',
    '        level = FULL - step',
    '    if DIMS[lamp]:',
    '        duty = level * 65535 // FULL',
    '        outs[lamp].duty_u16(duty)',
    '    else:',
    '        outs[lamp].value(level > 0)',
    '',
    'def show(ms, to):',
    '    for lamp in range(len(PINS)):',
    '        set_lamp(lamp, to[lamp])',
    '    sleep_ms(ms)',
    '',
    'def fade(ms, to):',
    '    start = list(now)',
    `    count = ms // ${FADE_MILLIS}`,
    `    count = min(${FADE_MOST}, max(1, count))`,
    '    wait = ms // count',
    '    for k in range(1, count + 1):',
    '        for lamp in range(len(PINS)):',
    '            step = (start[lamp] * (2 * count - 2 * k + 1) + to[lamp] * (2 * k - 1) + count) // (2 * count)',
    '            set_lamp(lamp, step)',
    '        if k == count:',
    '            wait = ms - wait * (count - 1)',
    '        sleep_ms(wait)',
    '    for lamp in range(len(PINS)):',
    '        now[lamp] = to[lamp]',
    '',
    'for lamp in range(len(PINS)):',
    '    if DIMS[lamp]:',
    `        outs.append(PWM(Pin(PINS[lamp]), freq=${hertz}))`,
    '    else:',
    '        outs.append(Pin(PINS[lamp], Pin.OUT))',
    rounds === 0 ? 'while True:' : `for turn in range(${rounds}):`,
    ...rows.map((row) => `    ${row}`),
    ...(rounds === 0 ? [] : [`show(0, ${tuple(after)})`]),
    '',
  ].join('\n');
}
