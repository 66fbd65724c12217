/** Rounds of the power method; and when it has settled. */
const [ROUNDS, SETTLED] = [500, 1e-12];

/**
 * The most that a closed path can give, whatever its phases: the spectral radius of the gains from each point to each, all taken as positive (Perron and
 * Frobenius). At 1 or more a sound that goes round grows at some frequency; under 1 it dies away at each. `gains[to][from]`, linear.
 */
export function loopGain(gains: readonly (readonly number[])[]): number {
  const size = gains.length;
  if (size === 0) return 0;
  // Half of each state stays: paths that alternate settle, too.
  let state = new Array<number>(size).fill(1);
  let value = 0;
  for (let round = 0; round < ROUNDS; round += 1) {
    const next = gains.map(
      (row, i) => row.reduce((sum, g, j) => sum + Math.abs(g) * (state[j] ?? 0), 0) + (state[i] ?? 0),
    );
    const most = Math.max(...next);
    if (!Number.isFinite(most)) return Infinity;
    if (most === 0) return 0;
    state = next.map((v) => v / most);
    if (Math.abs(most - 1 - value) <= SETTLED * most) return most - 1;
    value = most - 1;
  }
  return Math.max(0, value);
}
