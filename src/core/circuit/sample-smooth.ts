/** Points between which a curve is looked at first. */
const COARSE = 10;
/** How far the logarithm of a curve's middle may lie from a straight line and still count as on it: 0.02 dB of power. */
const STRAIGHT_WITHIN = 0.005;

/**
 * A positive curve at the points 0 … count − 1, computed where it bends and interpolated, on a logarithmic scale,
 * where it runs straight: circuits of the trade are flat over most of the band.
 */
export function sampleSmooth(count: number, at: (index: number) => number): number[] {
  const curve = new Array<number>(count).fill(0);
  const take = (index: number): number => (curve[index] = at(index));
  const fill = (from: number, to: number) => {
    const [a, b] = [Math.log(curve[from] ?? 0), Math.log(curve[to] ?? 0)];
    for (let i = from + 1; i < to; i += 1) curve[i] = Math.exp(a + ((b - a) * (i - from)) / (to - from));
  };
  const refine = (from: number, to: number) => {
    if (to - from < 2) return;
    const middle = Math.floor((from + to) / 2);
    const [a, b] = [Math.log(curve[from] ?? 0), Math.log(curve[to] ?? 0)];
    const line = a + ((b - a) * (middle - from)) / (to - from);
    const bend = Math.abs(Math.log(take(middle)) - line);
    if (bend <= STRAIGHT_WITHIN) {
      fill(from, middle);
      fill(middle, to);
      return;
    }
    refine(from, middle);
    refine(middle, to);
  };
  take(0);
  for (let from = 0; from < count - 1; from += COARSE) {
    const to = Math.min(from + COARSE, count - 1);
    take(to);
    refine(from, to);
  }
  return curve;
}
