import { choiceWith, refusedWith, requestWith, worked } from '../../../../tests/support/sheets';
import { resetVolts, roomLux, switchLux, type BeamSums } from '../../answers/beam';
import { LIGHT_SENSOR, lightSensorOhms, SCENE_LUX, type Scene } from '../../catalogue/light';
import { isKind, withPart, type Circuit } from '../../circuit/circuit';
import { withHeld } from '../../observe/held';
import { observe } from '../../observe/observe';
import { sessionExpectation } from '../../sheet/expectation';
import { makeSheet } from '../../sheet/sheet';
import { ownSums } from '../../../../tests/support/ownSums';

const CUT = { D1: 'cut' } as const;

/** What is heard of a circuit, and the volts at its reset pin. */
function heard(circuit: Circuit) {
  const seen = observe(circuit);
  if (!seen.ok) throw new Error('does not settle');
  return { sounds: seen.value.kind === 'moving', volts: seen.value.nodes['hush']! };
}

function withLight(circuit: Circuit, lux: number, r10: number = LIGHT_SENSOR.r10): Circuit {
  return withPart(circuit, 'L1', (part) =>
    isKind(part, 'ldr') ? { ...part, params: { ...part.params, lux, r10, hood: 1, litBy: [] } } : part,
  );
}

const wishes = [
  {},
  { beam: { lamp: 'red', amps: 0.012, metres: 0.3, lens: true, hood: false, room: 'dusk' } },
  {
    family: 'cmos',
    amps: 0.004,
    beam: { lamp: 'white', amps: 0.01, metres: 1, lens: true, hood: true, room: 'dusk' },
  },
] as const;

describe.each(wishes)('a beam alarm with %o', (wish) => {
  const { design, sums } = worked('beam-alarm', wish as never);
  const beam: BeamSums = ownSums(sums).beam!;
  const { circuit } = design;

  it('is silent while the beam is whole, and heard at its pitch when it is cut', () => {
    expect(heard(circuit).sounds).toBe(false);
    expect(heard(withHeld(circuit, CUT)).sounds).toBe(true);
    const { hertz, wanted } = ownSums(sums).timing![0]!;
    expect(Math.abs(Math.log(hertz * wanted.period!))).toBeLessThan(0.15);
  });

  it('has on its sensor what distance, lens and room leave of the light', () => {
    const { amps } = sums.design.lamps.find(({ part }) => part === 'D1')!;
    const { metres, lens, hood, room } = beam;
    const candela = 400 * amps * (lens ? 10 : 1);
    expect(beam.cut.lux).toBeCloseTo(SCENE_LUX[room] * (hood ? 0.05 : 1), 9);
    expect(beam.whole.lux - beam.cut.lux).toBeCloseTo(candela / metres ** 2, 6);
    expect(beam.whole.ohms).toBeCloseTo(lightSensorOhms(LIGHT_SENSOR, beam.whole.lux), 6);
  });

  it('says the volts of the reset pin as the circuit solves them', () => {
    expect(heard(circuit).volts / beam.whole.volts).toBeCloseTo(1, 1);
    expect(Math.abs(heard(withHeld(circuit, CUT)).volts / beam.cut.volts - 1)).toBeLessThan(0.03);
  });

  it('is let go at the light that it names, with the sensor as named and at the ends of its sort', () => {
    const { typical, low, high } = beam.switches;
    for (const [lux, r10] of [
      [typical!, 15e3],
      [low!, 10e3],
      [high!, 22.5e3],
    ] as const) {
      // The supply sags a little under the lamp, which the closed form leaves out.
      expect(heard(withLight(circuit, lux * 1.05, r10)).sounds).toBe(false);
      expect(heard(withLight(circuit, lux / 1.05, r10)).sounds).toBe(true);
    }
  });

  it('reaches as far as it says', () => {
    const at = (metres: number) => {
      const lux = beam.cut.lux + (beam.whole.lux - beam.cut.lux) * (beam.metres / metres) ** 2;
      return heard(withLight(circuit, lux)).sounds;
    };
    expect([at(beam.reach! * 0.97), at(beam.reach! * 1.03)]).toEqual([false, true]);
  });

  it('has a range of trims with which any sensor of the sort switches at the aim', () => {
    const { low, high, potentiometer } = beam.range!;
    expect(potentiometer!).toBeGreaterThanOrEqual(high);
    const { family } = ownSums(sums).timing![0]!;
    const hush = (r10: number) => ({
      family,
      volts: sums.supplyFigures.volts,
      sensor: { ...LIGHT_SENSOR, r10 },
    });
    expect(switchLux(hush(10e3), low)! / beam.aimLux).toBeCloseTo(1, 9);
    expect(switchLux(hush(22.5e3), high)! / beam.aimLux).toBeCloseTo(1, 9);
  });

  it('tells of every room what the solved circuit does there', () => {
    for (const { room, hood, whole, cut, works } of beam.rows.filter((row) => row.hood === beam.hood)) {
      const [silent, loud] = [whole, cut].map(({ lux }) => !heard(withLight(circuit, lux)).sounds);
      const near = [whole, cut].some(({ volts }) => Math.abs(volts - 0.7) < 0.02);
      if (!near) expect([room, hood, silent && !loud]).toEqual([room, hood, works]);
    }
  });
});

