import { Block } from './Block';
import type { Point } from './geometry';
import { Label } from './Label';
import { DRAWN } from './palette';

interface Props {
  readonly ends: readonly Point[];
  readonly label: string;
}

function middleOf(ends: readonly Point[]): Point {
  const [first, last] = [ends[0]!, ends[ends.length - 1]!];
  return { x: (first.x + last.x) / 2, y: (first.y + last.y) / 2 };
}

/** The legs of a standing part, from their holes to under its body. */
function Legs({ ends, to }: { ends: readonly Point[]; to: Point }) {
  return ends.map((end, i) => (
    <line key={i} x1={end.x} y1={end.y} x2={to.x} y2={to.y} stroke={DRAWN.leg} strokeWidth="2" />
  ));
}

/** A capacitor from above: an electrolytic with a stripe at its minus leg, any other a flat lens. */
export function CanDrawing({ ends, polarised }: Pick<Props, 'ends'> & { readonly polarised: boolean }) {
  const middle = middleOf(ends);
  const minus = ends[ends.length - 1]!;
  const angle = (Math.atan2(minus.y - middle.y, minus.x - middle.x) * 180) / Math.PI;
  return (
    <>
      <Legs ends={ends} to={middle} />
      <g transform={`translate(${middle.x} ${middle.y}) rotate(${angle})`}>
        {polarised ? (
          <>
            <circle r="12" fill={DRAWN.cell} stroke={DRAWN.ink} strokeWidth="1.2" />
            <path d="M7 -9.7 A12 12 0 0 1 7 9.7 Z" fill={DRAWN.ink} />
          </>
        ) : (
          <ellipse rx="11" ry="5.5" fill={DRAWN.glass} stroke={DRAWN.ink} strokeWidth="1" />
        )}
      </g>
    </>
  );
}

/** A coil on its drum, seen from the side. */
export function CoilDrawing({ ends, label }: Props) {
  const middle = middleOf(ends);
  return (
    <>
      <Legs ends={ends} to={middle} />
      <Block middle={middle} width={16} height={20} fill={DRAWN.cell} />
      <path
        d={`M${middle.x - 8} ${middle.y - 4} h16 m-16 4 h16 m-16 4 h16`}
        stroke={DRAWN.plus}
        strokeWidth="2"
      />
      <Label place={{ x: middle.x + 12, y: middle.y + 4 }} first={label} />
    </>
  );
}

/** A light sensor from above: its track runs to and fro over the disc. */
export function SensorDrawing({ ends, label }: Props) {
  const middle = middleOf(ends);
  return (
    <>
      <Legs ends={ends} to={middle} />
      <circle cx={middle.x} cy={middle.y} r="10" fill={DRAWN.body} stroke={DRAWN.ink} strokeWidth="1.1" />
      <path
        d={`M${middle.x - 6} ${middle.y - 5} h10 l-10 3.4 h12 l-12 3.4 h10`}
        fill="none"
        stroke={DRAWN.plus}
        strokeWidth="1.3"
      />
      <Label place={{ x: middle.x + 13, y: middle.y + 4 }} first={label} />
    </>
  );
}

/** A body with a flat face over three legs in a line. */
export function ThreeLegDrawing({ ends, leads }: Pick<Props, 'ends'> & { leads: 'E-B-C' | 'C-B-E' }) {
  const middle = middleOf(ends);
  const [first, last] = [ends[0]!, ends[ends.length - 1]!];
  // From the collector to the emitter; who looks at the flat face sees the order of the type from left to right.
  const along = (Math.atan2(last.y - first.y, last.x - first.x) * 180) / Math.PI;
  const angle = leads === 'E-B-C' ? along + 180 : along;
  return (
    <>
      <g transform={`translate(${middle.x} ${middle.y}) rotate(${angle})`}>
        <path d="M-14 4 H14 A14 12 0 0 0 -14 4 Z" fill={DRAWN.ink} />
      </g>
      {ends.map(({ x, y }) => (
        <circle key={`${x} ${y}`} cx={x} cy={y} r="2.6" fill={DRAWN.leg} />
      ))}
    </>
  );
}

/** What stands beside the board and comes in by leads. */
export function LeadsDrawing({ ends, label, what }: Props & { what?: string | undefined }) {
  const [first] = ends;
  return (
    <>
      {ends.map(({ x, y }) => (
        <circle key={`${x} ${y}`} cx={x} cy={y} r="5" fill="none" stroke={DRAWN.pick} strokeWidth="2" />
      ))}
      {first && (
        <Label place={{ x: first.x + 9, y: first.y - 5 }} first={label} {...(what ? { second: what } : {})} />
      )}
    </>
  );
}
