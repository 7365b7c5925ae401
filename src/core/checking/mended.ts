/**
 * The readings of a bench that speak of the build as it is now. What was read before something was mended speaks of
 * another build, once anything has been read since.
 *
 * @param after number of the last reading before it was mended; 0 where nothing was. Numbers below 0 are on their way.
 */
export function sinceMended<R extends { readonly id: number }>(
  readings: readonly R[],
  after: number,
): readonly R[] {
  const since = readings.filter(({ id }) => id > after || id < 0);
  return since.length > 0 ? since : readings;
}
