/** @jest-environment jsdom */
import { waitFor } from '@testing-library/react';
import { retype, said, screen, show } from '../../../../tests/support/screen';
import { patternSheet, ROUGH } from '../../../../tests/support/sheets';
import { toWav, type Sheet } from '@/core';
import * as client from '@/workers/client';
import { SoundStage } from './SoundStage';

jest.mock('@/workers/client', () => jest.requireActual('../../../../tests/support/inProcess'));

let sheet: Sheet;
beforeAll(() => {
  sheet = patternSheet('sound-lights', {}, 'full', ROUGH);
});

// The simulated browser's files cannot be read this way yet.
beforeAll(() => {
  Blob.prototype.arrayBuffer ??= function (this: Blob) {
    return new Promise((resolve) => {
      const reader = new FileReader();
      reader.onload = () => resolve(reader.result as ArrayBuffer);
      reader.readAsArrayBuffer(this);
    });
  };
});

const RATE = 8000;

/** Here the work is done in the same process, and takes its time. */
/** Waits until the screen says something. */
const says = (text: RegExp) => waitFor(() => expect(said(document.body)).toMatch(text));
const ruled = () => screen.findByRole('slider', { name: 'Instant of the piece' });

/** A file of a deep tone, then silence, then a middle one: half a second each. */
function sound(name = 'mole.wav', cut = Infinity): File {
  const samples = Float64Array.from({ length: 1.5 * RATE }, (_, i) => {
    const half = Math.floor(i / (RATE / 2));
    const hertz = [83, 0, 790][half]!;
    return 0.95 * Math.sin((2 * Math.PI * hertz * i) / RATE);
  });
  return new File([toWav(samples, RATE).slice(0, cut)], name, { type: 'audio/wav' });
}

async function opened() {
  const hand = show(<SoundStage sheet={sheet} title="storm lights" />);
  await hand.user.selectOptions(screen.getByLabelText('What is played'), 'file');
  return hand;
}

const words = () => said(document.querySelector('.instant-words'));

it('shows which tone lights what, with every channel named', async () => {
  show(<SoundStage sheet={sheet} title="storm lights" />);
  const chart = await screen.findByRole('img', { name: /Current of the lamps from 20.Hz to 16.kHz/u });
  for (const name of ['low, D1 and D2', 'middle, D3 and D4', 'high, D5 and D6'])
    expect(said(chart)).toContain(name);
  expect(said(chart)).toContain('83 Hz');
});

it('plays a sound of one’s own to the lamps, and says what is lit under the ruler', async () => {
  const { user } = await opened();
  expect(screen.getByRole('button', { name: 'Play it to the lamps' })).toHaveProperty('disabled', true);
  await user.upload(screen.getByLabelText('A sound of our own, as WAV'), sound());
  await says(/mole\.wav: 8 kHz, 16 bits, one channel, 1\.50 s/u);
  await user.click(screen.getByRole('button', { name: 'Play it to the lamps' }));
  const ruler = await ruled();
  await waitFor(() =>
    expect(screen.getByRole('button', { name: 'Save as CSV' })).toHaveProperty('disabled', false),
  );
  expect(ruler.getAttribute('aria-valuemax')).toBe('1.5');
  ruler.focus();
  // A frame a press: a fifth of a second on, the deep tone lights its own pair alone.
  await user.keyboard('{ArrowRight>8/}');
  expect(words()).toMatch(/^At 0\.200 s\. D1 and D2 lit, .*; D3 and D4 dark; D5 and D6 dark\.$/u);
  await user.keyboard('{Shift>}{ArrowRight}{/Shift}');
  expect(words()).toMatch(/^At 1\.20 s\. D1 and D2 dark; D3 and D4 lit, .*; D5 and D6 dark\.$/u);
  await user.keyboard('{ArrowLeft>16/}');
  expect(words()).toMatch(/^At 0\.800 s\. D1 and D2 dark; D3 and D4 dark; D5 and D6 dark\.$/u);
});

it('drops the picture when it is played at another loudness', async () => {
  const { user } = await opened();
  await user.upload(screen.getByLabelText('A sound of our own, as WAV'), sound());
  await says(/mole\.wav/u);
  await user.click(screen.getByRole('button', { name: 'Play it to the lamps' }));
  await ruled();
  await user.selectOptions(screen.getByLabelText('Loudness'), '0.25');
  expect(screen.queryByRole('slider')).toBeNull();
  await user.click(screen.getByRole('button', { name: 'Play it to the lamps' }));
  const ruler = await ruled();
  ruler.focus();
  await user.keyboard('{ArrowRight>8/}');
  await waitFor(() => expect(words()).toContain('D1 and D2 dark'));
});

it('says what is wrong with a file, and keeps the one that stood', async () => {
  const { user } = await opened();
  const field = screen.getByLabelText('A sound of our own, as WAV');
  await user.upload(field, sound());
  await says(/mole\.wav: 8 kHz/u);
  await user.upload(field, new File(['ID3 and a song'], 'song.wav', { type: 'audio/wav' }));
  await says(/This is no WAV file: it begins like an MP3 file\..*mole\.wav stays as it is\./u);
  await user.upload(field, sound('cut.wav', 44 + 8000));
  await says(/says that it lasts 1\.50 s, but breaks off after 0\.500 s/u);
});

it('a file that is refused says so, though an earlier one is still being read', async () => {
  const core = client.coreWorker('quick') as unknown as Record<string, (...asked: unknown[]) => unknown>;
  const before = core['music']!;
  let go: () => void = () => undefined;
  const held = new Promise<void>((next) => (go = next));
  core['music'] = async (...asked) => {
    await held;
    return before(...asked);
  };
  const { user } = await opened();
  const field = screen.getByLabelText('A sound of our own, as WAV');
  await user.upload(field, new File([toWav(new Float64Array(RATE), RATE)], 'slow.wav'));
  await user.upload(field, new File(['ID3 and a song'], 'song.wav', { type: 'audio/wav' }));
  await says(/This is no WAV file: it begins like an MP3 file/u);
  go();
  await new Promise((next) => setTimeout(next, 50));
  expect(said(document.querySelector('.note.refusal'))).toContain('it begins like an MP3');
  expect(document.body.textContent).not.toContain('slow.wav');
  core['music'] = before;
});

it('follows half a minute of a long one, from where one says', async () => {
  const { user } = await opened();
  const long = toWav(new Float64Array(70 * RATE), RATE);
  await user.upload(screen.getByLabelText('A sound of our own, as WAV'), new File([long], 'long.wav'));
  await says(/It lasts 70\.0 s; 30 s of it are followed at a time/u);
  await retype(user, 'Second at which it begins', 'late');
  expect(said(document.querySelector('.note.refusal'))).toContain('late');
  await retype(user, 'Second at which it begins', '65');
  await waitFor(() => expect(document.querySelector('.note.refusal')).toBeNull());
  await user.click(screen.getByRole('button', { name: 'Play it to the lamps' }));
  const ruler = await ruled();
  await waitFor(() => expect(ruler.getAttribute('aria-valuemax')).toBe('5'));
});

it('says so when the work breaks', async () => {
  const core = client.coreWorker('waves') as unknown as Record<string, unknown>;
  const before = core['hear'];
  core['hear'] = () => Promise.reject(new Error('out of memory'));
  const { user } = show(<SoundStage sheet={sheet} title="storm lights" />);
  await user.click(screen.getByRole('button', { name: 'Play it to the lamps' }));
  await says(/The work stopped: Error: out of memory/u);
  core['hear'] = before;
});
