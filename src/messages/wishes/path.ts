/** A path to something inside of wishes: keys and indices with dots between. */
export type PathIn<T> = T extends readonly (infer Item)[]
  ? `${number}` | `${number}.${PathIn<Item>}`
  : T extends object
    ? { [K in keyof T & string]: K | `${K}.${PathIn<NonNullable<T[K]>>}` }[keyof T & string]
    : never;

/** What stands at a path; undefined where something before it is missing. */
export function valueAt(whole: unknown, path: string): unknown {
  return path
    .split('.')
    .reduce<unknown>((at, key) => (at as Readonly<Record<string, unknown>> | undefined)?.[key], whole);
}

/** The same with another value there; `undefined` takes the key away. */
export function withValueAt<T>(whole: T, path: string, value: unknown): T {
  const [key, ...rest] = path.split('.') as [string, ...string[]];
  const inner = (whole as Readonly<Record<string, unknown>>)[key];
  const next = rest.length > 0 ? withValueAt(inner, rest.join('.'), value) : value;
  if (Array.isArray(whole)) return whole.map((old: unknown, i) => (i === Number(key) ? next : old)) as T;
  const { [key]: _before, ...others } = whole as Record<string, unknown>;
  return (next === undefined ? others : { ...whole, [key]: next }) as T;
}
