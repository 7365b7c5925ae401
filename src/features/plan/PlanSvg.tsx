import type { AriaRole, ReactNode, Ref } from 'react';
import type { View } from './geometry';

interface Props {
  readonly width: number;
  readonly height: number;
  readonly title: string;
  readonly role?: AriaRole;
  readonly view?: View;
  /** Which face of a build it shows, where that is not the one with the parts. */
  readonly face?: 'copper' | 'cell';
  readonly svgRef?: Ref<SVGSVGElement> | undefined;
  readonly children: ReactNode;
}

/** The paper that every drawing of a build stands on: saved or printed, it is whole by itself. */
export function PlanSvg({ width, height, title, role = 'img', view, face, svgRef, children }: Props) {
  return (
    <svg
      ref={svgRef}
      viewBox={`0 0 ${width} ${height}`}
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
