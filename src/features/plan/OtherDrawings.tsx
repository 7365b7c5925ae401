import { Block } from './Block';
import { roomOf } from '@/core';
import { TIMER_PINS } from '@/messages/names';
import { UNIT, type View, type Point } from './geometry';
import { Label } from './Label';
import { DRAWN, LAMP_DRAWN } from './palette';

interface Props {
  readonly ends: readonly Point[];
  readonly label: string;
}

interface GlassProps extends Pick<Props, 'ends'> {
  readonly fill: string;
}

/** A small glass body with its band at the second leg. */
export function GlassDrawing({ ends, fill }: GlassProps) {
  const [anode, cathode] = ends as [Point, Point];
  const length = Math.hypot(cathode.x - anode.x, cathode.y - anode.y);
  const angle = (Math.atan2(cathode.y - anode.y, cathode.x - anode.x) * 180) / Math.PI;
  const body = Math.min(26, length * 0.5);
  const from = (length - body) / 2;
  return (
    <>
      <g transform={`translate(${anode.x} ${anode.y}) rotate(${angle})`}>
        <line x1="0" y1="0" x2={length} y2="0" stroke={DRAWN.leg} strokeWidth="2" />
        <rect
          x={from}
          y="-5"
          width={body}
          height="10"
          rx="3"
          fill={fill}
          stroke={DRAWN.ink}
          strokeWidth="0.8"
        />
        <rect x={from + body * 0.78} y="-5" width={body * 0.14} height="10" fill={DRAWN.ink} />
      </g>
    </>
  );
}

/** A potentiometer from above: its body over three legs, as wide as its room on the board, its spindle in the middle. */
export function KnobDrawing({ ends, label }: Props) {
  const [first, middle, last] = ends as [Point, Point, Point];
  const { along, across } = roomOf({ kind: 'potentiometer' });
  const upright = Math.abs(first.x - last.x) < Math.abs(first.y - last.y);
  const span = Math.hypot(last.x - first.x, last.y - first.y);
  const [long, wide] = [span + 2 * (along * UNIT - 2), 2 * (across * UNIT - 2)];
  const [width, height] = upright ? [wide, long] : [long, wide];
  const r = wide / 2 - 4;
  return (
    <>
      <Block middle={middle} width={width} height={height} fill={DRAWN.body} />
      <circle cx={middle.x} cy={middle.y} r={r} fill={DRAWN.body} stroke={DRAWN.ink} />
      <circle cx={middle.x} cy={middle.y} r={r * 0.42} fill={DRAWN.board} stroke={DRAWN.ink} />
      <path d={`M${middle.x} ${middle.y} l${r * 0.28} ${-r * 0.28}`} stroke={DRAWN.ink} strokeWidth="2" />
      <Label place={{ x: middle.x + width / 2 + 4, y: middle.y + 3 }} first={label} />
    </>
  );
}

export function ButtonDrawing({ ends, label }: Props) {
  const [a, b] = ends as [Point, Point];
  const middle = { x: (a.x + b.x) / 2, y: (a.y + b.y) / 2 };
  return (
    <>
      <line x1={a.x} y1={a.y} x2={b.x} y2={b.y} stroke={DRAWN.leg} strokeWidth="2" />
      <Block middle={middle} width={22} height={22} fill={DRAWN.trench} />
      <circle cx={middle.x} cy={middle.y} r="6.5" fill={DRAWN.body} stroke={DRAWN.ink} />
      <Label place={{ x: middle.x + 16, y: middle.y + 4 }} first={label} />
    </>
  );
}

/** A switch that stays as it is put: a knob at one end of its slot. */
export function SlideDrawing({ ends, label }: Props) {
  const [a, b] = ends as [Point, Point];
  const middle = { x: (a.x + b.x) / 2, y: (a.y + b.y) / 2 };
  return (
    <>
      <line x1={a.x} y1={a.y} x2={b.x} y2={b.y} stroke={DRAWN.leg} strokeWidth="2" />
      <Block middle={middle} width={20} height={26} fill={DRAWN.trench} />
      <rect x={middle.x - 5} y={middle.y - 9} width="10" height="18" fill={DRAWN.board} stroke={DRAWN.ink} />
      <rect x={middle.x - 5} y={middle.y - 9} width="10" height="8" fill={DRAWN.ink} />
      <Label place={{ x: middle.x + 16, y: middle.y + 4 }} first={label} />
    </>
  );
}

