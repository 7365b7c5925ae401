/** Circuits of the model harbour as plain circuit files: to open on the circuits' screen, and for tests and benchmarks. */

const part = (id: string, kind: string, pins: object, more: object = {}) => ({ id, kind, pins, ...more });
const resistor = (id: string, a: string, b: string, ohms: number) => part(id, 'resistor', { a, b }, { ohms });
const capacitor = (id: string, a: string, b: string, farads: number, more: object = {}) =>
  part(id, 'capacitor', { a, b }, { farads, ...more });
const led = (id: string, anode: string, cathode: string, type = 'red') =>
  part(id, 'led', { anode, cathode }, { type });
const battery = (volts: number, ohms = 0) => part('B1', 'supply', { plus: 'v', minus: '0' }, { volts, ohms });

const file = (title: string, parts: readonly object[], checks: readonly object[] = []) => ({
  format: 'mivvet.circuit/1',
  title,
  ground: '0',
  parts,
  checks,
});
const amps = (id: string, of: string) => ({ id, measure: 'amps', part: of });
const volts = (id: string, from: string, to: string) => ({ id, measure: 'volts', from, to });

/** A timer with reset and supply at `v`, unless said otherwise. */
export function timerPart(id: string, family: 'bipolar' | 'cmos', pins: object) {
  return part(id, 'timer', { ground: '0', reset: 'v', supply: 'v', ...pins }, { family });
}

/** Output-driven blinker: one resistor from output to threshold and trigger, and a capacitor to ground. */
export function outputDriven(family: 'bipolar' | 'cmos', volts: number, ohms: number, farads: number) {
  return file('output-driven', [
    battery(volts),
    timerPart('U1', family, { trigger: 'c', threshold: 'c', output: 'out' }),
    resistor('R1', 'out', 'c', ohms),
    capacitor('C1', 'c', '0', farads),
  ]);
}

/** Standard blinker: supply, RA, discharge, RB, threshold and trigger, capacitor to ground. */
export function standardBlinker(
  family: 'bipolar' | 'cmos',
  volts: number,
  [ra, rb]: readonly [number, number],
  farads: number,
) {
  return file('standard', [
    battery(volts),
    timerPart('U1', family, { trigger: 'c', threshold: 'c', discharge: 'd', output: 'out' }),
    resistor('RA', 'v', 'd', ra),
    resistor('RB', 'd', 'c', rb),
    capacitor('C1', 'c', '0', farads),
  ]);
}

/** One pulse after a trigger that is pulled low for a while at t = 0. */
export function oneShot(family: 'bipolar' | 'cmos', volts: number, ohms: number, farads: number) {
  return file('one-shot', [
    battery(volts),
    part(
      'S1',
      'signal',
      { plus: 't', minus: '0' },
      { shape: 'square', amplitude: -volts / 2, offset: volts / 2, hertz: 0.01, duty: 1e-4 },
    ),
    timerPart('U1', family, { trigger: 't', threshold: 'c', discharge: 'c', output: 'out' }),
    resistor('R1', 'v', 'c', ohms),
    capacitor('C1', 'c', '0', farads),
  ]);
}

/** Two output-driven timers, fast and slow, with antiparallel lamps between their outputs. */
export function alternate() {
  const half = (n: number, ohms: number) => [
    timerPart(`U${n}`, 'bipolar', {
      trigger: `c${n}`,
      threshold: `c${n}`,
      output: `o${n}`,
      control: `k${n}`,
    }),
    resistor(`R${n}`, `o${n}`, `c${n}`, ohms),
    capacitor(`C${n}`, `c${n}`, '0', 10e-6, { polarised: true }),
    capacitor(`K${n}`, `k${n}`, '0', 10e-9),
  ];
  return file('port and starboard', [
    battery(9, 1.7),
    ...half(1, 12e3),
    ...half(2, 100e3),
    resistor('R3', 'o1', 'm', 330),
    led('D1', 'm', 'o2'),
    led('D2', 'o2', 'm', 'yellow-green'),
  ]);
}

