import fc from 'fast-check';
import { made } from '../../../tests/support/circuits';
import { choiceWith, patternSheet, requestWith, ROUGH, worked } from '../../../tests/support/sheets';
import { DEFAULT_METER } from '../catalogue/meter';
import { deviceOf } from '../circuit/deviceOf';
import { keyOf, uniform } from '../numerics/random';
import { quantile } from '../numerics/quantile';
import { drawn } from '../tolerance/draw';
import { toWav } from '../formats/wav/toWav';
import { dayOf } from '../sheet/day';
import type { Circuit, Part } from '../circuit/circuit';
import { hasFigure } from './checkpoint';
import { bandPoints, burdensFor } from './draws';
import { withHeld } from './held';
import { instantOf } from './instant';
import { observe } from './observe';
import type { Moving } from './observation';
import { readMoving } from './responses';
import { soundOf } from './sound';
import { ownSums } from '../../../tests/support/ownSums';

function moving(circuit: Circuit): Moving {
  const seen = observe(circuit);
  if (!seen.ok || seen.value.kind === 'still') throw new Error('it rests');
  return seen.value;
}

/** A circuit with every spread at its figure of one draw. */
function drawnCircuit(circuit: Circuit, draw: number): Circuit {
  return {
    ...circuit,
    parts: circuit.parts.map((part) => {
      const spreads = deviceOf(part).spreads(part.params);
      const values = spreads.map((spread) => [
        spread.field,
        drawn(spread, uniform(1, draw, keyOf(`${part.id}.${spread.field}`))),
      ]);
      return { ...part, params: { ...part.params, ...Object.fromEntries(values) } } as Part;
    }),
  };
}

describe('bands of a build that moves', () => {
  it.each(['blink', 'blink-simple', 'tone', 'chain'] as const)(
    '%s: as 2,000 whole runs have them',
    (pattern) => {
      const { design } = worked(pattern);
      const { circuit } = design;
      const points = design.checkpoints.filter(hasFigure);
      const burdens = burdensFor(circuit, points, DEFAULT_METER);
      const bands = bandPoints(circuit, points, burdens, {
        samples: 2000,
        seed: 1,
        coverage: 0.95,
        ends: 'both',
      });
      if (!bands.ok) throw new Error(JSON.stringify(bands.findings));
      const runs = pattern === 'chain' ? 400 : 2000;
      const whole = points.map(() => [] as number[]);
      for (let draw = 0; draw < runs; draw++) {
        const figures = readMoving(drawnCircuit(circuit, draw), points, {
          meterUseAt: () => 'right',
          burdens: [],
        })!;
        figures.forEach((figure, i) => whole[i]!.push(figure));
      }
      points.forEach((point, i) => {
        if (point.measure === 'meanAmps') return;
        const sorted = Float64Array.from(whole[i]!).sort();
        const { low, high, typical } = bands.value[i]!.band;
        const off = (end: number, share: number) =>
          Math.abs(end - quantile(sorted, share)) / Math.abs(typical);
        // Fewer runs leave their own ends less sure.
        const limit = pattern === 'chain' ? 0.06 : 0.02;
        expect(off(low, 0.025)).toBeLessThan(limit);
        expect(off(high, 0.975)).toBeLessThan(limit);
      });
    },
  );

  it('are wide where capacitors are: a flash rate spreads by a fifth and more', () => {
    const { expected } = patternSheet('blink', {}, 'half');
    const rate = expected.points.find(({ point }) => point.measure === 'hertz')!;
    expect(rate.unit).toBe('Hz');
    expect(rate.high / rate.low).toBeGreaterThan(1.35);
    expect(rate.worstLow).toBeLessThan(rate.low);
    expect(rate.worstHigh).toBeGreaterThan(rate.high);
  });
});

describe('a button that is pressed and let go', () => {
  it('starts one light, however long it is held', () => {
    const { design } = worked('one-shot', { seconds: 5 });
    const seen = moving(withHeld(design.circuit, { S1: 'pressed' }));
    const turns = seen.run.events.map(({ high }) => high);
    expect(turns).toEqual([true, false]);
    const [on, off] = seen.run.events;
    expect(on!.time).toBeCloseTo(0.3, 6);
    expect(off!.time - on!.time).toBeGreaterThan(4);
    const rest = observe(design.circuit);
    expect(rest.ok && rest.value.kind).toBe('still');
  });

  it('is a switch like any other before and after', () => {
    const parts = [
      { id: 'B1', kind: 'supply', pins: { plus: 'v', minus: '0' }, volts: 5 },
      { id: 'S1', kind: 'switch', pins: { a: 'v', b: 'n' }, pressAt: 0.1, pressFor: 0.05 },
      { id: 'R1', kind: 'resistor', pins: { a: 'n', b: '0' }, ohms: 1000 },
    ];
    const seen = moving(made({ format: 'mivvet.circuit/1', title: '', ground: '0', parts, checks: [] }));
    const at = (time: number) => {
      const i = seen.run.time.findIndex((t) => t >= time);
      return seen.run.nodes['n']![i]!;
    };
    expect(at(0.05)).toBeCloseTo(0, 9);
    expect(at(0.12)).toBeCloseTo(5, 6);
    expect(at(0.16)).toBeCloseTo(0, 9);
  });
});

