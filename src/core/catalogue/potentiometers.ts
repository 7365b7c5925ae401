/** Potentiometers that shops sell. */
export const POTENTIOMETERS = [100, 220, 470, 1e3, 2.2e3, 4.7e3, 1e4, 2.2e4, 4.7e4, 1e5, 2.2e5, 4.7e5, 1e6];
