const written = new WeakMap<object, string>();

/** Levels of a question that are composed of the texts of what they hold: a circuit in a list, or under a name. */
const COMPOSED_LEVELS = 2;

/**
 * JSON of a question. What it holds is written down once, however many questions hold the same object: ten of a circuit
 * of thousands of parts would else block the page.
 *
 * @param value plain data that nobody changes in place
 */
export function jsonOf(value: unknown, levels = COMPOSED_LEVELS): string {
  if (typeof value !== 'object' || value === null) return JSON.stringify(value) ?? 'null';
  const known = written.get(value);
  if (known !== undefined) return known;
  const text = levels > 0 ? composed(value, levels - 1) : JSON.stringify(value);
  written.set(value, text);
  return text;
}

function composed(value: object, levels: number): string {
  if (Array.isArray(value)) return `[${value.map((item) => jsonOf(item, levels)).join(',')}]`;
  const fields = Object.entries(value).filter(([, field]) => field !== undefined);
  return `{${fields.map(([name, field]) => `${JSON.stringify(name)}:${jsonOf(field, levels)}`).join(',')}}`;
}