/** The three-colour lamp: four legs in a line, the longest marked. */
export function ThreeColourDrawing({
  ends,
  name,
  view,
}: {
  ends: readonly Point[];
  name: string;
  view: View;
}) {
  const [first, last] = [ends[0]!, ends[ends.length - 1]!];
  const away = view === 'flat' ? { x: 0, y: UNIT * 1.15 } : { x: UNIT * 1.15, y: 0 };
  const middle = { x: (first.x + last.x) / 2 + away.x, y: (first.y + last.y) / 2 + away.y };
  const letters = ['R', '', 'G', 'B'];
  return (
    <>
      {ends.map((leg, i) => (
        <line
          key={letters[i]! || 'common'}
          x1={leg.x}
          y1={leg.y}
          x2={middle.x + (leg.x - middle.x + away.x) * 0.35}
          y2={middle.y + (leg.y - middle.y + away.y) * 0.35}
          stroke={DRAWN.leg}
          strokeWidth={letters[i] ? 2 : 3.4}
        />
      ))}
      <circle
        cx={middle.x}
        cy={middle.y}
        r="14"
        fill={LAMP_DRAWN.white.fill}
        stroke={DRAWN.ink}
        strokeWidth="1.3"
      />
      <text
        x={middle.x}
        y={middle.y + 3.4}
        fontSize="9"
        fontWeight="700"
        textAnchor="middle"
        fill={DRAWN.ink}
      >
        RGB
      </text>
      <Label
        place={{ x: middle.x + 18, y: middle.y - 1 }}
        first={`${name} three-colour`}
        second="thick: common leg"
      />
    </>
  );
}

/** A chip between its two rows of legs, its notch at the end of pins 1 and 8, each leg with its number. */
export function ChipDrawing({ ends, pins, label }: Props & { pins: readonly string[] }) {
  const xs = ends.map(({ x }) => x);
  const ys = ends.map(({ y }) => y);
  const [first, across] = [
    ends[pins.indexOf('ground')] ?? ends[0]!,
    ends[pins.indexOf('supply')] ?? ends[0]!,
  ];
  // Pins 1 and 8 stand side by side at the end with the notch.
  const lying = Math.abs(first.x - across.x) < Math.abs(first.y - across.y);
  const [aside, along] = lying ? [7, -4] : [-4, 7];
  const box = { x: Math.min(...xs) - aside, y: Math.min(...ys) - along };
  const [width, height] = [
    Math.max(...xs) - Math.min(...xs) + 2 * aside,
    Math.max(...ys) - Math.min(...ys) + 2 * along,
  ];
  const middle = { x: box.x + width / 2, y: box.y + height / 2 };
  const notch = lying
    ? { x: first.x < middle.x ? box.x : box.x + width, y: middle.y }
    : { x: middle.x, y: first.y < middle.y ? box.y : box.y + height };
  return (
    <>
      <rect {...box} width={width} height={height} rx="3" fill={DRAWN.ink} />
      <clipPath id={`notch-${label}-${notch.x}-${notch.y}`}>
        <rect {...box} width={width} height={height} />
      </clipPath>
      <circle
        cx={notch.x}
        cy={notch.y}
        r="5"
        fill={DRAWN.board}
        clipPath={`url(#notch-${label}-${notch.x}-${notch.y})`}
      />
      <text x={middle.x} y={middle.y + 4} fontSize="11" textAnchor="middle" fill={DRAWN.board}>
        {label}
      </text>
      <g fontSize="9" textAnchor="middle" fill={DRAWN.board}>
        {pins.map((pin, i) => {
          const [end, number] = [ends[i]!, TIMER_PINS.findIndex((name) => name === pin) + 1];
          const place = lying
            ? { x: end.x, y: end.y + (end.y < middle.y ? 11 : -6) }
            : { x: end.x + (end.x < middle.x ? 8.5 : -8.5), y: end.y + 2.5 };
          return number === 0 ? null : (
            <text key={pin} {...place}>
              {number}
            </text>
          );
        })}
      </g>
    </>
  );
}
