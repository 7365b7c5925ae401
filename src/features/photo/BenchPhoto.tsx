'use client';

import { useRouter } from 'next/navigation';
import { useState } from 'react';
import Button from 'react-bootstrap/Button';
import Form from 'react-bootstrap/Form';
import { PLACED_WORDS, type Corners } from '@/core';
import { namesIn } from '@/messages/names';
import { lookWith, marksIn, PLACED, type Marks } from '@/messages/seen';
import type { Beside } from '@/server/pictures/beside';
import type { Photo } from '@/server/repositories/photos';
import { clockTime } from '@/ui/dates';
import { heard } from '@/ui/heard';
import { newKey } from '@/ui/newKey';
import { Problem } from '@/ui/Problem';
import { BoardDrawing } from '../plan/BoardDrawing';
import { useHelperName } from '../check/useHelperName';
import { dropPhoto, keepCorners, keepMarks } from './actions';
import { anchorsOf } from './anchors';
import { CornerPicker } from './CornerPicker';
import { Overlay } from './Overlay';
import { TakePhoto } from './TakePhoto';

type Props = Omit<Beside, 'title' | 'bench' | 'nickname' | 'sheet'> & {
  readonly sheet: NonNullable<Beside['sheet']>;
};

/** Where the marks stand before anybody has drawn them: a frame within the picture. */
const FIRST: Corners = [
  { x: 0.15, y: 0.12 },
  { x: 0.85, y: 0.12 },
  { x: 0.85, y: 0.88 },
  { x: 0.15, y: 0.88 },
];

/** A picture of the bench beside its plan: what differs is tapped, and stands in the grid as what was seen. */
export function BenchPhoto(props: Props) {
  const { sessionId, studentId, sheet, photos, days } = props;
  const router = useRouter();
  const [chosen, setChosen] = useState<number>();
  const [problem, setProblem] = useState('');
  const photo = photos.find(({ id }) => id === chosen) ?? photos[0];
  const drop = async (id: number) => {
    const answer = await heard(dropPhoto(sessionId, id));
    setProblem(answer.ok ? '' : answer.message);
    if (answer.ok) router.refresh();
  };
  return (
    <>
      <div className="photo-choice">
        <TakePhoto
          sessionId={sessionId}
          studentId={studentId}
          label={photo ? 'Another picture' : 'A picture of this bench'}
          size="sm"
          onKept={(id) => {
            setChosen(id);
            router.refresh();
          }}
        />
        {photos.length > 1 && (
          <Form.Select
            size="sm"
            aria-label="Which picture"
            value={photo?.id}
            onChange={(event) => setChosen(Number(event.target.value))}
          >
            {photos.map(({ id, arrivedAt }) => (
              <option key={id} value={id}>
                {clockTime(arrivedAt)}
              </option>
            ))}
          </Form.Select>
        )}
        {photo && (
          <Button variant="text" className="btn-text" onClick={() => void drop(photo.id)}>
            take this picture away
          </Button>
        )}
        <span className="small-print">
          Pictures stay on this machine, without place or device, and go after {days}{' '}
          {days === 1 ? 'day' : 'days'}.
        </span>
      </div>
      <Problem>{problem}</Problem>
      {photo ? (
        <Beside key={photo.id} {...props} photo={photo} />
      ) : (
        <>
          <p>
            There is no picture of this bench yet. Hold the phone above the board, its rows upright, so that
            all four corners are in the picture; it need not be straight. This is the plan that it will lie
            under.
          </p>
          <div className="plan-alone">
            <BoardDrawing
              plan={sheet.plan}
              circuit={sheet.circuit}
              sorts={sheet.sorts}
              supply={sheet.supply}
              title="The plan of this bench"
            />
          </div>
        </>
      )}
    </>
  );
}

function Beside({ sessionId, studentId, sheet, photo, lamps, parts, seen }: Props & { photo: Photo }) {
  const anchors = anchorsOf(sheet.plan);
  const [corners, setCorners] = useState(photo.corners ?? FIRST);
  const [laid, setLaid] = useState(photo.corners !== undefined);
  const [said, setSaid] = useState(seen);
  const [marks, setMarks] = useState<Marks>(() => marksIn(seen, lamps, parts));
  const [picked, setPicked] = useState<string>();
  /** The marks that stand in the grid, where they were put in from here. */
  const [kept, setKept] = useState<Marks>();
  const [problem, setProblem] = useState('');
  const [helper] = useHelperName();
  const source = `/check/${sessionId}/photos/${photo.id}`;
  const name = namesIn(sheet.circuit, sheet.plan);
  if (!anchors) return <p>This plan has no four corners to lay a picture under.</p>;
  const lay = async () => {
    const answer = await heard(keepCorners(sessionId, photo.id, corners));
    setProblem(answer.ok ? '' : answer.message);
    // They hold here even where they could not be kept.
    setLaid(true);
  };
  const mark = (part: string, word: Marks[string] | undefined) => {
    setMarks(({ [part]: _gone, ...rest }) => (word ? { ...rest, [part]: word } : rest));
  };
  const save = async () => {
    const answer = await heard(
      keepMarks({
        sessionId,
        studentId,
        marks,
        takenBy: helper.trim().slice(0, 30),
        takenAt: new Date().toISOString(),
        entryKey: newKey(),
      }),
    );
    setProblem(answer.ok ? '' : answer.message);
    if (!answer.ok) return;
    setKept(marks);
    setSaid(answer.value);
  };
  return (
    <div className="beside">
      <div>
        {laid ? (
          <Overlay
            source={source}
            sheet={sheet}
            anchors={anchors}
            corners={corners}
            marked={new Set(Object.keys(marks))}
            onPick={setPicked}
          />
        ) : (
          <CornerPicker source={source} anchors={anchors} corners={corners} onMove={setCorners} />
        )}
      </div>
      <div>
        {laid ? (
          <>
            <p>
              Slide between picture and plan, or let them come one after the other: what jumps is not where it
              should be. Tap it on the plan and say how it differs.
            </p>
            {picked && (
              <fieldset className="mark-words">
                <legend>{name(picked)} is</legend>
                <div className="button-row">
                  <Button size="sm" variant="quiet" onClick={() => mark(picked, undefined)}>
                    as planned
                  </Button>
                  {PLACED_WORDS.map((word) => (
                    <Button
                      key={word}
                      size="sm"
                      variant={marks[picked] === word ? 'primary' : 'quiet'}
                      aria-pressed={marks[picked] === word}
                      onClick={() => mark(picked, word)}
                    >
                      {PLACED[word].words}
                    </Button>
                  ))}
                </div>
              </fieldset>
            )}
            <ul className="marks" aria-label="What differs">
              {Object.entries(marks).map(([part, word]) => (
                <li key={part}>
                  <strong>{part}</strong> {PLACED[word].words}
                </li>
              ))}
            </ul>
            <div className="button-row">
              <Button
                size="sm"
                disabled={lookWith(said, marks, lamps, parts) === said}
                onClick={() => void save()}
              >
                Put it into the grid
              </Button>
              <Button size="sm" variant="quiet" onClick={() => setLaid(false)}>
                Move the four marks
              </Button>
            </div>
            {kept === marks && <p role="status">It stands under “lamps” in the grid, and counts.</p>}
          </>
        ) : (
          <>
            <p>
              Draw each mark to the hole that it is named by: the four corners of what is drawn of the board.
              Arrow keys move the one that is chosen, with Shift by more.
            </p>
            <Button onClick={() => void lay()}>Lay it under the plan</Button>
          </>
        )}
        <Problem>{problem}</Problem>
      </div>
    </div>
  );
}
