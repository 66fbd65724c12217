/** Points between which a curve is looked at first. */
const COARSE = 10;
/** What leaving out a bend may change of the whole sum: 0.2 %, under 0.01 dB of power. */
const CHANGES_AT_MOST = 0.002;

/**
 * A positive curve at as many points as there are `weights`, computed where its weighted sum needs it and interpolated,
 * on a logarithmic scale, where it runs straight or counts for little: circuits of the trade are flat over most of the band.
 */
export function sampleSmooth(weights: readonly number[], at: (index: number) => number): number[] {
  const count = weights.length;
  const curve = new Array<number>(count).fill(0);
  const take = (index: number): number => (curve[index] = at(index));
  const between = (from: number, to: number, index: number): number => {
    const [a, b] = [Math.log(curve[from] ?? 0), Math.log(curve[to] ?? 0)];
    return Math.exp(a + ((b - a) * (index - from)) / (to - from));
  };
  const fill = (from: number, to: number) => {
    for (let i = from + 1; i < to; i += 1) curve[i] = between(from, to, i);
  };
  const weightOf = (from: number, to: number) =>
    weights.slice(from, to + 1).reduce((sum, weight) => sum + weight, 0);
  const knots: number[] = [];
  for (let index = 0; index < count - 1; index += COARSE) knots.push(index);
  knots.push(count - 1);
  knots.forEach(take);
  const spans = knots.slice(1).map((to, index) => [knots[index] ?? 0, to] as const);
  for (const [from, to] of spans) fill(from, to);
  const total = curve.reduce((sum, value, index) => sum + value * (weights[index] ?? 0), 0);
  const refine = (from: number, to: number) => {
    if (to - from < 2) return;
    const middle = Math.floor((from + to) / 2);
    const expected = between(from, to, middle);
    const bend = Math.abs(take(middle) - expected) * weightOf(from, to);
    if (bend <= CHANGES_AT_MOST * total) {
      fill(from, middle);
      fill(middle, to);
      return;
    }
    refine(from, middle);
    refine(middle, to);
  };
  for (const [from, to] of spans) refine(from, to);
  return curve;
}
