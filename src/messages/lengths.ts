/** A length in millimetres, said in metres from one metre on. */
export function lengthWords(millimetres: number): string {
  return millimetres < 1000
    ? `${Math.round(millimetres)}\u202fmm`
    : `${(millimetres / 1000).toFixed(1)}\u202fm`;
}
