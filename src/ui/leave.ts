/** Opens a place with the whole page anew: what was shown before belongs to somebody else. */
export function leaveTo(place: string): void {
  window.location.assign(place);
}
