import type { ReactNode } from 'react';
import { formatOhms, type Part } from '@/core';
import type { Point } from './geometry';
import { ButtonDrawing, ChipDrawing, GlassDrawing, KnobDrawing, SlideDrawing } from './OtherDrawings';
import { DRAWN } from './palette';
import { CanDrawing, CoilDrawing, LeadsDrawing, SensorDrawing, ThreeLegDrawing } from './SmallDrawings';

/** Kinds that have drawings of their own elsewhere. */
type Elsewhere = 'resistor' | 'led' | 'supply' | 'wire';
type Drawn = Exclude<Part['kind'], Elsewhere>;
type Draw<K extends Drawn> = (
  part: Extract<Part, { kind: K }>,
  ends: readonly Point[],
  /** Name of each leg, in the order of its ends. */
  pins: readonly string[],
) => ReactNode;

/** How every further kind of part looks on a board. */
const DRAWINGS: { readonly [K in Drawn]: Draw<K> } = {
  zener: (_part, ends) => <GlassDrawing ends={ends} fill={DRAWN.glass} />,
  diode: (_part, ends) => <GlassDrawing ends={ends} fill={DRAWN.soft} />,
  potentiometer: (part, ends) => (
    <KnobDrawing ends={ends} label={`${part.id} ${formatOhms(part.params.ohms)}`} />
  ),
  switch: ({ id, params }, ends) =>
    params.stays ? (
      <SlideDrawing ends={ends} label={`${id} on, off`} />
    ) : (
      <ButtonDrawing ends={ends} label={`${id} push`} />
    ),
  timer: ({ id }, ends, pins) => <ChipDrawing ends={ends} pins={pins} label={id} />,
  capacitor: ({ params }, ends) => <CanDrawing ends={ends} polarised={params.polarised === true} />,
  inductor: ({ id }, ends) => <CoilDrawing ends={ends} label={id} />,
  ldr: ({ id }, ends) => <SensorDrawing ends={ends} label={id} />,
  transistor: ({ params }, ends) => <ThreeLegDrawing ends={ends} leads={params.leads} />,
  speaker: ({ id }, ends) => <LeadsDrawing ends={ends} label={id} what="speaker" />,
  pin: ({ id }, ends) => <LeadsDrawing ends={ends} label={id} what="pin" />,
  signal: ({ id, body }, ends) => <LeadsDrawing ends={ends} label={body?.id ?? id} />,
};

export function KindDrawing({
  part,
  ends,
  pins,
}: {
  part: Part;
  ends: readonly Point[];
  pins: readonly string[];
}) {
  if (!isDrawn(part)) return null;
  // Each kind has its own drawing; TypeScript cannot see through the union that they belong together.
  return (DRAWINGS[part.kind] as Draw<Drawn>)(part as never, ends, pins);
}

function isDrawn(part: Part): part is Extract<Part, { kind: Drawn }> {
  return part.kind in DRAWINGS;
}
