import { useEffect, useState, type MouseEvent } from 'react';
import Button from 'react-bootstrap/Button';
import Form from 'react-bootstrap/Form';
import type { Corners, Sheet } from '@/core';
import { isCalm } from '@/features/hooks/isCalm';
import { Problem } from '@/ui/Problem';
import { BoardDrawing } from '../plan/BoardDrawing';
import { partNear, type Anchors } from './anchors';
import { useRectified } from './useRectified';

interface Props {
  readonly source: string;
  readonly sheet: Pick<Sheet, 'plan' | 'circuit' | 'sorts' | 'supply'>;
  readonly anchors: Anchors;
  readonly corners: Corners;
  /** Parts that were said to differ. */
  readonly marked: ReadonlySet<string>;
  onPick(part: string): void;
}

/** Slow enough for every eye: well below three changes of light in a second. */
const FLICKER_MS = 600;

/** The picture of the bench laid under its plan: a slider between both, or one after the other. */
export function Overlay({ source, sheet, anchors, corners, marked, onPick }: Props) {
  const [share, setShare] = useState(50);
  const [flickers, setFlickers] = useState(false);
  const [plan, setPlan] = useState(true);
  const { canvas, fits } = useRectified(source, anchors, corners);
  useEffect(() => {
    if (!flickers || isCalm()) return;
    const timer = setInterval(() => setPlan((before) => !before), FLICKER_MS);
    return () => clearInterval(timer);
  }, [flickers]);
  const tap = (event: MouseEvent<HTMLDivElement>) => {
    const { left, top, width, height } = event.currentTarget.getBoundingClientRect();
    const part = partNear(sheet.plan, {
      x: ((event.clientX - left) / width) * anchors.width,
      y: ((event.clientY - top) / height) * anchors.height,
    });
    // A click that a key made has no place.
    if (!part || event.detail === 0) return;
    event.stopPropagation();
    onPick(part);
  };
  const opacity = flickers ? Number(plan) : share / 100;
  return (
    <div>
      <div className="overlay-controls">
        <Form.Label htmlFor="overlay-share">picture</Form.Label>
        <Form.Range
          id="overlay-share"
          aria-label="From the picture to the plan"
          value={share}
          disabled={flickers}
          onChange={(event) => setShare(Number(event.target.value))}
        />
        <span>plan</span>
        <Form.Check
          id="overlay-flicker"
          label="one after the other"
          checked={flickers}
          onChange={(event) => setFlickers(event.target.checked)}
        />
        {flickers && (
          <Button size="sm" variant="quiet" onClick={() => setPlan((before) => !before)}>
            {plan ? 'show the picture' : 'show the plan'}
          </Button>
        )}
      </div>
      {!fits && (
        <Problem>Three of the marks are in line: no board lies so. Draw each to its own hole.</Problem>
      )}
      <div className="overlay" style={{ aspectRatio: `${anchors.width} / ${anchors.height}` }}>
        <canvas ref={canvas} aria-hidden="true" />
        {/* Fingers are broad: what lies nearest to a tap is meant. Keys reach every part by itself. */}
        <div style={{ opacity }} onClickCapture={tap}>
          <BoardDrawing
            plan={sheet.plan}
            circuit={sheet.circuit}
            sorts={sheet.sorts}
            supply={sheet.supply}
            title="The plan over the picture: pick what differs"
            ringed={marked}
            onPick={onPick}
          />
        </div>
      </div>
    </div>
  );
}
