import type { RuleSums } from '../answers/duskRule';

/** The rule as a program in C++; what a board calls its own functions is declared at the top. */
export function ruleCpp({ way, on, off, lamp, reads }: RuleSums, title: string): string {
  const [goesOn, goesOff] = way === 'dark-on' ? ['<', '>'] : ['>', '<'];
  return [
    `// ${oneLine(title)}`,
    '',
    '// What a board calls these differs: give each the name that it has in the library of yours.',
    'void makeOutput(int pin);',
    'void setPin(int pin, bool high);',
    'int readPin(int pin);',
    'void waitMs(long ms);',
    '',
    `const int lampPin = ${lamp.pin};    // ${lamp.part}, through ${lamp.resistor}`,
    `const int lightPin = ${reads.pin};  // reads the sensor`,
    `const int goesOn = ${on.counts};`,
    `const int goesOff = ${off.counts};`,
    '',
    'int main() {',
    '  makeOutput(lampPin);',
    '  bool lit = false;',
    '  while (true) {',
    '    const int reading = readPin(lightPin);',
    `    if (reading ${goesOn} goesOn) lit = true;`,
    `    else if (reading ${goesOff} goesOff) lit = false;`,
    '    // Between the two it stays as it was: no flicker at the edge of dusk.',
    '    setPin(lampPin, lit);',
    '    waitMs(100);',
    '  }',
    '}',
    '',
  ].join('\n');
}

/** The same in MicroPython; its readings have 16 bits whatever the board, and are brought to the board’s own counts. */
export function ruleMicroPython(
  { way, on, off, lamp, reads }: RuleSums,
  title: string,
  counts: number,
): string {
  const [goesOn, goesOff] = way === 'dark-on' ? ['<', '>'] : ['>', '<'];
  return [
    `# ${oneLine(title)}`,
    'from machine import ADC, Pin',
    'from time import sleep_ms',
    '',
    `lamp = Pin(${lamp.pin}, Pin.OUT)  # ${lamp.part}, through ${lamp.resistor}`,
    `light = ADC(Pin(${reads.pin}))  # reads the sensor`,
    `GOES_ON = ${on.counts}`,
    `GOES_OFF = ${off.counts}`,
    '',
    'lit = False',
    'while True:',
    `    reading = light.read_u16() * ${counts} // 65535`,
    `    if reading ${goesOn} GOES_ON:`,
    '        lit = True',
    `    elif reading ${goesOff} GOES_OFF:`,
    '        lit = False',
    '    # Between the two it stays as it was: no flicker at the edge of dusk.',
    '    lamp.value(lit)',
    '    sleep_ms(100)',
    '',
  ].join('\n');
}

/** A title is one line of a remark, whatever is in it. */
export function oneLine(title: string): string {
  return title.replace(/[^\p{L}\p{N}\p{P}\p{Zs}]+/gu, ' ').trim();
}
