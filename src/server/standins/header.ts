/** One command of a line: its header in small letters, whether it asks, and what follows the header. */
export interface Command {
  readonly header: string;
  readonly asks: boolean;
  readonly rest: string;
}

/** What an instrument says of a command that it does not take, by the numbers of SCPI-99, volume 2, chapter 21. */
export const FAULTS = {
  none: '0,"No error"',
  undefinedHeader: '-113,"Undefined header"',
  missing: '-109,"Missing parameter"',
  outOfRange: '-222,"Data out of range"',
  noData: '-230,"Data corrupt or stale"',
  tooLong: '-223,"Too much data"',
} as const;
export type Fault = (typeof FAULTS)[keyof typeof FAULTS];

/** The commands of one line: several may stand behind one another, with a semicolon between. */
export function commandsIn(line: string): Command[] {
  return line
    .split(';')
    .map((text) => text.trim())
    .filter((text) => text !== '')
    .map((text) => {
      const [, header = '', asks = '', rest = ''] = /^([^\s?]+)(\?)?\s*(.*)$/u.exec(text) ?? [];
      return { header: header.toLowerCase().replace(/^:/u, ''), asks: asks === '?', rest: rest.trim() };
    });
}

/**
 * Whether a header is the one that is meant, in its long or its short form (the capital letters).
 *
 * @example isHeader('MEASure:VOLTage:DC', 'meas:volt:dc') // true
 */
export function isHeader(meant: string, given: string): boolean {
  const [wanted, said] = [meant.split(':'), given.split(':')];
  return (
    wanted.length === said.length &&
    wanted.every((word, i) => {
      const short = word.replace(/[a-z]/gu, '').toLowerCase();
      return said[i] === word.toLowerCase() || said[i] === short;
    })
  );
}

/** What an overloaded range answers. */
export const OVERLOAD = 9.9e37;

/**
 * A figure with every digit that the display shows, as instruments send it.
 *
 * @param step the last digit shown; 0 for a figure that was counted
 * @example figureText(0.00885, 1e-5, -3) // '+8.85E-03'
 */
export function figureText(value: number, step: number, power = 0): string {
  const scale = 10 ** power;
  const decimals = step === 0 ? 4 : Math.max(0, Math.round(-Math.log10(step / scale)));
  const digits = Math.abs(value / scale).toFixed(decimals);
  const sign = value < 0 && Number(digits) !== 0 ? '-' : '+';
  const exponent = `${power < 0 ? '-' : '+'}${String(Math.abs(power)).padStart(2, '0')}`;
  return `${sign}${digits}E${exponent}`;
}

/** The same read: its value, and the last digit that was sent. Undefined where it is no figure. */
export function readFigure(text: string): { readonly value: number; readonly step: number } | undefined {
  const found = /^\s*[+-]?\d*(?:\.(\d*))?(?:E([+-]?\d+))?\s*$/iu.exec(text);
  const value = Number(text);
  if (!found || text.trim() === '' || !Number.isFinite(value)) return undefined;
  return { value, step: 10 ** (Number(found[2] ?? 0) - (found[1] ?? '').length) };
}
