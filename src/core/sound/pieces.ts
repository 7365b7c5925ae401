import type { Sound } from '../numerics/sound';
import { keyOf, uniform } from '../numerics/random';
import type { Hertz, Seconds } from '../quantities/units';

/** Sounds that are made here: a tone that climbs, a beat with bass, and noise that rises and falls like speech. */
export const TEST_SOUNDS = ['sweep', 'bass-beat', 'speech'] as const;
export type TestSound = (typeof TEST_SOUNDS)[number];

/** Samples a second: three times and more what any lamp of these lessons follows. */
export const SOUND_RATE: Hertz = 32_000;
export const TEST_SECONDS: Seconds = 20;

const { sin, exp, PI } = Math;

/** A test sound; the same in every run, within −1 and 1. */
export function testSound(name: TestSound, seconds = TEST_SECONDS): Sound {
  const samples = new Float32Array(Math.round(seconds * SOUND_RATE));
  WRITE[name](samples);
  return { rate: SOUND_RATE, samples: name === 'sweep' ? samples : pressed(samples) };
}

/** So many times its own mean square root a sound is driven into the curve that keeps it below 1. */
const PRESSED = 1.4;

/** Loud and soft brought nearer to one another, as on any record. */
function pressed(samples: Float32Array): Float32Array {
  const power = samples.reduce((sum, value) => sum + value * value, 0) / samples.length;
  const drive = PRESSED / Math.sqrt(power || 1);
  return samples.map((value) => Math.tanh(drive * value));
}

const WRITE: Readonly<Record<TestSound, (into: Float32Array) => void>> = {
  sweep,
  'bass-beat': bassBeat,
  speech,
};

/** Ends of the sweep, in hertz. */
export const SWEPT = [30, 12_000] as const;

/** The pitch of the sweep at a share of its length: by equal ratios in equal times. */
export function sweptHertz(share: number): Hertz {
  return SWEPT[0] * (SWEPT[1] / SWEPT[0]) ** share;
}

function sweep(into: Float32Array): void {
  const seconds = into.length / SOUND_RATE;
  const growth = Math.log(SWEPT[1] / SWEPT[0]) / seconds;
  for (let i = 0; i < into.length; i++)
    into[i] = sin((2 * PI * SWEPT[0] * (exp((growth * i) / SOUND_RATE) - 1)) / growth);
}

/** Seconds from beat to beat: 100 a minute. */
const BEAT: Seconds = 0.6;
/** Notes of the voice that goes along, in hertz. */
const TUNE = [440, 660, 550, 880] as const;

/** A drum on every beat, a rattle between two, and a voice of four notes over two beats each. */
function bassBeat(into: Float32Array): void {
  const hiss = noise('rattle');
  let before = 0;
  for (let i = 0; i < into.length; i++) {
    const time = i / SOUND_RATE;
    const since = time % BEAT;
    const drum = exp(-since / 0.12) * sin(2 * PI * (60 * since + 3 * (1 - exp(-since / 0.03))));
    const offbeat = (time + BEAT / 2) % BEAT;
    const now = hiss(i);
    // The difference of two neighbours keeps what is high.
    const rattle = exp(-offbeat / 0.06) * (now - before);
    before = now;
    const note = TUNE[Math.floor(time / (2 * BEAT)) % TUNE.length]!;
    const sung = time % (2 * BEAT);
    const voice = exp(-sung / 0.5) * (1 - exp(-sung / 0.02)) * sin(2 * PI * note * time);
    into[i] = drum + 0.6 * rattle + 0.5 * voice;
  }
}

/** Syllables a second, and the resonances that noise is sent through for each of some vowels, in hertz. */
const SYLLABLES = 4;
const VOWELS: readonly (readonly [Hertz, Hertz])[] = [
  [700, 1200],
  [400, 2000],
  [500, 900],
  [300, 2300],
  [350, 700],
];

/** Noise through two resonances that change from syllable to syllable, with pauses. */
function speech(into: Float32Array): void {
  const breath = noise('breath');
  const filters = [resonance(), resonance()] as const;
  let before = 0;
  for (let i = 0; i < into.length; i++) {
    const at = (i / SOUND_RATE) * SYLLABLES;
    const syllable = Math.floor(at);
    const vowel = VOWELS[Math.floor(uniform(1, syllable, keyOf('vowel')) * VOWELS.length)]!;
    // Every seventh syllable is a pause.
    const loud = syllable % 7 === 6 ? 0 : sin(PI * (at - syllable)) ** 2;
    const now = breath(i);
    const voiced = filters[0](now, vowel[0], 8) + 0.5 * filters[1](now, vowel[1], 10);
    // Every fourth begins with a hiss.
    const hiss = syllable % 4 === 1 && at - syllable < 0.4 ? 3 * (now - before) : 0;
    before = now;
    into[i] = loud * voiced + 0.5 * hiss;
  }
}

/** Noise from −1 to 1, by the number of its sample. */
function noise(name: string): (i: number) => number {
  const key = keyOf(name);
  return (i) => 2 * uniform(1, i, key) - 1;
}

/**
 * A resonance that may be tuned while it rings, `sharp` times as high as it is wide.
 * Source: the state-variable filter by Chamberlin, Musical Applications of Microprocessors, 1985.
 */
function resonance(): (value: number, hertz: Hertz, sharp: number) => number {
  let [low, band] = [0, 0];
  return (value, hertz, sharp) => {
    const step = 2 * sin((PI * hertz) / SOUND_RATE);
    low += step * band;
    band += step * (value - low - band / sharp);
    return band;
  };
}
