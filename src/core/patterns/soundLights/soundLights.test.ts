import { patternSheet, refusedWith, ROUGH, worked } from '../../../../tests/support/sheets';
import { isKind, partOf, type Circuit } from '../../circuit/circuit';
import { playing } from '../../circuit/soundLead';
import { withoutWires } from '../../circuit/wires';
import { observeHeld } from '../../observe/benches';
import { withHeld } from '../../observe/held';
import { reportOf } from '../../observe/observe';
import { opened, shorted } from '../../parts/mistake';
import { traitsOf } from '../../parts/index';
import { run } from '../../solver/run/run';
import { BANDS, tonesOf } from './params';
import { spokenChannels } from './spoken';
import { ownSums } from '../../../../tests/support/ownSums';

const { design, sums } = worked('sound-lights');
const sound = ownSums(sums).sound!;
const { circuit } = design;
const channel = (band: (typeof BANDS)[number]) => sound.channels.find((one) => one.band === band)!;

/** Mean current of a lamp while a tone is played. */
function amps(built: Circuit, hertz: number, lamp: string): number {
  const seen = observeHeld(built, playing('J1', hertz));
  if (!seen.ok) throw new Error(JSON.stringify(seen.findings));
  return Math.max(0, reportOf(seen.value, lamp).amps);
}

/** The circuit with one mistake of a part, by its code. */
function mistaken(part: string, code: string): Circuit {
  const own = partOf(circuit, part)!;
  const around = { circuit, supply: design.supply, drawer: [], sorts: design.sorts, lamps: {} as never };
  return traitsOf(own)
    .mistakes(own as never, around)
    .find((mistake) => mistake.code === code)!.circuit;
}

describe('the first stage', () => {
  it('rests where its two resistors and its gain leave it', () => {
    const { loadOhms, feedOhms, volts, baseVolts, supplyVolts } = sound.stage;
    // The load carries collector and base current: (Vs − Vc)/R4 = (β + 1)·(Vc − Vb)/R3, β = 200.
    const byHand = (supplyVolts / loadOhms + (201 * baseVolts) / feedOhms) / (1 / loadOhms + 201 / feedOhms);
    expect(volts / byHand).toBeCloseTo(1, 3);
    expect(baseVolts).toBeGreaterThan(0.65);
    expect(baseVolts).toBeLessThan(0.75);
  });

  it('rests somewhere between a third and two thirds of any supply, whatever the drawer holds', () => {
    for (const cells of [4, 6, 8]) {
      const { stage } = ownSums(
        worked('sound-lights', {
          supply: { kind: 'aa-alkaline', cells, age: 'nominal' },
          lamps: { low: 'red', middle: 'red', high: 'red' },
          values: 'E6',
        }).sums,
      ).sound!;
      expect(stage.volts / stage.supplyVolts).toBeGreaterThan(0.33);
      expect(stage.volts / stage.supplyVolts).toBeLessThan(0.67);
    }
  });
});

describe('three channels', () => {
  it('have their corners at 1/(2πRC) of the parts that are on the board', () => {
    for (const { from, to } of sound.channels) {
      for (const corner of [from, to]) {
        if (!corner) continue;
        const ohms = corner.resistors.reduce((sum, id) => {
          const part = partOf(circuit, id)!;
          return sum + (isKind(part, 'resistor') ? part.params.ohms : NaN);
        }, 0);
        const capacitor = partOf(circuit, corner.capacitor)!;
        const farads = isKind(capacitor, 'capacitor') ? capacitor.params.farads : NaN;
        expect(corner.hertz).toBeCloseTo(1 / (2 * Math.PI * ohms * farads), 6);
      }
    }
  });

  it('tell the bound that was wished where each corner came out, less than an octave from it', () => {
    const [low, middle, high] = BANDS.map(channel);
    expect(low!.from!.wished).toBeUndefined();
    expect([low!.to!.wished, middle!.from!.wished]).toEqual([250, 250]);
    expect([middle!.to!.wished, high!.from!.wished]).toEqual([2500, 2500]);
    for (const { from, to } of sound.channels) {
      for (const corner of [from, to]) {
        if (corner?.wished === undefined) continue;
        expect(Math.abs(Math.log2(corner.hertz / corner.wished))).toBeLessThan(1);
      }
    }
  });

  it('light at their own tone and at no other, and are dark in silence', () => {
    for (const { band, at } of sound.channels) {
      for (const tone of BANDS) {
        if (tone === band) expect(at[tone]).toBeGreaterThan(1e-3);
        else expect(at[tone]).toBeLessThan(0.1 * at[band]);
      }
    }
    expect(sound.litInSilence).toEqual([]);
  });

  it('get what a long run from empty capacitors at a tolerance of 1e-6 gives them, within 1.5 %', () => {
    const tones = tonesOf({ low: 250, high: 2500 });
    for (const band of BANDS) {
      const held = withoutWires(withHeld(circuit, playing('J1', tones[band])));
      const settle = band === 'high' ? 0.12 : 0.3;
      const control = { relative: 1e-6, absolute: 1e-9 };
      const long = run(held, { seconds: settle + 0.05, settle, samples: 2 }, { control });
      if (!long.ok) throw new Error('refused');
      const lamp = channel(band).lamps[0]!;
      expect(channel(band).at[band] / long.value.means[lamp]!).toBeGreaterThan(0.985);
      expect(channel(band).at[band] / long.value.means[lamp]!).toBeLessThan(1.015);
    }
  });

  it('carry at most what their resistor was chosen for', () => {
    for (const { peak } of sound.channels) {
      expect(peak).toBeGreaterThan(5e-3);
      expect(peak).toBeLessThan(10.5e-3);
    }
  });
});

