import { bands, bandsOf, circuitFrom, drawSlice, type Circuit, type Slice } from '@/core';
import { alternate, threeLamps } from '@/demo/circuits';
import { shareDraws, type Drawer } from './sharedDraws';

function circuit(file: object): Circuit {
  const made = circuitFrom(file);
  if (!made.ok) throw new Error('refused');
  return made.value;
}

/** A drawer in this thread that answers after a while of its own. */
function drawer(wait: number, drawn: Slice[] = []): Drawer {
  const later = <T>(value: T) => new Promise<T>((resolve) => setTimeout(() => resolve(value), wait));
  return {
    slice(...job) {
      const slice = drawSlice(...job);
      if (slice.ok) drawn.push(slice.value);
      return later(slice);
    },
    gather: (...job) => later(bandsOf(...job)),
  };
}

describe('draws shared out among workers', () => {
  const lantern = circuit(threeLamps());
  const options = { samples: 5500, seed: 3 };

  it('give the very figures of one worker, however many there are', async () => {
    const alone = bands(lantern, options);
    for (const waits of [[0], [0, 3], [2, 0, 1, 5]]) {
      const shared = await shareDraws(
        lantern,
        options,
        waits.map((wait) => drawer(wait)),
        () => undefined,
      ).outcome;
      expect(shared).toEqual(alone);
    }
  });

  it('tell how far they are', async () => {
    const shares: number[] = [];
    await shareDraws(lantern, options, [drawer(0), drawer(0)], (share) => shares.push(share)).outcome;
    expect(shares).toHaveLength(6);
    expect(shares[5]).toBe(1);
    expect([...shares].sort((a, b) => a - b)).toEqual(shares);
  });

  it('stop when cancelled, and draw no further', async () => {
    const drawn: Slice[] = [];
    const job = shareDraws(lantern, { samples: 50_000 }, [drawer(0, drawn)], () => job.cancel());
    expect(await job.outcome).toBeUndefined();
    expect(drawn.length).toBeLessThan(3);
  });

  it('refuse as one worker would', async () => {
    const shared = await shareDraws(circuit(alternate()), options, [drawer(0), drawer(0)], () => undefined)
      .outcome;
    expect(shared).toMatchObject({ ok: false, findings: [{ code: 'oscillates' }] });
  });
});
