import indefinite from 'indefinite';
import pluralize from 'pluralize';

/** `3 lamps`, `1 lamp`. */
export function counted(count: number, noun: string): string {
  return pluralize(noun, count, true);
}

/** `a red lamp`, `an orange lamp`. */
export function article(words: string): string {
  return indefinite(words);
}

/** The first letter as a capital: for sentences that begin with a word, never with a hole or a part. */
export function capital(text: string): string {
  return text.charAt(0).toUpperCase() + text.slice(1);
}

const LIST = new Intl.ListFormat('en-GB');

/** `e3, e4 and e5`. */
export function listed(words: readonly string[]): string {
  return LIST.format(words);
}
