/** @jest-environment jsdom */
import { waitFor } from '@testing-library/react';
import { said, screen, show } from '../../../tests/support/screen';
import { expectationWith, patternSheet, sheetWith } from '../../../tests/support/sheets';
import { boardOf, holeOf, judgeBench, lampsIn, partsIn } from '@/core';
import { lookWith, marksIn, readSeen, seenText } from '@/messages/seen';
import { atHole } from '../plan/geometry';
import { dropPhoto, keepCorners, keepMarks, keepPhoto } from './actions';
import { anchorsOf, partNear } from './anchors';
import { BenchPhoto } from './BenchPhoto';
import { shrunk } from './shrink';

jest.mock('next/navigation', () => jest.requireActual('../../../tests/support/navigation'));
jest.mock('./actions', () => ({
  dropPhoto: jest.fn(),
  keepCorners: jest.fn(),
  keepMarks: jest.fn(),
  keepPhoto: jest.fn(),
}));
jest.mock('./shrink', () => ({ shrunk: jest.fn() }));

const expectation = expectationWith();
const sheet = sheetWith();
const [lamps, parts] = [lampsIn(expectation), partsIn(expectation)];
const CORNERS = [
  { x: 0.1, y: 0.1 },
  { x: 0.9, y: 0.1 },
  { x: 0.8, y: 0.9 },
  { x: 0.2, y: 0.9 },
] as const;
const PHOTO = { id: 7, width: 800, height: 600, corners: CORNERS, arrivedAt: '2026-11-27T17:00:00.000Z' };
const keep = jest.mocked(keepMarks);

beforeEach(() => {
  keep.mockReset().mockResolvedValue({ ok: true, value: 'D1 dark, D1 turned round' });
  jest.mocked(keepCorners).mockReset().mockResolvedValue({ ok: true, value: null });
  jest.mocked(dropPhoto).mockReset().mockResolvedValue({ ok: true, value: null });
  jest.mocked(keepPhoto).mockReset().mockResolvedValue({ ok: true, value: 8 });
  HTMLCanvasElement.prototype.getContext = jest.fn(() => null) as never;
});

function open(more: Partial<Parameters<typeof BenchPhoto>[0]> = {}) {
  return show(
    <BenchPhoto
      sessionId={4}
      studentId={10}
      sheet={sheet}
      photos={[PHOTO]}
      lamps={lamps}
      parts={parts}
      seen={undefined}
      days={30}
      {...more}
    />,
  );
}

describe('a picture beside its plan', () => {
  it('is laid under it by four marks, each moved by keys too, and its marks are kept', async () => {
    const { user } = open({ photos: [{ ...PHOTO, corners: undefined }] });
    const [first] = screen.getAllByRole('button', { name: /^Mark of hole/u });
    first!.focus();
    await user.keyboard('{ArrowRight}{Shift>}{ArrowDown}{/Shift}');
    await user.click(screen.getByRole('button', { name: 'Lay it under the plan' }));
    const [, id, corners] = jest.mocked(keepCorners).mock.calls[0]!;
    expect(id).toBe(7);
    expect(corners[0].x).toBeCloseTo(0.152, 6);
    expect(corners[0].y).toBeCloseTo(0.14, 6);
    expect(await screen.findByLabelText('From the picture to the plan')).toBeTruthy();
  });

  it('has what differs said part by part, and that stands in the grid as a look', async () => {
    const { user } = open({ seen: 'D1 dark' });
    screen.getByRole('button', { name: /^The lamp D1/u }).focus();
    await user.keyboard('{Enter}');
    await user.click(await screen.findByRole('button', { name: 'turned round' }));
    expect(said(screen.getByRole('list', { name: 'What differs' }))).toContain('D1 turned round');
    await user.click(screen.getByRole('button', { name: 'Put it into the grid' }));
    await waitFor(() => expect(keep).toHaveBeenCalled());
    expect(keep.mock.calls[0]![0]).toMatchObject({
      studentId: 10,
      marks: { D1: 'turned' },
    });
    expect(await screen.findByText(/stands under “lamps”/u)).toBeTruthy();
  });

  it('that could not be sent is at hand to be sent again', async () => {
    jest.mocked(shrunk).mockResolvedValue({ picture: new Uint8Array([255, 216]) });
    jest.mocked(keepPhoto).mockResolvedValueOnce({ ok: false, message: 'The program does not answer.' });
    const { user } = open({ photos: [] });
    expect(screen.getByText(/no picture of this bench yet/u)).toBeTruthy();
    await user.upload(
      screen.getByLabelText('A picture of this bench', { selector: 'input' }),
      new File(['x'], 'bench.jpg', { type: 'image/jpeg' }),
    );
    await user.click(await screen.findByRole('button', { name: 'Send it again' }));
    expect(await screen.findByText('Kept.')).toBeTruthy();
    const [one, two] = jest.mocked(keepPhoto).mock.calls.map(([photo]) => photo.entryKey);
    expect(one).toBe(two);
  });

  it('that the browser cannot read is refused in a sentence; one that is there can be taken away', async () => {
    jest.mocked(shrunk).mockRejectedValue(new Error('This browser cannot read that file as a picture.'));
    const { user } = open();
    await user.upload(
      screen.getByLabelText('Another picture', { selector: 'input' }),
      new File(['x'], 'bench.jpg', { type: 'image/jpeg' }),
    );
    expect(said(await screen.findByRole('alert'))).toContain('cannot read that file');
    await user.click(screen.getByRole('button', { name: 'take this picture away' }));
    expect(dropPhoto).toHaveBeenCalledWith(4, 7);
  });
});