describe('a chip whose reset hangs on another one’s output', () => {
  const { circuit } = patternSheet('chain', {}, 'half', ROUGH);
  const following = (ohms: number) =>
    moving({
      ...circuit,
      parts: circuit.parts.map((part) =>
        part.id === 'R7' ? ({ ...part, params: { ...part.params, ohms } } as Part) : part,
      ),
    });
  const period = ({ run }: Moving) => run.cycles['out1']!.period!;
  /** Switchings that somebody could see. */
  const seen = ({ run: { events } }: Moving) =>
    events.filter(
      ({ time, output }) =>
        !events.some((other) => other.output === output && Math.abs(other.time - time || 1) < 1e-3),
    );

  // Its capacitor empties into that output at once, which lifts it to the reset's own threshold: what the chip then does
  // moves the output by microvolts, and the reset with it.
  it.each([0.01, 22])('goes round with it where %d ohms hurry the emptying', (ohms) => {
    const [usual, hurried] = [following(220), following(ohms)];
    expect(hurried.erratic).toBeUndefined();
    expect(seen(hurried)).toHaveLength(seen(usual).length);
    expect(Math.abs(period(hurried) / period(usual) - 1)).toBeLessThan(1e-3);
  });
});

describe('an instant', () => {
  const day = dayOf({ ...requestWith(), choice: choiceWith('blink') }, 'nothing');
  if (!day.ok) throw new Error('no day');
  const { seen } = day.value;

  it('knows when the chip turns over next, and what lies between', () => {
    fc.assert(
      fc.property(fc.double({ min: 0, max: 0.99, noNaN: true }), (share) => {
        const time = share * seen.run.ended;
        const now = instantOf(seen, time);
        const chip = now.chips[0]!;
        const { volts, way, toward } = chip.capacitor!;
        if (chip.next !== undefined) {
          const turn = seen.run.events.find((event) => event.time > time)!;
          expect(chip.next).toBeCloseTo(turn.time - time, 9);
          expect(chip.up).toBe(!turn.high);
        }
        if (way === 'fills') expect(toward).toBeGreaterThan(volts - 0.05);
        if (way === 'empties') expect(toward).toBeLessThan(volts + 0.05);
        const lit = now.lamps[0]!.amps > 1e-3;
        expect(lit).toBe(!chip.up);
      }),
      { numRuns: 60, seed: 3 },
    );
  });

  it('has the pins act as the comparators do', () => {
    const { pins, up } = instantOf(seen, 0.01).chips[0]!;
    const pin = (name: string) => pins.find((one) => one.pin === name)!;
    expect(up).toBe(true);
    expect(pin('trigger').acts).toBe(true);
    expect(pin('threshold').acts).toBe(false);
    expect(pin('discharge').acts).toBe(false);
    expect(pin('threshold').against! / pin('trigger').against!).toBeCloseTo(2, 9);
  });
});

describe('another setting beneath', () => {
  it('shows what a load, a chip and a tired supply change', () => {
    const request = { ...requestWith(), choice: choiceWith('blink-simple') };
    const period = (beneath: Parameters<typeof dayOf>[1]) => {
      const day = dayOf(request, beneath);
      if (!day.ok) throw new Error('no day');
      const { run } = day.value.other ?? day.value.seen;
      return run.cycles['out1']!.period!;
    };
    // A CMOS output reaches its rails: it goes round faster than one that stays short of them.
    expect(period('other family')).toBeLessThan(period('nothing'));
    expect(period('no lamps')).toBeLessThan(period('nothing'));
    // Short of the rail by the same volts is more of a weak supply.
    expect(period('tired supply')).toBeGreaterThan(period('nothing'));
  });

  it('is refused of a lesson that rests', () => {
    expect(dayOf(requestWith(), 'nothing')).toMatchObject({
      ok: false,
      findings: [{ code: 'does-not-move' }],
    });
  });
});

describe('the sound of a tone', () => {
  const { design, sums } = worked('tone', { hertz: 220 });
  const rate = 44_100;
  const samples = soundOf(moving(design.circuit), 'LS1', { seconds: 1, rate, volume: 0.2 })!;

  it('goes up through nothing as often as its pitch says', () => {
    let rises = 0;
    for (let i = 1; i < samples.length; i++) if (samples[i - 1]! < 0 && samples[i]! >= 0) rises++;
    expect(Math.abs(rises - ownSums(sums).timing![0]!.hertz)).toBeLessThan(2);
    expect(Math.max(...samples.map(Math.abs))).toBeCloseTo(0.2, 9);
  });

  it('is a WAV file of one 16-bit channel', () => {
    const bytes = toWav(samples, rate);
    const view = new DataView(bytes.buffer);
    expect(String.fromCharCode(...bytes.slice(0, 4), ...bytes.slice(8, 15))).toBe('RIFFWAVEfmt');
    expect([view.getUint16(22, true), view.getUint32(24, true), view.getUint16(34, true)]).toEqual([
      1,
      rate,
      16,
    ]);
    expect(view.getUint32(40, true)).toBe(2 * samples.length);
    expect(bytes.length).toBe(44 + 2 * samples.length);
    expect(view.getInt16(44 + 2 * 100, true) / 0x7fff).toBeCloseTo(samples[100]!, 4);
  });
});
