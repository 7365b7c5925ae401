import { ownDatabase } from '../../tests/support/database';
import { givenClass } from '../../tests/support/givenClass';
import { patternSheet } from '../../tests/support/sheets';
import { gateAdvice } from './gateAdvice';
import { lampsBy, poweredGate } from './gates';
import { givenCard } from './givenCard';
import { ownBench } from './ownBench';
import { contentOf, lesson, saveLesson } from './repositories/lessons';

ownDatabase();

let session = 0;
let student = 0;
let at = 0;
let lessonId = 0;

beforeAll(async () => {
  const made = await givenClass('Wren');
  session = made.session;
  ({ lessonId } = made);
  student = made.students[0]!.id;
  at = (await givenCard(session))!.steps.findIndex((step) => poweredGate(step));
});
const say = (lit: string[], readings: Record<string, string> = {}, tries = 0) =>
  gateAdvice(session, student, at, { lit, readings, tries });

describe('a stop of the card', () => {
  it('asks for the lamps that are on the board, and tells the student’s page no figure', async () => {
    const { steps, sheet } = await ownBench(session, student);
    expect(steps[at]!.stop!.lamps).toEqual(['D1']);
    expect(steps.filter(({ stop }) => stop).length).toBe(1);
    const text = JSON.stringify([steps, sheet!.steps]);
    expect(text).not.toContain('"typical"');
    expect(text).not.toMatch(/\d\s*(?:mA|V)\b/u);
  });

  it('is right where everything lights that should and nothing else', async () => {
    expect((await say(['D1'])).right).toBe(true);
    expect((await say([])).lamps).toBe('again');
    expect((await say([], {}, 1)).lamps).toBe('ask');
    expect((await say(['D1', 'D9'])).lamps).toBe('again');
  });

  it('judges its figures by what is on the board by then, with what the meter leaves open', async () => {
    const gate = poweredGate((await givenCard(session))!.steps[at])!;
    const { id, low, high } = gate.readings[0]!;
    const advice = async (volts: number, tries = 0) =>
      (await say(['D1'], { [id]: volts.toFixed(2) }, tries)).readings[id];
    expect(await advice((low + high) / 2)).toBe('right');
    expect(await advice(low - 0.02)).toBe('right');
    expect(await advice(low - 0.2)).toBe('again');
    expect(await advice(high + 0.2, 1)).toBe('ask');
    expect((await say(['D1'], { [id]: 'four' })).right).toBe(false);
    // What was not read is not judged.
    expect((await say(['D1'], { [id]: ' ' })).readings).toEqual({});
  });

  it('is that of the card which the class was given, though its lesson goes on', async () => {
    const before = (await givenCard(session))!;
    const held = await lesson(lessonId);
    const choice = {
      pattern: 'single',
      params: { supply: { kind: 'usb', cells: 1, age: 'nominal' }, lamp: 'blue', amps: 0.012, side: 'plus' },
    } as const;
    await saveLesson(lessonId, held.version, { ...contentOf(held), choice }, '2026-11-28T10:00:00.000Z');
    const after = (await givenCard(session))!;
    expect(after.sorts).toEqual(before.sorts);
    expect(after.steps).toEqual(before.steps);
    const { low, high, id } = poweredGate(before.steps[at])!.readings[0]!;
    expect((await say(['D1'], { [id]: ((low + high) / 2).toFixed(2) })).right).toBe(true);
  });

  it('that is not on the card is refused', async () => {
    await expect(gateAdvice(session, student, 0, { lit: [], readings: {}, tries: 0 })).rejects.toThrow(
      'load the page again',
    );
  });
});

it('half-way through a larger build only the lamps are asked for that are there', () => {
  const sheet = patternSheet('panel', {}, 'full');
  const stops = sheet.steps.flatMap((step, i) => (poweredGate(step) ? [lampsBy(sheet, i).length] : []));
  expect(stops.length).toBeGreaterThan(2);
  expect(stops).toEqual([...stops].sort((a, b) => a - b));
  expect(stops[0]).toBeLessThan(stops[stops.length - 1]!);
  expect(stops[stops.length - 1]).toBe(sheet.circuit.parts.filter(({ kind }) => kind === 'led').length);
});
