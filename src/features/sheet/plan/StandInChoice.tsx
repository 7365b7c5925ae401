import Form from 'react-bootstrap/Form';
import {
  formatOhms,
  LAMP_TYPES,
  neighbours,
  partOf,
  type LampType,
  type Placement,
  type Sheet,
} from '@/core';
import { lampName } from '@/messages/names';

/** What could stand in a part's place, to see what it would do. */
export function StandInChoice({
  placement,
  sheet,
  values,
  onChoose,
}: {
  placement: Placement;
  sheet: Sheet;
  values: readonly number[];
  onChoose: (standIn: Placement['standIn']) => void;
}) {
  const { part, standIn } = placement;
  const own = partOf(sheet.circuit, part);
  if (own?.kind !== 'resistor' && own?.kind !== 'led') return null;
  const others = own.kind === 'resistor' ? resistorsToTry(own.params.ohms, values) : [];
  const lamp = sheet.sorts[part];
  const options: readonly (readonly [string, string])[] =
    own.kind === 'resistor'
      ? others.map((ohms) => [String(ohms), formatOhms(ohms)])
      : LAMP_TYPES.filter((type) => type !== lamp).map((type) => [type, `${lampName(type)} lamp`]);
  const value = !standIn
    ? ''
    : standIn.kind === 'wire'
      ? 'wire'
      : standIn.kind === 'led'
        ? standIn.type
        : String(standIn.ohms);
  const choose = (next: string) => {
    if (next === '') return onChoose(undefined);
    if (next === 'wire') return onChoose({ kind: 'wire' });
    onChoose(
      own.kind === 'resistor'
        ? { kind: 'resistor', ohms: Number(next) }
        : { kind: 'led', type: next as LampType },
    );
  };
  return (
    <Form.Select
      size="sm"
      aria-label={`In place of ${part}`}
      value={value}
      onChange={(event) => choose(event.target.value)}
    >
      <option value="">as planned</option>
      <option value="wire">a wire</option>
      {options.map(([name, words]) => (
        <option key={name} value={name}>
          {words}
        </option>
      ))}
    </Form.Select>
  );
}

/** The neighbours in the drawer, and the slips of a factor of ten. */
function resistorsToTry(chosen: number, values: readonly number[]): number[] {
  const { down } = neighbours(values, chosen * 0.99);
  const { up } = neighbours(values, chosen * 1.01);
  const tried = [chosen / 10, down, up, chosen * 10].filter((ohms) => ohms !== undefined && ohms !== chosen);
  return [...new Set(tried as number[])].sort((a, b) => a - b);
}
