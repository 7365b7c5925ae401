import Form from 'react-bootstrap/Form';
import type { MeterFigures } from '@/core';

interface Props {
  /** The class's meter. */
  readonly house: MeterFigures;
  readonly meter: MeterFigures | undefined;
  onMeter(meter: MeterFigures | undefined): void;
}

/** Another meter at this bench: the figures on its own sheet decide how far its readings are believed. */
export function OwnMeter({ house, meter, onMeter }: Props) {
  const figures: readonly {
    readonly id: string;
    readonly label: string;
    readonly value: number;
    with(value: number): MeterFigures;
  }[] = meter
    ? [
        { id: 'counts', label: 'counts', value: meter.counts, with: (counts) => ({ ...meter, counts }) },
        {
          id: 'volts-share',
          label: 'volts: ± % of reading',
          value: percent(meter.volts.share),
          with: (share) => ({ ...meter, volts: { ...meter.volts, share: share / 100 } }),
        },
        {
          id: 'volts-counts',
          label: 'and counts',
          value: meter.volts.counts,
          with: (counts) => ({ ...meter, volts: { ...meter.volts, counts } }),
        },
        {
          id: 'amps-share',
          label: 'current: ± % of reading',
          value: percent(meter.amps.share),
          with: (share) => ({ ...meter, amps: { ...meter.amps, share: share / 100 } }),
        },
        {
          id: 'amps-counts',
          label: 'and counts',
          value: meter.amps.counts,
          with: (counts) => ({ ...meter, amps: { ...meter.amps, counts } }),
        },
      ]
    : [];
  return (
    <fieldset className="own-meter">
      <Form.Check
        id="own-meter"
        label={`Another meter than the “${house.name}”`}
        checked={meter !== undefined}
        onChange={(event) => onMeter(event.target.checked ? { ...house, name: 'other meter' } : undefined)}
      />
      {meter && (
        <>
          <Form.Group controlId="meter-own-name" className="context-row">
            <Form.Label>its name</Form.Label>
            <Form.Control
              size="sm"
              maxLength={40}
              value={meter.name}
              onChange={(event) => onMeter({ ...meter, name: event.target.value })}
            />
          </Form.Group>
          {figures.map(({ id, label, value, with: changed }) => (
            <Form.Group key={id} controlId={`meter-own-${id}`} className="context-row">
              <Form.Label>{label}</Form.Label>
              <Form.Control
                size="sm"
                type="number"
                step="any"
                defaultValue={value}
                onChange={(event) => onMeter(changed(Number(event.target.value)))}
              />
            </Form.Group>
          ))}
        </>
      )}
    </fieldset>
  );
}

function percent(share: number): number {
  return Number((100 * share).toPrecision(6));
}
