import { connect } from 'node:net';
import { ownDatabase } from '../../../tests/support/database';
import { givenClass } from '../../../tests/support/givenClass';
import { faultContext, judgeBench, madeUpBuild, noteReading, sweptSupply } from '@/core';
import { LESSONS } from '@/demo/lessons';
import type { GivenLesson } from '../givenLesson';
import { readHouseMeter, readMeter } from '../instruments/meter';
import { benchLooks, benchWas, practiceOf, readStandIn, sweepStandIn } from '../practice';
import { lesson, saveLesson } from '../repositories/lessons';
import { addSession } from '../repositories/sessions';
import { madeUpBench } from './benches';
import { commandsIn, FAULTS, figureText, isHeader, readFigure } from './header';
import { serveInstrument, type Said } from './lineServer';
import { standIns } from './start';

ownDatabase();

let session = 0;
let lessonId = 0;
let groupId = 0;
let given: GivenLesson;
const bench = (number: number, seed = 5, mended = false) => ({
  sessionId: session,
  seed,
  bench: number,
  mended,
});

beforeAll(async () => {
  ({ lessonId, groupId, given, session } = await givenClass('Wren'));
});

/** Sends lines to an instrument as a terminal would, and hears so many answers. */
async function typed(address: string, lines: string, answers: number): Promise<string[]> {
  const [host, port] = address.split(':');
  const socket = connect({ host: host!, port: Number(port) });
  socket.write(lines);
  let text = '';
  for await (const chunk of socket) {
    text += String(chunk);
    if (text.split('\n').length > answers) break;
  }
  socket.destroy();
  return text.trim().split('\n');
}

describe('lines of the protocol', () => {
  it('are taken apart at semicolons, in long and short words', () => {
    expect(commandsIn('*RST; :MEAS:VOLT:DC? ;VOLT 7.5')).toEqual([
      { header: '*rst', asks: false, rest: '' },
      { header: 'meas:volt:dc', asks: true, rest: '' },
      { header: 'volt', asks: false, rest: '7.5' },
    ]);
    expect(isHeader('MEASure:VOLTage:DC', 'measure:volt:dc')).toBe(true);
    expect(isHeader('MEASure:VOLTage:DC', 'meas:volta:dc')).toBe(false);
  });

  it.each([
    [2.71, 0.01, 0, '+2.71E+00'],
    [0.00885, 1e-5, -3, '+8.85E-03'],
    [-0.0009, 0.001, 0, '-0.001E+00'],
    [-0.0001, 0.001, 0, '+0.000E+00'],
  ])('carry %d to a step of %d as %s', (value, step, power, text) => {
    expect(figureText(value, step, power)).toBe(text);
    const read = readFigure(text)!;
    expect(read.step).toBeCloseTo(step, 12);
    expect(Math.abs(read.value - value)).toBeLessThanOrEqual(step);
  });

  it('that are nonsense are no figures', () => {
    for (const text of ['', 'volts', '1.2.3', '0x10', 'NaN']) expect(readFigure(text)).toBeUndefined();
  });
});

describe('the stand-in meter', () => {
  it('measures a made-up bench by lines, and says what it does not take', async () => {
    const address = await standIns.meter();
    const { shown, points } = await madeUpBench(bench(1, 9, true));
    const at = points.findIndex(({ id }) => id === 'R1');
    const said = await typed(
      address,
      `*IDN?\nMEAS:VOLT?;:SYST:ERR?\nSTAN:BENC ${session},9,1,1\nSTAN:PROB "R1"\nMEASure:VOLTage:DC?\nMEAS:CURR:DC?;:SYST:ERR?\nSYST:ERR?\n`,
      5,
    );
    expect(said[0]).toBe('Mivvet,stand-in meter,0,1');
    expect(said[1]).toBe(FAULTS.undefinedHeader);
    expect(Number(said[2])).toBeCloseTo(shown[at]!.value, 9);
    // A current is not read with the probes across a resistor.
    expect(said[3]).toBe(FAULTS.noData);
    expect(said[4]).toBe(FAULTS.none);
  });

  it('shows a mended bench inside what a right build shows, and the same bench always the same', async () => {
    const says = await readStandIn(bench(3, 9, true), 'current');
    expect(says.meter).toBe('stand-in meter');
    expect(await readStandIn(bench(3, 9, true), 'current')).toEqual(says);
    const { worstLow, worstHigh } = given.expectation.expected.points.find(({ id }) => id === 'current')!;
    // The meter's own error may lie beyond the corners: 1 % and three digits.
    expect(Number(says.typed) * 1e-3).toBeGreaterThan(worstLow * 0.98 - 3e-5);
    expect(Number(says.typed) * 1e-3).toBeLessThan(worstHigh * 1.02 + 3e-5);
  });

  it('makes classes up of right and wrong benches, and a mistake is found by its readings', async () => {
    const context = faultContext(given.sheet, given.request);
    const builds = Array.from({ length: 200 }, (_, i) =>
      madeUpBuild(context, { seed: 11, bench: i + 1, mended: false }),
    );
    const rights = builds.filter(({ candidate }) => candidate.code === 'right').length;
    // 35 % of 200, give or take four deviations.
    expect(rights).toBeGreaterThan(43);
    expect(rights).toBeLessThan(97);
    expect(new Set(builds.map(({ candidate }) => candidate.code)).size).toBeGreaterThan(6);
    const wrong = builds.findIndex(({ candidate }) => candidate.code === 'wrong-resistor');
    const own = bench(wrong + 1, 11);
    const noted = [];
    for (const { id } of given.expectation.dictionary.points) {
      const says = await readStandIn(own, id);
      const read = noteReading(says.typed, id === 'current' ? 'amps' : 'volts');
      if (!read.ok) throw new Error(says.typed);
      noted.push({ point: id, ...read.value });
    }
    const judged = judgeBench(given.expectation, noted, []);
    expect(judged.state).toBe('off');
    const named = judged.diagnosis!.groups.slice(0, 3).flatMap(({ causes }) => causes);
    const { cause } = await benchWas(own);
    expect(named.some(({ code, data }) => code === cause.code && data.part === cause.data.part)).toBe(true);
  });

  it('is no meter for what is not there', async () => {
    await expect(readStandIn(bench(1), 'R9')).rejects.toThrow('no such checkpoint');
    await expect(readStandIn({ ...bench(1), sessionId: 999 }, 'R1')).rejects.toThrow('not there any more');
    const looked = await benchLooks(bench(1, 9, true));
    expect(looked).toMatchObject({ looks: { D1: 'lit' }, hot: false });
  });
});