describe('marks on a plan', () => {
  it('keep what was said of the lamps, and come back out of the words in which they are kept', () => {
    const typed = lookWith('D1 dim', { R1: 'astray', W1: 'missing' }, lamps, parts)!;
    expect(typed).toBe('D1 dim, R1 in another hole, W1 missing');
    expect(marksIn(typed, lamps, parts)).toEqual({ R1: 'astray', W1: 'missing' });
    expect(lookWith(typed, {}, lamps, parts)).toBe('D1 dim');
    expect(lookWith(undefined, {}, lamps, parts)).toBeUndefined();
  });

  it('say nothing of lamps that nobody spoke of', () => {
    const read = readSeen('R1 in another hole', lamps, parts);
    expect(read).toEqual({ looks: [{ lamp: 'R1', word: 'astray' }] });
    expect('looks' in read && seenText(read.looks)).toBe('R1 in another hole');
    expect(readSeen('R9 in another hole', lamps, parts)).toHaveProperty('message');
  });

  it('count: a lamp that is seen turned is turned, and a right bench with a mark is not called right', () => {
    const dark = [{ lamp: 'D1', word: 'dark' as const }];
    const first = (looks: Parameters<typeof judgeBench>[2]) =>
      judgeBench(expectation, [], looks).diagnosis!.groups[0]!;
    const shareOf = (code: string, looks: Parameters<typeof judgeBench>[2]) =>
      judgeBench(expectation, [], looks)
        .diagnosis!.groups.filter(({ causes }) => causes.some((cause) => cause.code === code))
        .reduce((sum, { probability }) => sum + probability, 0);
    const turned = [...dark, { lamp: 'D1', word: 'turned' as const }];
    expect(first(turned).causes.map(({ code }) => code)).toContain('lamp-reversed');
    expect(shareOf('lamp-reversed', turned)).toBeGreaterThan(2 * shareOf('lamp-reversed', dark));
    expect(judgeBench(expectation, [], [{ lamp: 'R1', word: 'astray' }]).state).not.toBe('right');
  });
});

describe('the four holes of a plan', () => {
  it.each(['half', 'full', 'strip', 'pad'] as const)('on %s are free, far apart and clockwise', (board) => {
    const { plan } = patternSheet('strings', {}, board);
    const { holes, spots } = anchorsOf(plan)!;
    const taken = plan.placements.flatMap(({ legs }) => Object.values(legs));
    for (const hole of holes) {
      expect(holeOf(boardOf(plan), hole)).toBeDefined();
      expect(taken).not.toContain(hole);
    }
    const turns = spots.map((spot, i) => {
      const [next, after] = [spots[(i + 1) % 4]!, spots[(i + 2) % 4]!];
      return (next.x - spot.x) * (after.y - next.y) - (next.y - spot.y) * (after.x - next.x);
    });
    for (const turn of turns) expect(turn).toBeGreaterThan(0);
  });

  it('know the part that a finger means', () => {
    const { legs } = sheet.plan.placements.find(({ part }) => part === 'R1')!;
    const [a, b] = Object.values(legs).map((hole) => atHole(sheet.plan, hole));
    expect(partNear(sheet.plan, { x: (a!.x + b!.x) / 2 + 4, y: (a!.y + b!.y) / 2 })).toBe('R1');
    expect(partNear(sheet.plan, { x: -500, y: -500 })).toBeUndefined();
  });
});
