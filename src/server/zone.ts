import { endOfDay, parseISO, startOfDay } from 'date-fns';
import { houseZone } from './repositories/settings';

/**
 * From now on this process reckons days and hours by a zone: pages, files and backups alike, whatever zone the machine
 * is set to.
 *
 * @param zone by its IANA name; undefined leaves what the machine says
 */
export function reckonBy(zone: string | undefined): void {
  if (zone !== undefined) process.env['TZ'] = zone;
}

/** Takes the zone that the house has chosen, if it has. */
export async function takeZone(): Promise<void> {
  reckonBy((await houseZone()).value.zone ?? undefined);
}

/** When a calendar day of the house begins and ends, in the form in which instants are written. */
export function spanOfDay(day: string): { readonly from: string; readonly to: string } {
  const at = parseISO(day);
  return { from: startOfDay(at).toISOString(), to: endOfDay(at).toISOString() };
}
