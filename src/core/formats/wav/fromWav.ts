import type { Sound } from '../../numerics/sound';
import type { Seconds } from '../../quantities/units';
import { SOUND_RATE } from '../../sound/pieces';
import type { Music } from '../../sound/listen';
import type { WavHead } from './wavHead';

/** Bytes of a file that hold its samples from one time on, for so long; what is beyond its end is left out. */
export function bytesOf(
  { rate, channels, width, from, there }: WavHead,
  start: Seconds,
  seconds: Seconds,
): [number, number] {
  const each = channels * width;
  const [first, last] = [start, Math.min(there, start + seconds)].map((time) => Math.round(time * rate));
  return [from + first! * each, from + Math.max(first!, last!) * each];
}

/**
 * The samples of a WAV file as a piece: its first channel on the left, its second, where it has one, on the right. What is
 * finer than lamps can follow is left out.
 *
 * @param bytes samples alone, from wherever one wants to begin
 */
export function fromWav({ rate, channels, width, fractions }: WavHead, bytes: Uint8Array): Music {
  const view = new DataView(bytes.buffer, bytes.byteOffset, bytes.byteLength);
  const read = readerOf(view, width, fractions);
  const count = Math.floor(bytes.length / (width * channels));
  const channel = (number: number): Sound => {
    const samples = new Float32Array(count);
    for (let i = 0; i < count; i++) samples[i] = read((i * channels + number) * width);
    return slowed({ rate, samples });
  };
  const left = channel(0);
  return { left, right: channels > 1 ? channel(1) : left };
}

function readerOf(view: DataView, width: number, fractions: boolean): (at: number) => number {
  const sane = (value: number) => (Number.isFinite(value) ? Math.max(-1, Math.min(1, value)) : 0);
  if (fractions)
    return width === 8 ? (at) => sane(view.getFloat64(at, true)) : (at) => sane(view.getFloat32(at, true));
  switch (width) {
    case 1:
      return (at) => (view.getUint8(at) - 128) / 128;
    case 2:
      return (at) => view.getInt16(at, true) / 0x8000;
    case 3:
      return (at) => ((view.getInt8(at + 2) << 16) | view.getUint16(at, true)) / 0x800000;
    default:
      return (at) => view.getInt32(at, true) / 0x80000000;
  }
}

/** Samples to either side of one that are weighed for it, at the slower rate. */
const REACH = 12;

/** A sound with fewer samples a second, without what those cannot hold: a windowed sinc, by Blackman's window. */
function slowed(sound: Sound): Sound {
  const { rate, samples } = sound;
  if (rate <= SOUND_RATE) return sound;
  const step = rate / SOUND_RATE;
  const reach = REACH * step;
  const found = new Float32Array(Math.floor(samples.length / step));
  for (let i = 0; i < found.length; i++) {
    const middle = i * step;
    const [from, to] = [Math.ceil(middle - reach), Math.floor(middle + reach)];
    let [sum, all] = [0, 0];
    for (let k = from; k <= to; k++) {
      const away = (k - middle) / step;
      const turn = Math.PI * away;
      const window = 0.42 + 0.5 * Math.cos(turn / REACH) + 0.08 * Math.cos((2 * turn) / REACH);
      const weight = (away === 0 ? 1 : Math.sin(turn) / turn) * window;
      sum += weight * (samples[k] ?? 0);
      all += weight;
    }
    found[i] = sum / all;
  }
  return { rate: SOUND_RATE, samples: found };
}
