/**
 * SI numbers with a flavour: a plain number may become any of them, but amps never pass for volts.
 * Everything in the core is in base units; prefixes exist only in text.
 */
export type Volts = number & { readonly __unit?: 'V' };
export type Amps = number & { readonly __unit?: 'A' };
export type Ohms = number & { readonly __unit?: 'Ω' };
export type Watts = number & { readonly __unit?: 'W' };
export type Hours = number & { readonly __unit?: 'h' };
export type Farads = number & { readonly __unit?: 'F' };
export type Seconds = number & { readonly __unit?: 's' };
export type Hertz = number & { readonly __unit?: 'Hz' };
export type Metres = number & { readonly __unit?: 'm' };
export type Lux = number & { readonly __unit?: 'lx' };
export type AmpHours = number & { readonly __unit?: 'Ah' };

/** The units a figure may be typed or shown in. */
export const UNITS = ['V', 'A', 'Ω', 'W', 'F', 'H', 's', 'Hz', 'lx', 'Ah', 'm', 'cd'] as const;
export type Unit = (typeof UNITS)[number];
