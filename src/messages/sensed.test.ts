import { patternSheet } from '../../tests/support/sheets';
import type { LightSums, PulseSums } from '@/core';
import { goalWords } from './goals';
import { isolateWords, parkingPlace, parkingSeen } from './isolate';
import {
  lightLines,
  lightPath,
  lightPredictions,
  lightTalk,
  otherLight,
  SCENE_WORDS,
  trimWords,
} from './light';
import { leastWords } from './lengths';
import { lessonLine } from './families';
import { namesIn } from './names';
import { pointName, probeWords } from './points';
import { cellLines, pulseLines, pulseTalk, whyItLights } from './pulses';
import { stepWords } from './steps';
import { ownSums } from '../../tests/support/ownSums';

const plain = (words: string) => words.replaceAll('\u202f', ' ');
/** The first figure of some words, in its own prefix. */
const figureIn = (words: string) => Number(/[\d.]+/u.exec(plain(words))![0]);

describe('a lamp on pulses in words', () => {
  const sheet = patternSheet('pulsed');
  const pulses: PulseSums = ownSums(sheet.sums).pulses!;
  const figure = (name: RegExp) => pulseLines(pulses).find((line) => name.test(line.name))!.figure;

  it('tells peak and mean by figures that are one another’s share', () => {
    expect(figureIn(figure(/^its mean/u))).toBeCloseTo(0.4 * figureIn(figure(/^D1 while/u)), 1);
    expect(figureIn(figure(/^a meter across/u))).toBeCloseTo(0.4 * pulses.lampVolts.peak, 2);
    expect(plain(figure(/^once round/u))).toBe('1.00 ms');
    expect(plain(figure(/^a pulse lasts/u))).toBe('400 µs');
  });

  it('says what its mean by itself would do as the lamp’s own curve has it', () => {
    expect(whyItLights(pulses)).toContain('would leave D1 dark');
    const long = ownSums(patternSheet('pulsed', { lamp: 'red', duty: 0.95, amps: 0.008 }).sums).pulses!;
    expect(long.steadyAmps).toBeGreaterThan(1e-3);
    expect(long.steadyAmps).toBeLessThan(long.amps.mean);
    expect(whyItLights(long)).not.toContain('dark');
    expect(whyItLights(long)).toMatch(/^At steady .* would carry/u);
  });

  it('says why it lights, and what the eye goes by', () => {
    expect(whyItLights(pulses)).toContain('one steady light');
    const slow = ownSums(patternSheet('pulsed', { hertz: 2 }).sums).pulses!;
    expect(whyItLights(slow)).toContain('flashes');
    expect(plain(pulseTalk(pulses))).toContain('40 %');
  });

  it('says of the cell at most what a booster without losses would make of it', () => {
    const [power, amps, hours] = cellLines(pulses).map((line) => figureIn(line.figure));
    expect(amps! / (power! / 1.2)).toBeCloseTo(1, 1);
    // Two ampere-hours of the cell.
    expect(hours! / (2000 / amps!)).toBeCloseTo(1, 1);
  });

  it('names what is measured as a mean', () => {
    const points = sheet.checkpoints.map((point) => `${pointName(point)}: ${probeWords(point)}`);
    expect(points[0]).toContain('mean of B1');
    expect(points.slice(0, -1).every((words) => words.includes('mean'))).toBe(true);
    expect(points.at(-1)).toMatch(/^current: open the loop/u);
  });

  it('keeps the lamp at its mean on the card, off the booster’s leads', () => {
    const words = sheet.steps.map((step) => stepWords(step, sheet));
    expect(words.map(({ why }) => why).join(' ')).toContain('on average');
    expect(words.map(({ title }) => title).join(' ')).toContain('lead of the booster');
    expect(words.at(-1)!.detail).toContain('the mean while it comes and goes');
    expect(plain(lessonLine(sheet))).toMatch(/^white lamp, booster, pulses of 5\.00 V for 40 % of the time/u);
  });
});

