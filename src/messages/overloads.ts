import { formatQuantity } from '@/core';

const volts = (v: number) => formatQuantity(v, 'V');
const amps = (a: number) => formatQuantity(a, 'A');
const watts = (w: number) => formatQuantity(w, 'W', 2);

function beyond(figure: number, limit: number, words: (value: number) => string): string {
  return `${words(figure)}, more than the ${words(limit)} that it stands.`;
}

/** What a part gets too much of, with the figure and what it stands. */
export const OVER = {
  current: (figure: number, limit: number) => `carries ${beyond(figure, limit, amps)}`,
  reverse: (figure: number, limit: number) =>
    `has ${volts(figure)} against its direction, more than the ${volts(limit)} that it stands.`,
  heat: (figure: number, limit: number) =>
    `turns ${watts(figure)} into heat, more than the ${watts(limit)} that it stands.`,
  volts: (figure: number, limit: number) => `gets ${beyond(figure, limit, volts)}`,
  shorted: (figure: number) => `is shorted: ${amps(figure)} flows.`,
} as const;
