import { finding, THIN, type FindingCode, type FindingData } from '@/core';
import { sentence, sentences } from './findings';

/** One finding of every code, as the core would make it; the compiler asks for each. */
const SAMPLES: { readonly [C in FindingCode]: FindingData[C] } = {
  'empty-figure': { unit: 'V' },
  'not-a-figure': { typed: 'lots', unit: 'Ω' },
  'ambiguous-comma': { typed: '1,234', unit: 'Ω' },
  'wrong-unit': { typed: '5 V', given: 'V', unit: 'A' },
  'out-of-range': { name: 'Current', value: 0.5, low: 0.001, high: 0.03, unit: 'A' },
  'file-too-large': { bytes: 3_000_000, limit: 1_048_576 },
  'not-json': { detail: 'line 3' },
  'wrong-format': { wanted: 'mivvet.lesson/1', found: 'cake/2' },
  'newer-format': { wanted: 'mivvet.lesson/1', found: 'mivvet.lesson/2' },
  'bad-field': { place: 'R1', field: 'ohms', problem: 'must be more than 0' },
  'duplicate-id': { place: 'R1' },
  'ground-missing': { ground: 'gnd' },
  'check-refers': { check: 'across R9', name: 'R9' },
  'floating-nodes': { nodes: 'n4' },
  'sources-at-odds': { parts: 'B1, B2' },
  'did-not-settle': { nodes: 'n7', residual: 1e-6 },
  'too-many-spreads': { count: 5000, most: 1000 },
  oscillates: { parts: 'U1' },
  'run-too-long': { seconds: 600, steps: 20_000_000 },
  'out-of-reach': { check: 'across R1', target: 9, low: 0, high: 4.8, unit: 'V' },
  'not-of-kind': { part: 'R1', kind: 'ldr' },
  'timer-stalls': { volts: 3, limit: 4.5 },
  'duty-out-of-reach': { duty: 0.2, low: 0.5, high: 1 },
  'bounds-too-close': { low: 250, high: 900, nearest: 1250 },
  'no-filter-in-drawer': { hertz: 2500 },
  'channel-faint': { band: 'low', tone: 83, amps: 2e-4 },
  'channel-spills': { band: 'high', tone: 790, amps: 7e-4 },
  'wav-none': { like: 'an MP3' },
  'wav-headless': {},
  'wav-packed': { sort: 2, bits: 4 },
  'wav-channels': { channels: 0 },
  'wav-rate': { rate: 100 },
  'wav-empty': {},
  'wav-cut': { there: 3.2, said: 20 },
  'wav-long': { seconds: 600, most: 30 },
  'no-such-time': { seconds: 3.3e-7, nearest: 2.1e-6 },
  'no-such-pin': { board: 'five-volt', pin: 44, nearest: 11, where: 'table' },
  'pin-twice': { pin: 9, nearest: 11, where: 'wire' },
  'step-beyond': { row: 2, pin: 9, step: 300, limit: 255 },
  'pin-does-not-dim': { row: 2, pin: 10, how: 'fade', nearest: 11 },
  'band-at-odds': {
    check: 'R1',
    unit: 'V',
    typical: 0.522,
    low: 0.32,
    high: 0.38,
    worstLow: 0.326,
    worstHigh: 0.379,
  },
  'draws-left-out': { unsettled: 400, samples: 4000 },
  'table-misses-wire': { part: 'D2', wire: 11, pin: 10 },
  'pin-uploads': { pin: 1, nearest: 3 },
  'times-contradict': { says: 20, sum: 18, rounds: 2 },
  'share-while-lit': { row: 1, first: 'D1', second: 'D3', more: 0.0075, less: 0.0001 },
  'pin-over-current': { pin: 9, amps: 0.022, limit: 0.02, most: 0.04 },
  'pins-over-current': { row: 1, amps: 0.24, limit: 0.2 },
  'lights-own-sensor': { metres: 0.05, lux: 1200, way: 'dark-on', nearest: 0.3 },
  'pin-does-not-read': { pin: 9, nearest: 14 },
  'threshold-outside': { threshold: 10, low: 200, high: 800, nearest: 500 },
  'hysteresis-wide': { hysteresis: 900, most: 598, low: 200, high: 800 },
  'words-unknown': { words: 'blinking madly' },
  'times-unequal': { moments: 3, times: 2 },
  'rows-beyond': { rows: 300, most: 100 },
  'table-columns': { found: 'who, how' },
  'no-such-duty': { duty: 0.98, nearest: 0.9, high: 0.9, low: 0.1 },
  'capacitors-leak': { volts: 9 },
  'chip-supply-low': { family: 'bipolar', volts: 3, limit: 4.5 },
  'chip-supply-high': { family: 'cmos', volts: 18, limit: 15 },
  'chip-over-current': { part: 'U1', amps: 0.04, limit: 0.01, way: 'out' },
  'does-not-move': {},
  'timer-stuck': { part: 'U1' },
  'same-light': { scene: 'dusk' },
  'sensor-backwards': { dark: 900, light: 15_000 },
  'no-switching': { lux: 45, amps: 0.01 },
  'sensors-differ': { low: 12e3, high: 30e3, pot: 47e3 },
  'pulses-as-said': { volts: 5, duty: 0.4, mean: 2 },
  'pulse-over-limit': { peak: 0.05, limit: 0.03, duty: 0.3, amps: 0.012 },
  'flashes-fast': { hertz: 8, lamps: 'D1' },
  'no-such-turn': { first: 5, second: 2, third: 2, least: 3.1 },
  'never-goes-out': { part: 'D1', amps: 0.004, why: 'short-of-rail' },
  bursts: { part: 'D1', hertz: 2.5, wished: 5, flashes: 4.5, every: 4 },
  'lamp-blinks': { part: 'D1', amps: 0.008, hertz: 0.67, brightness: 'bright' },
  sounds: { part: 'LS1', hertz: 220 },
  'sound-waits': { part: 'LS1', lamp: 'D1', hertz: 880 },
  'stays-silent': { part: 'LS1' },
  'lamp-waits': { part: 'D1', button: 'S1' },
  'beam-too-weak': { whole: 170, cut: 150, metres: 1.4, nearest: 0.5 },
  'beam-needs-light': { whole: 30, least: 41, nearest: 0.9 },
  'beam-sort': { low: 1e5, high: 4e5, pot: 5e5 },
  'nothing-to-choose': { what: 'capacitors' },
  'no-battery': { part: 'B1' },
  'mains-refused': { volts: 230 },
  'supply-too-high': { volts: 30, limit: 24 },
  'cannot-light': { supply: 1.6, lampVolts: 2.9, lamp: 'blue', amps: 0, needVolts: 3.1 },
  'current-over-limit': { amps: 0.03, limit: 0.02 },
  'no-resistor-in-drawer': { ohms: 220_000, largest: 100_000 },
  'little-headroom': { volts: 0.3, share: 0.06 },
  'runs-hot': { watts: 0.2, rating: 0.25, part: 'R1' },
  'over-drawn-cell': { amps: 0.014 },
  'assumed-figure': { lamp: 'blue', origin: 'table' },
  'unequal-lamps': { lamps: [{ part: 'D4', type: 'red', amps: 0.0208 }], dark: 1, over: 1 },
  'never-without-resistor': { cells: 2 },
  'too-many-lamps': { lamps: 45, most: 40 },
  'supply-overloaded': { amps: 0.9, limit: 0.5 },
  'no-way-works': { ways: 4 },
  'rungs-alike': { first: 'D1', second: 'D2', volts: 7.5 },
  'no-zener': { volts: 40, lamp: 'red' },
  'no-potentiometer': { ohms: 47_000 },
  'nothing-in-range': { low: 10, high: 20 },
  'hole-missing': { hole: 'k99', part: 'R1' },
  'hole-taken': { hole: 'c3', part: 'D1', other: 'R1' },
  'hole-cut': { hole: 'F5', part: 'R1' },
  'not-alike': { part: 'R1', other: 'P1' },
  'does-not-fit': { board: 'mini', left: 20, of: 48, would: 'half strip' },
  'not-for-card': { part: 'P1' },
  'shorted-by-row': { part: 'R1', hole: 'c3', strip: '3 a–e' },
  'open-leg': { part: 'D1', kind: 'led', pin: 'cathode', hole: 'e10', strip: '10 a–e' },
  'cut-off': { part: 'D1' },
  reversed: { part: 'D1', volts: 4.8 },
  'reverse-limit': { part: 'D1', volts: 9.5, limit: 5 },
  dark: { part: 'D1', amps: 1e-8 },
  'lamp-glow': { part: 'D1', amps: 0.00885, brightness: 'bright', share: 0.44 },
  'over-current': { part: 'D1', amps: 0.025, limit: 0.02, share: 1.25 },
  'will-fail': { part: 'D1', amps: 0.6, limit: 0.02, share: 30 },
  'resistor-over-rating': { part: 'R1', watts: 0.4, rating: 0.25 },
  'supply-shorted': { part: 'B1', amps: 10 },
  'no-resistor': { part: 'D1' },
  'reading-counted': { typed: '7', as: 'count', perhaps: '7/10' },
  'reading-implausible': { typed: '2910', value: 2910, limit: 4.8, unit: 'V', beyond: 'more', perhaps: 2.91 },
  'csv-columns': { wanted: 'bench,nickname', found: 'name' },
  'csv-row': { row: 4, problem: 'has no nickname' },
  'duplicate-nickname': { nickname: 'Wren' },
  'duplicate-bench': { bench: 3 },
  overloaded: { part: 'R1', how: 'heat', figure: 0.4, limit: 0.25 },
  'in-the-way': { part: 'R1', other: 'D1' },
  'not-on-board': { part: 'R1', kind: 'resistor' },
  'mains-in-text': { words: 'mains lamp' },
  'surname-like': { nickname: 'Wren Harbour' },
};

