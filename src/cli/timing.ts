const WARM_UP = 20;

/** A line of the benchmarks' table, milliseconds. */
export interface Row {
  readonly what: string;
  readonly parts: number;
  readonly median: number;
  readonly p95: number;
}

/** How long a piece of work takes, over so many runs, after others that make the engine warm. */
export function time(
  work: () => unknown,
  runs: number,
  warmUp = Math.min(WARM_UP, runs),
): { median: number; p95: number } {
  for (let i = 0; i < warmUp; i += 1) work();
  const taken = Array.from({ length: runs }, () => {
    const start = performance.now();
    work();
    return performance.now() - start;
  }).sort((a, b) => a - b);
  const at = (share: number) => taken[Math.min(runs - 1, Math.floor(share * runs))] ?? NaN;
  return { median: at(0.5), p95: at(0.95) };
}
