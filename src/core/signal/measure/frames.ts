/** Cuts a run of samples that comes in pieces into frames of one size, `hop` from one to the next. The frame is lent, not given. */
export function framer(
  size: number,
  hop: number,
  use: (frame: Float32Array) => void,
): (samples: Float32Array) => void {
  let kept = new Float32Array(0);
  return (samples) => {
    const all = new Float32Array(kept.length + samples.length);
    all.set(kept);
    all.set(samples, kept.length);
    let at = 0;
    for (; at + size <= all.length; at += hop) use(all.subarray(at, at + size));
    kept = all.slice(at);
  };
}

export const energyOf = (samples: Float32Array): number => {
  let sum = 0;
  for (let i = 0; i < samples.length; i += 1) sum += (samples[i] as number) ** 2;
  return sum;
};