/** What some findings are named by instead of by the part that they are about. */
const NAMED_BY: Readonly<Partial<Record<FindingCode, string>>> = {
  'hole-taken': 'R1',
  'supply-shorted': 'battery',
  'no-battery': 'batter',
};

const codes = Object.keys(SAMPLES) as FindingCode[];
const said = <C extends FindingCode>(code: C) => sentence(finding(code, SAMPLES[code])).replaceAll(THIN, ' ');

describe.each(codes)('%s', (code) => {
  it('is a whole sentence without a gap in it', () => {
    expect(said(code)).not.toMatch(/undefined|NaN|\[object|\s{2}|Infinity/u);
    expect(said(code)).toMatch(/[.?]$/u);
    expect(said(code).split(' ').length).toBeGreaterThan(3);
  });

  it('names the thing it is about', () => {
    const data: Readonly<Record<string, unknown>> = { ...SAMPLES[code] };
    for (const name of ['typed', 'nickname', 'found', 'check', 'ground', 'nodes', 'place'] as const) {
      if (typeof data[name] === 'string') expect(said(code)).toContain(data[name]);
    }
    const name = NAMED_BY[code] ?? data['part'];
    if (typeof name === 'string') expect(said(code)).toContain(name);
  });
});

it('several are said one after another', () => {
  const two = [finding('duplicate-bench', { bench: 3 }), finding('duplicate-bench', { bench: 4 })];
  expect(sentences(two)).toBe(`${sentence(two[0]!)} ${sentence(two[1]!)}`);
});
