import type { AriaRole, ReactNode, Ref } from 'react';
import { UNIT, type View, type Window } from './geometry';
import './plan.css';

interface Props {
  readonly width: number;
  readonly height: number;
  readonly title: string;
  readonly role?: AriaRole;
  readonly view?: View;
  /** Which face of a build it shows, where that is not the one with the parts. */
  readonly face?: 'copper' | 'cell';
  /** The part of it that is shown; left out, all. */
  readonly window?: Window | undefined;
  readonly svgRef?: Ref<SVGSVGElement> | undefined;
  readonly children: ReactNode;
}

/** Millimetres of a drawing unit: holes are 2.54 mm apart. */
const MM = 2.54 / UNIT;

/**
 * The paper that every drawing of a build stands on: saved or printed, it is whole by itself, and in true millimetres
 * where no style sheet scales it.
 */
export function PlanSvg({
  width,
  height,
  title,
  role = 'img',
  view,
  face,
  window = { x: 0, y: 0, width, height },
  svgRef,
  children,
}: Props) {
  return (
    <svg
      ref={svgRef}
      viewBox={`${window.x} ${window.y} ${window.width} ${window.height}`}
      width={`${(window.width * MM).toFixed(2)}mm`}
      height={`${(window.height * MM).toFixed(2)}mm`}
      xmlns="http://www.w3.org/2000/svg"
      className="board"
      data-view={view}
      data-face={face}
      role={role}
      aria-label={title}
      fontFamily="'Atkinson Hyperlegible Next Variable', sans-serif"
    >
      {children}
    </svg>
  );
}
