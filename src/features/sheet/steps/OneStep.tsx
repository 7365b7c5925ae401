'use client';

import { useRef } from 'react';
import Button from 'react-bootstrap/Button';
import Modal from 'react-bootstrap/Modal';
import { cautionsAt, type Sheet } from '@/core';
import { saveSvg } from '@/features/plan/saveSvg';
import { CAUTION_WORDS } from '@/messages/cautions';
import { stepWords } from '@/messages/steps';
import { slug } from '@/ui/download';
import { Scroll } from '@/ui/Scroll';
import { StepBoard } from './StepBoard';

interface Props {
  readonly sheet: Sheet;
  readonly title: string;
  readonly at: number;
  onAt(at: number): void;
  onClose(): void;
}

/** A screen of its own for the bench: the picture first, one action, next and back under the thumb. */
export function OneStep({ sheet, title, at, onAt, onClose }: Props) {
  const picture = useRef<SVGSVGElement>(null);
  const last = sheet.steps.length - 1;
  const step = sheet.steps[at]!;
  const words = stepWords(step, sheet);
  return (
    <Modal
      show
      fullscreen
      animation={false}
      onHide={onClose}
      aria-label={`${title}, one step at a time`}
      className="one-step-screen"
    >
      <div
        className="one-step"
        onKeyDown={(event) => {
          if (event.key === 'ArrowRight') onAt(Math.min(last, at + 1));
          if (event.key === 'ArrowLeft') onAt(Math.max(0, at - 1));
        }}
      >
        <Scroll label="Picture of the step" className="one-picture">
          <StepBoard sheet={sheet} at={at} svgRef={picture} />
        </Scroll>
        <Scroll label="The step in words" className="one-words">
          <div role="status">
            <p className="small-print">
              {title}: step {at + 1} of {sheet.steps.length}
            </p>
            <p className="one-title">{words.title}</p>
            {words.cue && <p className="cue">{words.cue}</p>}
            {cautionsAt(step, sheet.cautions, sheet.steps).map(({ code }) => (
              <p key={code} className="caution-line">
                {CAUTION_WORDS[code]}
              </p>
            ))}
            <p>{words.detail}</p>
            <p className="small-print">Why: {words.why}</p>
          </div>
        </Scroll>
        <div className="one-thumb">
          <Button variant="quiet" disabled={at === 0} onClick={() => onAt(at - 1)}>
            Back
          </Button>
          <Button variant="quiet" onClick={onClose}>
            All steps
          </Button>
          <Button
            variant="quiet"
            className="wide-only"
            onClick={() => saveSvg(picture.current, `${slug(title)}-step-${at + 1}`)}
          >
            Save the picture as SVG
          </Button>
          <Button disabled={at === last} onClick={() => onAt(at + 1)}>
            Next step
          </Button>
        </div>
      </div>
    </Modal>
  );
}
