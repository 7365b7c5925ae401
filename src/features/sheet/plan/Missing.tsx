import Button from 'react-bootstrap/Button';
import { thingsOf, type Plan, type Sheet } from '@/core';
import { namesIn } from '@/messages/names';
import type { Trial } from '../useTrial';

/** Parts of the lesson that the plan on the board does not hold, to be put back where they were. */
export function Missing({ plan, sheet, trial }: { plan: Plan; sheet: Sheet; trial: Trial }) {
  const gone = thingsOf(sheet.circuit).filter(({ id }) => !plan.placements.some(({ part }) => part === id));
  if (gone.length === 0) return null;
  return (
    <p className="button-row">
      <span className="small-print">Not on the board:</span>
      {gone.map(({ id }) => (
        <Button
          key={id}
          variant="quiet"
          size="sm"
          onClick={() => {
            const before = sheet.plan.placements.find(({ part }) => part === id)!;
            trial.edit({
              ok: true,
              value: { ...plan, placements: [...plan.placements, before] },
              findings: [],
            });
          }}
        >
          put {namesIn(sheet.circuit)(id)} back
        </Button>
      ))}
    </p>
  );
}
