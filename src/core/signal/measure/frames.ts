/** Cuts a run of samples that comes in pieces into frames of one size, `hop` from one to the next. The frame is lent, not given. */
export function framer(
  size: number,
  hop: number,
  use: (frame: Float32Array) => void,
): (samples: Float32Array) => void {
  let kept = new Float32Array(0);
  return (samples) => {
    const all = after(kept, samples);
    let at = 0;
    for (; at + size <= all.length; at += hop) use(all.subarray(at, at + size));
    kept = all.slice(at);
  };
}

/** What was kept and what comes, as one run; not copied where nothing was kept. */
export function after(kept: Float32Array, samples: Float32Array): Float32Array {
  if (kept.length === 0) return samples;
  const all = new Float32Array(kept.length + samples.length);
  all.set(kept);
  all.set(samples, kept.length);
  return all;
}

/** Sum of squares; two sums side by side, which need not wait for one another. */
export function energyOf(x: Float32Array): number {
  let a = 0;
  let b = 0;
  for (let i = 1; i < x.length; i = (i + 2) | 0) {
    const p = x[i - 1] as number;
    const q = x[i] as number;
    a += p * p;
    b += q * q;
  }
  return x.length % 2 === 0 ? a + b : a + b + (x[x.length - 1] as number) ** 2;
}