describe('what goes wrong', () => {
  const tones = tonesOf({ low: 250, high: 2500 });

  it('a wire in the place of a channel’s series capacitor lights it in silence', () => {
    const wired = shorted(circuit, partOf(circuit, 'C5')!);
    expect(amps(wired, 0, 'D3')).toBeGreaterThan(5e-3);
    expect(amps(wired, 0, 'D1')).toBeLessThan(1e-6);
  });

  it('without that capacitor it never lights, and the others do', () => {
    const open = opened(circuit, partOf(circuit, 'C5')!);
    expect(amps(open, tones.middle, 'D3')).toBeLessThan(1e-6);
    expect(amps(open, tones.low, 'D1')).toBeGreaterThan(1e-3);
  });

  it('a transistor turned round is weak', () => {
    const turned = mistaken('Q2', 'part-reversed');
    expect(amps(turned, tones.low, 'D1')).toBeLessThan(0.6 * channel('low').at.low);
  });

  it('a capacitor ten times too large moves the corner to a tenth', () => {
    const large = {
      ...circuit,
      parts: circuit.parts.map((part) =>
        part.id === 'C6' && isKind(part, 'capacitor')
          ? { ...part, params: { ...part.params, farads: part.params.farads * 10 } }
          : part,
      ),
    };
    expect(channel('high').at.middle).toBeLessThan(1e-4);
    expect(amps(large, tones.middle, 'D5')).toBeGreaterThan(1e-3);
  });

  it('one side of the lead in the place of the shield leaves next to nothing', () => {
    const turned = mistaken('J1l', 'pins-exchanged');
    // With one sound on both sides the right one hears nothing against the left one, which is the ground now.
    expect(amps(turned, tones.low, 'D1')).toBeLessThan(0.9 * channel('low').at.low);
  });
});

describe('what cannot be', () => {
  it('is refused by name, with what works', () => {
    expect(refusedWith('sound-lights', { bounds: { low: 400, high: 1200 } })).toMatchObject({
      code: 'bounds-too-close',
      data: { low: 400, high: 1200, nearest: 2000 },
    });
    expect(
      refusedWith('sound-lights', { supply: { kind: 'coin-20mm', cells: 1, age: 'fresh' } }),
    ).toMatchObject({ code: 'cannot-light' });
  });

  it('is said where a level is too loud for the bounds', () => {
    const loud = worked('sound-lights', { bounds: { low: 250, high: 1250 } });
    const { channels } = ownSums(loud.sums).sound!;
    const spilt = channels.some(({ band, at }) => BANDS.some((tone) => tone !== band && at[tone] > 2e-4));
    expect(loud.design.findings.some(({ code }) => code === 'channel-spills')).toBe(spilt);
  });

  it('a level of a tenth, on the same build, lights nothing and misses the goals', () => {
    const quiet = patternSheet('sound-lights', {}, 'full', ROUGH);
    expect(quiet.goals.every(({ met }) => met)).toBe(true);
    const faint = {
      ...circuit,
      parts: circuit.parts.map((part) =>
        isKind(part, 'signal') ? { ...part, params: { ...part.params, level: 0.02 } } : part,
      ),
    };
    expect(amps(faint, tonesOf({ low: 250, high: 2500 }).low, 'D1')).toBeLessThan(2e-5);
  });
});

describe('lamps in words', () => {
  const lamps = { low: 'red', middle: 'yellow', high: 'blue' } as const;

  it('are taken as they are said', () => {
    const said = spokenChannels('Bass green, voice white and cymbals violet', lamps);
    expect(said).toMatchObject({ ok: true, value: { low: 'green', middle: 'white', high: 'violet' } });
    expect(spokenChannels('amber drums', lamps)).toMatchObject({
      ok: true,
      value: { low: 'yellow', middle: 'yellow', high: 'blue' },
    });
  });

  it.each(['', 'bass', 'bass pink', 'red', 'bass red yellow', 'bass voice red'])(
    '“%s” is not understood, and says so',
    (words) => {
      expect(spokenChannels(words, lamps)).toMatchObject({
        ok: false,
        findings: [{ code: 'words-unknown' }],
      });
    },
  );
});
