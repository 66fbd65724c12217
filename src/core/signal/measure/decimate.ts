import { after } from './frames';

/**
 * Gives every `factor`th sample of a smoothed run: three means of `factor` samples in a row, which is a filter of 3 · factor − 2 taps. It takes
 * off 51 dB of what would fold onto a fourth of the new half band; `droopAt` says what it takes off there itself. The taps are a parabola over
 * each of three blocks of `factor` samples, so three sums of a block, each running over the one before, are all that is asked of its samples.
 */
export function decimator(factor: number): (samples: Float32Array) => Float32Array {
  if (factor <= 1) return (samples) => samples;
  const weights = parabolas(factor);
  const blocks = new Float64Array(6);
  let kept = new Float32Array(0);
  let warm = 2;
  return (samples) => {
    const all = after(kept, samples);
    const out = new Float32Array((all.length / factor) | 0);
    smooth(all, factor, weights, blocks, out);
    kept = all.slice(out.length * factor);
    // The first two blocks have none before them.
    const skipped = Math.min(warm, out.length);
    warm -= skipped;
    return out.subarray(skipped);
  };
}

/** What the three sums of the oldest block, of the middle one and of the newest count for. */
function parabolas(d: number): Float64Array {
  const oldest = [((d + 1) * (d + 2)) / 2, -(d + 2), 1];
  const newest = [1, -2, 1];
  // The three blocks' taps at one place add up to the same everywhere.
  const middle = [d * d - ((d + 1) * (d + 2)) / 2 - 1, d + 4, -2];
  return Float64Array.from([...oldest, ...middle, ...newest], (v) => v / d ** 3);
}

/** One output a block; `blocks`: the sums of the two before, the older first. */
function smooth(x: Float32Array, factor: number, w: Float64Array, blocks: Float64Array, out: Float32Array) {
  const at = (list: Float64Array, i: number) => list[i] as number;
  const [w0, w1, w2, w3, w4] = [at(w, 0), at(w, 1), at(w, 2), at(w, 3), at(w, 4)];
  const [w5, w6, w7, w8] = [at(w, 5), at(w, 6), at(w, 7), at(w, 8)];
  let p0 = at(blocks, 0);
  let p1 = at(blocks, 1);
  let p2 = at(blocks, 2);
  let q0 = at(blocks, 3);
  let q1 = at(blocks, 4);
  let q2 = at(blocks, 5);
  for (let k = 0, i = 0; k < out.length; k += 1) {
    let m0 = 0;
    let m1 = 0;
    let m2 = 0;
    for (const end = i + factor; i < end; i += 1) {
      m0 += x[i] as number;
      m1 += m0;
      m2 += m1;
    }
    out[k] = w0 * p0 + w1 * p1 + w2 * p2 + w3 * q0 + w4 * q1 + w5 * q2 + w6 * m0 + w7 * m1 + w8 * m2;
    p0 = q0;
    p1 = q1;
    p2 = q2;
    q0 = m0;
    q1 = m1;
    q2 = m2;
  }
  blocks.set([p0, p1, p2, q0, q1, q2]);
}

/** Gain of such a filter for a tone, `cycles` a sample of the faster run. */
export function droopAt(factor: number, cycles: number): number {
  if (factor <= 1 || cycles === 0) return 1;
  return Math.abs(Math.sin(Math.PI * cycles * factor) / (factor * Math.sin(Math.PI * cycles))) ** 3;
}
