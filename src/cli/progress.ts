/** Longer than this an answer says how far it is, in milliseconds. */
const PATIENCE = 2000;
/** Share of the work after which it says so again. */
const STEP = 0.1;

/**
 * Says on standard error how far a long answer is, in tenths; short ones say nothing.
 *
 * @returns to be told the share that is done, 0 to 1
 */
export function progressOf(
  what: string,
  write: (text: string) => void = (text) => process.stderr.write(text),
  now: () => number = () => performance.now(),
): (done: number) => void {
  const begun = now();
  let told = 0;
  return (done) => {
    if (now() - begun < PATIENCE || done < told + STEP) return;
    told = done;
    write(`${what}: ${Math.floor(100 * done)} %\n`);
  };
}
