/**
 * Gives every `factor`th sample of a smoothed run: three means of `factor` samples in a row, which is a filter of 3 · factor − 2 taps. It takes
 * off 51 dB of what would fold onto a fourth of the new half band; `droopAt` says what it takes off there itself.
 */
export function decimator(factor: number): (samples: Float32Array) => Float32Array {
  if (factor <= 1) return (samples) => samples;
  const taps = smoothing(factor);
  const length = taps.length | 0;
  let kept = new Float32Array(length - 1);
  return (samples) => {
    const all = new Float32Array(kept.length + samples.length);
    all.set(kept);
    all.set(samples, kept.length);
    const count = (((all.length - length) / factor) | 0) + 1;
    const out = new Float32Array(count);
    for (let t = 0; t < length; t += 1) addTap(out, all, t, factor, taps[t] as number);
    kept = all.slice(count * factor);
    return out;
  };
}

/** A tap after the other over all outputs: long loops without a turn in them are the fast ones. */
function addTap(out: Float32Array, x: Float32Array, first: number, factor: number, tap: number): void {
  for (let k = 0, i = first; k < out.length; k += 1, i = (i + factor) | 0)
    out[k] = (out[k] as number) + tap * (x[i] as number);
}

function smoothing(factor: number): Float64Array {
  const box = new Float64Array(factor).fill(1 / factor);
  return convolved(convolved(box, box), box);
}

function convolved(a: Float64Array, b: Float64Array): Float64Array {
  const out = new Float64Array(a.length + b.length - 1);
  a.forEach((x, i) => {
    b.forEach((y, j) => {
      out[i + j] = (out[i + j] as number) + x * y;
    });
  });
  return out;
}

/** Gain of such a filter for a tone, `cycles` a sample of the faster run. */
export function droopAt(factor: number, cycles: number): number {
  if (factor <= 1 || cycles === 0) return 1;
  return Math.abs(Math.sin(Math.PI * cycles * factor) / (factor * Math.sin(Math.PI * cycles))) ** 3;
}
