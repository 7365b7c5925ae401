'use client';

import { useState } from 'react';
import type { Remote } from 'comlink';
import { sumsIn, type Circuit, type Response, type Sheet } from '@/core';
import { useAsked } from '@/features/asking/useAsked';
import { Stopped, Working } from '@/features/asking/Working';
import { LAMP_DRAWN } from '@/features/plan/palette';
import { sentences } from '@/messages/findings';
import { loudnessWords } from '@/messages/sound';
import { Note } from '@/ui/Note';
import type { CoreApi } from '@/workers/coreApi';
import { Followed } from './Followed';
import { OwnSound } from './OwnSound';
import { PlayTools, type Loudness, type Piece } from './PlayTools';
import { ResponseChart } from './ResponseChart';
import { useListening, type Listening } from './useListening';
import { useMusicFile } from './useMusicFile';
import '../day/day.css';

interface Props {
  readonly sheet: Sheet;
  readonly title: string;
}

interface Question {
  readonly circuit: Circuit;
  readonly loudness: number;
}

const askResponse = (core: Remote<CoreApi>, { circuit, loudness }: Question): Promise<Response> =>
  core.response(circuit, loudness);

/** Music that is played to the board as it is laid out: which lamps light when, and at which tones. */
export function SoundStage({ sheet, title }: Props) {
  const { circuit } = sheet.built;
  const [piece, setPiece] = useState<Piece>('bass-beat');
  const [loudness, setLoudness] = useState<Loudness>('1');
  const [problem, setProblem] = useState('');
  const own = useMusicFile();
  const key = JSON.stringify([
    circuit,
    loudness,
    piece,
    piece === 'file' ? [own.file?.id, own.file?.start] : '',
  ]);
  const { listening, start, stop } = useListening(key);
  const sound = piece === 'file' ? own.file?.music : piece;
  const play = () => sound && start(circuit, sound, Number(loudness));
  return (
    <>
      <section className="ruled" aria-busy={listening.state === 'following'}>
        <div className="ruled-head">
          <h2>Music, and what lights</h2>
          {listening.state === 'following' && (
            <Working
              label="Music that has been followed"
              share={listening.loud.length > 0 ? listening.followed / listening.loud.length : 0}
              onStop={stop}
            />
          )}
        </div>
        <PlayTools
          {...{ piece, loudness }}
          busy={!sound || listening.state === 'following'}
          onPiece={setPiece}
          onLoudness={setLoudness}
          onPlay={play}
        />
        {piece === 'file' && <OwnSound own={own} onProblem={setProblem} />}
        {problem && (
          <Note kind="refusal" live>
            {problem}
          </Note>
        )}
        <HowItGoes listening={listening} nothing={piece === 'file' && !own.file} onAgain={play} />
        {listening.loud.length > 0 && (
          <Followed {...{ listening, sheet, title }} sound={sound} playing={piece} />
        )}
      </section>
      <ToneByTone {...{ sheet, circuit }} loudness={Number(loudness)} />
    </>
  );
}

function beforeWords(state: Listening['state'], nothing: boolean): string {
  if (state === 'following') return 'A rough picture first…';
  return nothing
    ? 'Choose a WAV file, and play it.'
    : 'Play it: a rough picture comes at once, and is replaced as every swing is followed.';
}

/** What each channel's lamps get along all tones. */
function ToneByTone({ sheet, circuit, loudness }: Question & Pick<Props, 'sheet'>) {
  const question: Question = { circuit, loudness };
  const own = sumsIn(sheet.sums, 'sound');
  const { reply, of, waiting } = useAsked('tones', question, askResponse);
  const current = reply && JSON.stringify(of) === JSON.stringify(question) ? reply : undefined;
  return (
    <section className="ruled" aria-busy={waiting}>
      <h2>Which tone lights what</h2>
      {own && current ? (
        <ResponseChart
          response={current}
          sound={own.sound}
          fillOf={(lamp) => LAMP_DRAWN[sheet.sorts[lamp] ?? 'red'].fill}
        />
      ) : (
        <p className="soft pt-2">Tone by tone…</p>
      )}
      <p className="small-print">
        Mean current of one lamp of each pair, at pure tones on both sides, {loudnessWords(loudness)}. The
        triangles are the tones of the checks.
      </p>
    </section>
  );
}

/** What is to be said of the work: that it was stopped, why it failed, or what comes next. */
function HowItGoes({
  listening,
  nothing,
  onAgain,
}: {
  listening: Listening;
  nothing: boolean;
  onAgain: () => void;
}) {
  return (
    <>
      {listening.state === 'stopped' && !listening.failure && <Stopped onAgain={onAgain} />}
      {listening.failure && <Note kind="refusal">{listening.failure}</Note>}
      {listening.refusals.length > 0 && <Note kind="refusal">{sentences(listening.refusals)}</Note>}
      {listening.loud.length === 0 && <p className="soft pt-2">{beforeWords(listening.state, nothing)}</p>}
    </>
  );
}