describe('a lamp that follows the light in words', () => {
  const sheet = patternSheet('light-switch');
  const light: LightSums = ownSums(sheet.sums).light!;
  const other = patternSheet('light-switch', { lit: 'window', dark: 'dusk' });

  it('tells where it should switch and where it does', () => {
    const [aim, does, spread] = lightLines(light).map((line) => line.figure);
    expect(figureIn(aim!)).toBeCloseTo(light.aimLux, 1);
    expect(figureIn(does!)).toBeCloseTo(light.switches.typical!, 1);
    const [least, most] = plain(spread!).split(' to ').map(figureIn);
    expect(least).toBeLessThan(light.switches.typical!);
    expect(most).toBeGreaterThan(light.switches.typical!);
    expect(plain(trimWords(light))).toContain('a trim potentiometer of 100 kΩ covers it');
  });

  it('tells the way of the current through every part, either way round', () => {
    for (const { circuit, sums } of [sheet, other])
      for (const { id, kind } of circuit.parts)
        if (kind !== 'supply') expect(lightPath(ownSums(sums).light!)).toContain(id);
    expect(lightTalk(light)).toContain('The darker');
    expect(lightTalk(ownSums(other.sums).light!)).toContain('The lighter');
    expect(lightPredictions(light)).toHaveLength(3);
  });

  it('names the light with what is measured, and asks for the other at the end of the card', () => {
    const names = sheet.checkpoints.map((point) => pointName(point));
    expect(new Set(names).size).toBe(names.length);
    expect(names).toEqual(expect.arrayContaining(['across L1 (dusk)', 'across L1 (class)', 'pack (dusk)']));
    expect(probeWords(sheet.checkpoints[0]!)).toMatch(/^L1 at dusk: /u);
    const last = stepWords(sheet.steps.at(-1)!, sheet).detail;
    expect(last).toContain('L1 at dusk.');
    expect(last).toContain(otherLight(light));
    const powered = patternSheet('light-switch', { power: 'red' });
    expect(stepWords(powered.steps.at(-1)!, powered).detail).toContain('D1 goes out.');
    expect(lessonLine(powered)).toMatch(/^white lamp, /u);
    expect(namesIn(powered.circuit)('S1')).toBe('the switch S1');
    expect(goalWords(sheet.goals[0]!, sheet.supply)).toBe(`The lamp is lit ${SCENE_WORDS.dusk}.`);
    expect(lessonLine(sheet)).toContain('lit at dusk and dark in the lit classroom');
  });

  it('tells the legs of the transistor apart', () => {
    const q1 = sheet.steps.find((step) => step.action === 'place-part' && step.part === 'Q1')!;
    const { cue, detail } = stepWords(q1, sheet);
    expect(cue).toMatch(/^Collector in [a-j]\d+, base in [a-j]\d+, emitter in [a-j]\d+\.$/u);
    expect(detail).toContain('emitter, base, collector');
  });
});

describe('one half alone in words', () => {
  const sheet = patternSheet('alternate', {}, 'full');

  it('says where the resistor goes, and what each rail shows', () => {
    const step = sheet.steps.find(({ action }) => action === 'isolate')!;
    if (step.action !== 'isolate') throw new Error('no such step');
    const { title, detail } = isolateWords(step, sheet);
    expect(title).toBe('Stop: test the half of U1 alone. U2 is not in yet.');
    expect(detail.match(/power on: D[12] blinks/gu)).toHaveLength(2);
    for (const parking of step.isolation.parkings) {
      expect(detail).toContain(parkingPlace(parking));
      expect(detail).toContain(parkingSeen(parking, step.isolation, sheet));
    }
  });

  it('says of the second chip what is the same again', () => {
    const u2 = sheet.steps.find((step) => step.action === 'place-part' && step.part === 'U2')!;
    expect(stepWords(u2, sheet).detail).toContain(
      'The same again on the second chip: as at U1, with R2 and C2',
    );
  });
});

describe('what no plan can do without, in words', () => {
  it('gives the reasons, and how far a plan is from it', () => {
    const bounds = { wires: 4, pitches: 10, across: 2, apart: 1 };
    const quality = { jumpers: 9, wire: 45, crossings: 0, slants: 0, cuts: 0, cost: 0 };
    expect(plain(leastWords(bounds, quality))).toBe(
      'No plan on this board has fewer than 4 or less than 25 mm of wire: 2 nets must cross the trench, one net cannot share one row. This one has 5 more, and 4.5 times the wire.',
    );
    expect(leastWords({ ...bounds, across: 0 }, { ...quality, jumpers: 4 }, 'pad')).toContain(
      'one net cannot share one pad. This one has no more of them.',
    );
  });
});