/** Input stage and three channels (high, middle, low), fed by three tones in a row. */
export function soundLights(hertz: readonly [number, number, number]) {
  const tone = (i: number, plus: string, minus: string) =>
    part(`S${i}`, 'signal', { plus, minus }, { shape: 'sine', amplitude: 0.03, hertz: hertz[i - 1] });
  const channel = (name: string) => [
    part(
      `Q${name}`,
      'transistor',
      { collector: `l${name}`, base: `b${name}`, emitter: 'v' },
      { polarity: 'pnp' },
    ),
    resistor(`P${name}`, 'v', `b${name}`, 10e3),
    led(`D${name}1`, `l${name}`, `m${name}`),
    led(`D${name}2`, `m${name}`, `r${name}`),
    resistor(`E${name}`, `r${name}`, '0', 220),
  ];
  return file('storm lights', [
    battery(9, 1.7),
    tone(1, 's1', '0'),
    tone(2, 's2', 's1'),
    tone(3, 's3', 's2'),
    capacitor('C1', 's3', 'i', 1e-6),
    resistor('R1', 'i', 'b', 1e3),
    resistor('R2', 'a', 'b', 220e3),
    resistor('R3', 'v', 'a', 1e3),
    part('Q1', 'transistor', { collector: 'a', base: 'b', emitter: '0' }),
    capacitor('CH1', 'a', 'h', 10e-9),
    resistor('RH', 'h', 'bH', 1e3),
    resistor('RM', 'a', 'n', 1e3),
    capacitor('CM1', 'n', 'v', 100e-9),
    capacitor('CM2', 'n', 'bM', 220e-9),
    resistor('RL', 'a', 'p', 2.2e3),
    capacitor('CL1', 'p', 'v', 4.7e-6),
    capacitor('CL2', 'p', 'q', 10e-6),
    resistor('RL2', 'q', 'bL', 1e3),
    ...['H', 'M', 'L'].flatMap(channel),
  ]);
}

/** Lamps side by side on one supply, each with its own resistor. */
export function lampPanel(lamps: number) {
  return file('deck board', [
    battery(5, 0.05),
    ...Array.from({ length: lamps }, (_, i) => [
      resistor(`R${i}`, 'v', `n${i}`, 330),
      led(`D${i}`, `n${i}`, '0', i % 2 ? 'red' : 'yellow'),
    ]).flat(),
  ]);
}

/** A ladder of resistors with a lamp to ground at every second node. */
export function ladder(nodes: number) {
  const rungs = Array.from({ length: nodes - 1 }, (_, i) => i + 1).flatMap((i) => [
    resistor(`R${i}`, `n${i}`, `n${i + 1}`, 10 + i),
    i % 2 ? led(`D${i}`, `n${i + 1}`, '0') : resistor(`Q${i}`, `n${i + 1}`, '0', 1000),
  ]);
  return file('ladder', [
    part('B1', 'supply', { plus: 'n1', minus: '0' }, { volts: 12, ohms: 0.5 }),
    ...rungs,
  ]);
}

/** Three lamps of three colours, each with its own resistor and spread, on one pack. */
export function threeLamps() {
  const branch = (n: number, type: string, ohms: number) => [
    resistor(`R${n}`, 'v', `n${n}`, ohms),
    led(`D${n}`, `n${n}`, '0', type),
  ];
  const pack = part('B1', 'supply', { plus: 'v', minus: '0' }, { volts: 4.8, ohms: 0.45, tolerance: 0.03 });
  return file(
    'signal lantern',
    [pack, ...branch(1, 'red', 270), ...branch(2, 'green', 150), ...branch(3, 'blue', 150)],
    [amps('red', 'D1'), amps('green', 'D2'), amps('blue', 'D3')],
  );
}

/** A lamp to ground on an output-driven blinker. */
function buoy() {
  const { parts } = outputDriven('bipolar', 9, 68e3, 10e-6);
  return file('buoy', [...parts, resistor('R2', 'out', 'n', 560), led('D1', 'n', '0')]);
}

/** A lamp to ground on a standard blinker. */
function lighthouse() {
  const { parts } = standardBlinker('cmos', 9, [10e3, 68e3], 10e-6);
  return file('lighthouse', [...parts, resistor('R1', 'out', 'n', 560), led('D1', 'n', '0', 'yellow')]);
}