describe('a meter on the network', () => {
  const point = () => given.expectation.dictionary.points.find(({ id }) => id === 'R1')!;
  const serving = (answers: Readonly<Record<string, Said>>) =>
    serveInstrument(
      () =>
        ({ header }) =>
          answers[header] ?? { fault: FAULTS.undefinedHeader },
    );

  it('is read by the same lines, without being told where its probes are', async () => {
    const { port, server } = await serving({
      '*idn': { answer: 'Harbour Works,M3,77,2.1' },
      'meas:volt:dc': { answer: '+2.8810E+00' },
    });
    expect(await readMeter(`127.0.0.1:${port}`, point())).toEqual({
      typed: '2.8810',
      meter: 'Harbour Works M3',
    });
    process.env['MIVVET_METER'] = `127.0.0.1:${port}`;
    expect((await readHouseMeter(session, 'R1')).typed).toBe('2.8810');
    delete process.env['MIVVET_METER'];
    server.close();
  });

  it('that is overloaded, says nonsense, refuses or is not there gets a sentence', async () => {
    const says = async (answer: Said) => {
      const { port, server } = await serving({ '*idn': { answer: 'A,B,1,1' }, 'meas:volt:dc': answer });
      const outcome = await readMeter(`127.0.0.1:${port}`, point()).catch((error: Error) => error.message);
      server.close();
      return outcome;
    };
    expect(await says({ answer: '+9.90000000E+37' })).toContain('overload');
    expect(await says({ answer: 'lots' })).toContain('“lots”, which is no figure');
    expect(await says({ fault: FAULTS.outOfRange })).toContain('Data out of range (-222)');
    await expect(readMeter('127.0.0.1:1', point())).rejects.toThrow(
      'No instrument can be reached at 127.0.0.1:1',
    );
    await expect(readHouseMeter(session, 'R1')).rejects.toThrow('MIVVET_METER');
  });
});

describe('the stand-in supply', () => {
  it('turns a bench up from nothing: the current is what the circuit takes, and the lamp comes on where it should', async () => {
    const { bench: steps, meant, usual } = await sweepStandIn(bench(2, 9, true), 6);
    expect(steps[0]).toMatchObject({ volts: 0, amps: 0, looks: { D1: 'dark' } });
    expect(steps.at(-1)!.looks['D1']).toBe('lit');
    expect(usual).toBeCloseTo(given.sheet.sums.supplyFigures.volts, 9);
    // As meant, at its own volts, it is the lesson's current but for the cells' own ohms.
    const own = meant.reduce((best, one) =>
      Math.abs(one.volts - usual) < Math.abs(best.volts - usual) ? one : best,
    );
    const [exact] = sweptSupply(given.sheet.circuit, [own.volts]);
    expect(own.amps).toBeCloseTo(exact!.amps, 12);
    for (const [i, step] of steps.entries())
      expect(step.amps).toBeGreaterThanOrEqual((steps[i - 1]?.amps ?? 0) - 1e-4);
  });

  it('takes no volts that it does not have', async () => {
    const address = await standIns.supply();
    const said = await typed(
      address,
      'VOLT 30;:SYST:ERR?\nVOLT x;:SYST:ERR?\nVOLT 7.5;:VOLT?;:OUTP?\nOUTP ON;:MEAS:VOLT?\n',
      4,
    );
    expect(said).toEqual([FAULTS.outOfRange, FAULTS.missing, '+7.50E+00;0', '+7.50E+00']);
  });
});

it('a session of a lesson that was changed since has no benches to be made up', async () => {
  expect(await practiceOf(session)).toEqual({ usual: given.sheet.sums.supplyFigures.volts });
  const { expectation, summary } = given;
  const { version } = await lesson(lessonId);
  const content = { ...LESSONS[0]!, title: 'Pier lamp, again' };
  await saveLesson(lessonId, version, content, '2026-11-27T10:00:00.000Z');
  const later = await addSession({ lessonId, groupId, onDate: '2026-11-28', expectation, summary });
  const refused = { refused: expect.stringContaining('newest figures') as string };
  expect(await practiceOf(later)).toMatchObject(refused);
});