describe('the reset pin', () => {
  it('follows the chip’s own current in all of its three stretches', () => {
    const chip = { family: 'bipolar', volts: 9 } as const;
    const left = (up: number, down: number) => {
      const volts = resetVolts(chip, up, down);
      const given = volts <= 0.7 ? 1e-4 : volts >= 1 ? 0 : (1e-4 * (1 - volts)) / 0.3;
      return (9 - volts) / up + given - volts / down;
    };
    for (const down of [500, 2e3, 5e3, 8e3, 12e3, 20e3, 1e6])
      for (const up of [47e3, 100e3, 330e3, 1e6]) expect(Math.abs(left(up, down))).toBeLessThan(1e-12);
  });
});

describe('a beam alarm', () => {
  const far = (room: Scene, more: object = {}) => ({
    beam: { lamp: 'white', amps: 0.01, metres: 3, lens: true, hood: false, room, ...more },
  });

  it.each([
    ['a beam that the room outshines', far('classroom'), 'beam-too-weak'],
    ['too little light for the bipolar chip', far('dusk', { hood: true }), 'beam-needs-light'],
  ] as const)('refuses %s, and names a distance that works', (_, wish, code) => {
    const refusal = refusedWith('beam-alarm', wish as never)!;
    expect(refusal.code).toBe(code);
    const { nearest } = refusal.data as { nearest: number };
    expect(nearest).toBeLessThan(3);
    const nearer = { beam: { ...wish.beam, metres: nearest } };
    expect(ownSums(worked('beam-alarm', nearer as never).sums).beam!.observed).toEqual({
      silent: true,
      sounds: true,
    });
  });

  it('lets a hood keep the room out', () => {
    expect(roomLux({ room: 'room', hood: true }) / roomLux({ room: 'room', hood: false })).toBeCloseTo(
      0.05,
      9,
    );
    const { beam } = ownSums(worked('beam-alarm').sums);
    const open = beam!.rows.find(({ room, hood }) => room === 'room' && !hood)!;
    expect(open.works).toBe(false);
  });

  it('keeps its aim in words, and is measured with the beam whole and cut', () => {
    const request = { ...requestWith(), choice: choiceWith('beam-alarm') };
    const made = makeSheet(request);
    if (!made.ok) throw new Error('refused');
    expect(made.value.goals.filter(({ met }) => !met)).toEqual([]);
    expect(made.value.goals.map(({ code }) => code)).toEqual(
      expect.arrayContaining(['silent-whole', 'sounds-cut']),
    );
    const { points } = made.value.expected;
    const of = (id: string) => points.find(({ point }) => point.id === id)!;
    expect(of('L1').high).toBeLessThan(0.7);
    expect(of('L1 cut').low).toBeGreaterThan(0.7);
    const signatures = sessionExpectation(made.value, request).dictionary.signatures;
    const codes = signatures.map(({ code, data }) => `${code} ${data.part ?? ''}`);
    for (const code of ['lamp-reversed D1', 'part-missing L1', 'part-shorted L1', 'resistor-missing R4'])
      expect(codes).toContain(code);
  });
});
