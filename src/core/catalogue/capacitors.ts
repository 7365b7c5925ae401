import type { Amps, Farads, Volts } from '../quantities/units';

/** A capacitor as a drawer holds it. */
export interface CapacitorSort {
  readonly farads: Farads;
  /** An electrolytic: it has a plus end, spreads wider, and leaks. */
  readonly polarised: boolean;
}

const ceramic = (farads: Farads): CapacitorSort => ({ farads, polarised: false });
const electrolytic = (farads: Farads): CapacitorSort => ({ farads, polarised: true });

/** What a drawer without any entry is taken to hold. */
export const USUAL_CAPACITORS: readonly CapacitorSort[] = [
  ...[1e-9, 1e-8, 1e-7].map(ceramic),
  ...[1e-6, 4.7e-6, 1e-5, 2.2e-5, 4.7e-5, 1e-4, 2.2e-4, 4.7e-4].map(electrolytic),
];

/** How far a capacitor may lie from its value, as a share. */
export function capacitorTolerance({ polarised }: Pick<CapacitorSort, 'polarised'>): number {
  return polarised ? 0.2 : 0.1;
}

/** Amps per farad and volt that data sheets of electrolytics usually allow for leakage. */
const LEAK_PER_FARAD_VOLT = 0.01;

/** The most that a capacitor usually leaks at some volts: the data sheets' 0.01 · C · V; a ceramic nothing to count. */
export function leakAmps({ farads, polarised }: CapacitorSort, volts: Volts): Amps {
  return polarised ? LEAK_PER_FARAD_VOLT * farads * volts : 0;
}
