/** Elementary charge over the Boltzmann constant times 298.15 K (exact SI constants of 2019): kT/q, in volts. */
export const THERMAL_VOLTS = 25.6926e-3;
