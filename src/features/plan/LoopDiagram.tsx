import { formatOhms, formatQuantity, type Sheet } from '@/core';
import { lampName } from '@/messages/names';

const TOP = 34;
const BOTTOM = 150;
const LEFT = 60;
const RIGHT = 400;

/** The circuit of the sheet in the field's symbols, with its solved figures: supply at the left, the loop clockwise. */
export function LoopDiagram({ sheet }: { sheet: Sheet }) {
  const { sums, circuit } = sheet;
  const lampFirst = circuit.parts.find((part) => part.kind === 'led')?.pins['anode'] === 'plus';
  const [resistorAt, lampAt] = lampFirst ? [300, 165] : [165, 300];
  const { design } = sums;
  const volts = (v: number) => formatQuantity(v, 'V');
  return (
    <svg
      viewBox="0 0 460 190"
      className="loop-diagram"
      role="img"
      aria-label={`Circuit: supply ${volts(design.supplyVolts)}, ${lampFirst ? 'lamp, then resistor' : 'resistor, then lamp'}, ${formatQuantity(design.amps, 'A')} all round`}
      fill="none"
      stroke="var(--ink)"
      strokeWidth="1.6"
      fontSize="13"
    >
      <path
        d={`M${LEFT} 82 V${TOP} H${Math.min(resistorAt, lampAt) - 32} M${Math.min(resistorAt, lampAt) + 32} ${TOP} H${Math.max(resistorAt, lampAt) - 32} M${Math.max(resistorAt, lampAt) + 32} ${TOP} H${RIGHT} V${BOTTOM} H${LEFT} V94`}
      />
      <path d={`M${LEFT - 17} 82 h34`} />
      <path d={`M${LEFT - 9} 94 h18`} strokeWidth="3.2" />
      <g stroke="none" fill="var(--ink)">
        <text x={LEFT + 24} y="84">
          {volts(design.supplyVolts)}
        </text>
        <text x={LEFT + 24} y="100" fill="var(--soft)">
          B1
        </text>
        <text x={LEFT - 32} y="80">
          +
        </text>
        <text x={resistorAt} y={TOP + 30} textAnchor="middle">
          R1 {formatOhms(sums.chosen)}
        </text>
        <text x={resistorAt} y={TOP + 47} textAnchor="middle" fill="var(--soft)">
          {volts(design.resistorVolts)}
        </text>
        <text x={lampAt} y={TOP + 30} textAnchor="middle">
          D1 {lampName(sums.lamp.type)}
        </text>
        <text x={lampAt} y={TOP + 47} textAnchor="middle" fill="var(--soft)">
          {volts(design.lampVolts)}
        </text>
        <text x={(LEFT + RIGHT) / 2} y={BOTTOM + 22} textAnchor="middle">
          {formatQuantity(design.amps, 'A')} all round
        </text>
      </g>
      <rect x={resistorAt - 32} y={TOP - 9} width="64" height="18" fill="var(--sheet)" />
      <path d={`M${lampAt - 32} ${TOP} H${lampAt - 12} M${lampAt + 12} ${TOP} H${lampAt + 32}`} />
      <path d={`M${lampAt - 12} ${TOP - 12} V${TOP + 12} L${lampAt + 12} ${TOP} Z`} fill="var(--sheet)" />
      <path d={`M${lampAt + 12} ${TOP - 12} V${TOP + 12}`} strokeWidth="2.4" />
      <path
        d={`M${lampAt - 2} ${TOP - 16} l8 -10 m0 0 l-5 2 m5 -2 l-1 5 M${lampAt + 9} ${TOP - 16} l8 -10 m0 0 l-5 2 m5 -2 l-1 5`}
        strokeWidth="1.2"
      />
    </svg>
  );
}