/** Dark-on lamp: a trim above a light sensor at the base of a transistor. */
function boathouse() {
  return file(
    'boathouse lamp',
    [
      part('B1', 'supply', { plus: 'v', minus: '0' }, { volts: 6, ohms: 0.6, tolerance: 0.03 }),
      resistor('T1', 'v', 'b', 22e3),
      part('L1', 'ldr', { a: 'b', b: '0' }, { lux: 5, litBy: [{ part: 'D1', luxPerAmp: 300 }] }),
      resistor('R1', 'v', 'l', 220),
      led('D1', 'l', 'c', 'white'),
      part('Q1', 'transistor', { collector: 'c', base: 'b', emitter: '0' }),
    ],
    [volts('base', 'b', '0'), amps('lamp', 'D1')],
  );
}

/** A lamp that shines on its own sensor: dark it stays dark, lit once it holds itself. */
export function nightWatch() {
  return file(
    'night watch',
    [
      battery(9),
      part('L1', 'ldr', { a: 'v', b: 'b' }, { lux: 0.5, litBy: [{ part: 'D1', luxPerAmp: 40000 }] }),
      resistor('R1', 'b', '0', 2200),
      resistor('R2', 'v', 'l', 470),
      led('D1', 'l', 'c'),
      part('Q1', 'transistor', { collector: 'c', base: 'b', emitter: '0' }),
    ],
    [amps('lamp', 'D1')],
  );
}

/** Two lamps, each of whose transistors holds the other's off: it stays as it was put. */
export function lockGate() {
  const side = (n: number, other: number, colour: string) => [
    resistor(`R${n}`, 'v', `l${n}`, 470),
    led(`D${n}`, `l${n}`, `c${n}`, colour),
    part(`Q${n}`, 'transistor', { collector: `c${n}`, base: `b${n}`, emitter: '0' }),
    resistor(`K${n}`, `c${n}`, `b${other}`, 22e3),
  ];
  return file(
    'lock gate',
    [battery(9, 1.7), ...side(1, 2, 'red'), ...side(2, 1, 'yellow-green')],
    [amps('stop', 'D1'), amps('go', 'D2')],
  );
}

/** Rungs of zener, resistor and lamp on one bus. */
function launchGauge() {
  const rung = (n: number, type: string, colour: string) => [
    part(`Z${n}`, 'zener', { anode: `z${n}`, cathode: 'v' }, { type }),
    resistor(`R${n}`, `z${n}`, `r${n}`, 220),
    led(`D${n}`, `r${n}`, '0', colour),
  ];
  return file(
    'launch battery gauge',
    [
      battery(12.4),
      ...rung(1, 'zener-8v2', 'red'),
      ...rung(2, 'zener-9v1', 'yellow'),
      ...rung(3, 'zener-10v', 'yellow-green'),
    ],
    [amps('low', 'D1'), amps('middle', 'D2'), amps('full', 'D3')],
  );
}

/** One lamp and one resistor on a pack of cells. */
function pierLamp() {
  return file(
    'pier lamp',
    [
      part('B1', 'supply', { plus: 'v', minus: '0' }, { volts: 4.8, ohms: 0.45, tolerance: 0.03 }),
      resistor('R1', 'v', 'n', 330),
      led('D1', 'n', '0'),
    ],
    [amps('lamp current', 'D1'), volts('across R1', 'v', 'n')],
  );
}

/** What can be opened without a file of one's own, with seconds that show what it does. */
export const HARBOUR_CIRCUITS: readonly {
  readonly title: string;
  readonly seconds: number;
  readonly json: object;
}[] = [
  { json: pierLamp(), seconds: 1 },
  { json: threeLamps(), seconds: 1 },
  { json: buoy(), seconds: 5 },
  { json: lighthouse(), seconds: 5 },
  { json: alternate(), seconds: 8 },
  { json: boathouse(), seconds: 1 },
  { json: nightWatch(), seconds: 1 },
  { json: lockGate(), seconds: 1 },
  { json: launchGauge(), seconds: 1 },
  { json: soundLights([30, 440, 3000]), seconds: 0.1 },
].map((circuit) => ({ ...circuit, title: circuit.json.title }));
