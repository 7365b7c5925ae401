/** So much is kept of one sort: more lessons than any house has open in a week. */
const MOST = 500;

/** Keeps what a pure function came to, by what it hangs on; the longest unused goes first. */
export function keeper<Value>(most = MOST): (key: string, make: () => Value) => Value {
  const kept = new Map<string, Value>();
  return (key, make) => {
    const known = kept.get(key);
    const value = known ?? make();
    kept.delete(key);
    kept.set(key, value);
    if (kept.size > most) kept.delete(kept.keys().next().value!);
    return value;
  };
}
