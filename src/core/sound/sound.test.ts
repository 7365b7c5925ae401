import { worked } from '../../../tests/support/sheets';
import { isKind } from '../circuit/circuit';
import { lengthOf, valueAt, type Sound } from '../numerics/sound';
import { rested } from '../observe/moving';
import { run } from '../solver/run/run';
import { FRAME, listen, type Music } from './listen';
import { SOUND_RATE, SWEPT, sweptHertz, TEST_SOUNDS, testSound } from './pieces';
import { asLoud, responseTo, tonesAlong } from './response';
import { loudnessOf, roughly } from './roughly';
import { ownSums } from '../../../tests/support/ownSums';

const { design, sums } = worked('sound-lights');
const { circuit } = design;
const onBoth = (sound: Sound): Music => ({ left: sound, right: sound });

/** A tone as samples. */
function tone(hertz: number, seconds: number, rate = SOUND_RATE): Sound {
  const samples = Float32Array.from({ length: Math.round(seconds * rate) }, (_, i) =>
    Math.sin((2 * Math.PI * hertz * i) / rate),
  );
  return { rate, samples };
}

describe('a sound between its samples', () => {
  const sound = tone(800, 0.02);

  it('goes through every sample, and lies on the tone in between', () => {
    for (let i = 2; i < sound.samples.length - 3; i++) {
      expect(valueAt(sound, i / SOUND_RATE)).toBeCloseTo(sound.samples[i]!, 6);
      const time = (i + 0.37) / SOUND_RATE;
      expect(valueAt(sound, time)).toBeCloseTo(Math.sin(2 * Math.PI * 800 * time), 2);
    }
  });

  it('is silent before and after', () => {
    expect(valueAt(sound, -1)).toBe(0);
    expect(valueAt(sound, 1)).toBe(0);
  });
});

describe('test sounds', () => {
  it.each(TEST_SOUNDS)('%s is the same every time, within −1 and 1, and never still for long', (name) => {
    const sound = testSound(name, 4);
    expect(lengthOf(sound)).toBe(4);
    expect(sound.samples).toEqual(testSound(name, 4).samples);
    expect(sound.samples.every((value) => Math.abs(value) <= 1)).toBe(true);
    const loud = loudnessOf(onBoth(sound));
    expect(loud.filter((value) => value > 0.05).length / loud.length).toBeGreaterThan(0.7);
  });

  it('the sweep climbs from its lowest to its highest pitch by equal ratios', () => {
    const { samples, rate } = testSound('sweep', 8);
    expect(sweptHertz(0)).toBeCloseTo(SWEPT[0], 9);
    expect(sweptHertz(1)).toBeCloseTo(SWEPT[1], 6);
    for (const share of [0.2, 0.5, 0.8]) {
      // Zeros that are passed upwards in a tenth of a second about that place.
      const middle = share * 8;
      let rises = 0;
      for (let i = Math.round((middle - 0.05) * rate); i < (middle + 0.05) * rate; i++)
        if (samples[i]! <= 0 && samples[i + 1]! > 0) rises++;
      expect(rises / 0.1 / sweptHertz(share)).toBeGreaterThan(0.9);
      expect(rises / 0.1 / sweptHertz(share)).toBeLessThan(1.1);
    }
  });
});

describe('listening to a piece', () => {
  it('comes, frame by frame, to the means of one run through all of it at a tolerance of 1e-6', () => {
    const piece = tone(300, 0.6);
    const heard = listen(circuit, onBoth(piece));
    if (!heard.ok) throw new Error('refused');
    const whole = {
      ...rested(circuit),
      parts: rested(circuit).parts.map((part) =>
        isKind(part, 'signal')
          ? { ...part, params: { ...part.params, amplitude: part.params.level!, sound: piece } }
          : part,
      ),
    };
    const control = { relative: 1e-6, absolute: 1e-9 };
    const run1 = run(whole, { seconds: 0.6, samples: 2 }, { control });
    if (!run1.ok) throw new Error('refused');
    for (const lamp of ['D1', 'D3']) {
      const frames = heard.value.lamps[lamp]!;
      expect(frames).toHaveLength(Math.round(0.6 / FRAME));
      const mean = frames.reduce((sum, amps) => sum + amps, 0) / frames.length;
      expect(mean / run1.value.means[lamp]!).toBeGreaterThan(0.99);
      expect(mean / run1.value.means[lamp]!).toBeLessThan(1.01);
    }
  });

  it('is told on the way, and ends when it is told to', () => {
    const told: number[] = [];
    const heard = listen(circuit, onBoth(tone(100, 3)), (_, from) => {
      told.push(from);
      return told.length < 2;
    });
    expect(told).toEqual([0, 20]);
    if (!heard.ok) throw new Error('refused');
    // What was not followed stays dark.
    expect(heard.value.lamps['D1']!.subarray(40).every((amps) => amps === 0)).toBe(true);
    expect(heard.value.lamps['D1']![30]!).toBeGreaterThan(1e-3);
  });

  it('of one side only is half of both', () => {
    const silent = { rate: SOUND_RATE, samples: new Float32Array(SOUND_RATE / 2) };
    const both = listen(circuit, onBoth(tone(83, 0.5)));
    const left = listen(circuit, { left: tone(83, 0.5), right: silent });
    if (!both.ok || !left.ok) throw new Error('refused');
    const half = listen(asLoud(circuit, 0.5), onBoth(tone(83, 0.5)));
    if (!half.ok) throw new Error('refused');
    const sum = (amps: Float32Array) => amps.reduce((all, value) => all + value, 0);
    expect(sum(left.value.lamps['D1']!)).toBeCloseTo(sum(half.value.lamps['D1']!), 3);
    expect(sum(left.value.lamps['D1']!)).toBeLessThan(0.9 * sum(both.value.lamps['D1']!));
  });
});

describe('the rough picture', () => {
  it('tells lit from dark as the whole run does, in nine frames of ten', () => {
    const sweep = testSound('sweep', 6);
    const rough = roughly(circuit, onBoth(sweep));
    const whole = listen(circuit, onBoth(sweep));
    if (!whole.ok) throw new Error('refused');
    for (const lamp of ['D1', 'D3', 'D5']) {
      const exact = whole.value.lamps[lamp]!;
      const same = exact.filter((amps, i) => amps > 3e-4 === rough.lamps[lamp]![i]! > 3e-4).length;
      expect(same / exact.length).toBeGreaterThan(0.85);
    }
  });
});

describe('the response', () => {
  it('is what the sums say at the tones of the checks, and peaks inside its own channel', () => {
    const { channels } = ownSums(sums).sound!;
    const response = responseTo(circuit, [...channels.map(({ tone: hertz }) => hertz)]);
    channels.forEach(({ lamps, band, at }, i) =>
      expect(response.lamps[lamps[0]!]![i]).toBeCloseTo(at[band], 9),
    );
    const along = responseTo(circuit, tonesAlong(17));
    expect(along.hertz[0]).toBeCloseTo(20, 9);
    expect(along.hertz[16]).toBeCloseTo(16_000, 6);
    const bounds = [0, 250, 2500, 20_000];
    channels.forEach(({ lamps }, i) => {
      const amps = along.lamps[lamps[0]!]!;
      const peak = along.hertz[amps.indexOf(Math.max(...amps))]!;
      expect(peak).toBeGreaterThan(bounds[i]!);
      expect(peak).toBeLessThan(bounds[i + 1]!);
    });
  });

  it('ends when it is told to', () => {
    const short = responseTo(circuit, tonesAlong(9), 1, (done) => done < 3);
    expect(short.lamps['D1']).toHaveLength(3);
  });
});
