import { fft, ifft } from 'fourier-transform';
import { hann } from './power-spectrum';

/** How much later the right side has what the left has, ms, where one clear delay is found. */
export interface SideDelay {
  readonly delayMs: number;
}

/** Farthest that two microphones, or a digital pack and a lead, lie apart, ms. */
const MOST_MS = 40;
/** Height of the peak over the spread of the whole. Our own. */
const CLEAR = 10;

/** The delay between two sides by the whitened cross-correlation of frames that sound (generalised cross-correlation, phase transform). */
export function sideDelay(sampleRate: number, size: number) {
  const window = hann(size);
  const [re, im] = [new Float64Array(size / 2 + 1), new Float64Array(size / 2 + 1)];
  const x = new Float64Array(size);
  const bins = (): [Float64Array, Float64Array] => [
    new Float64Array(size / 2 + 1),
    new Float64Array(size / 2 + 1),
  ];
  const [one, other] = [bins(), bins()];
  let count = 0;
  const transform = (samples: Float32Array, out: [Float64Array, Float64Array]) => {
    for (let k = 0; k < size; k += 1) x[k] = (samples[k] as number) * (window[k] as number);
    return fft(x, out);
  };
  return {
    push(left: Float32Array, right: Float32Array) {
      const [a, b] = transform(left, one);
      const [c, d] = transform(right, other);
      for (let k = 0; k < re.length; k += 1) {
        // left* times right
        const p = (a[k] as number) * (c[k] as number) + (b[k] as number) * (d[k] as number);
        const q = (a[k] as number) * (d[k] as number) - (b[k] as number) * (c[k] as number);
        const length = Math.sqrt(p * p + q * q) || 1;
        re[k] = (re[k] as number) + p / length;
        im[k] = (im[k] as number) + q / length;
      }
      count += 1;
    },
    finish(): SideDelay | null {
      if (count === 0) return null;
      const wave = ifft(re, im);
      const most = Math.min(size / 2 - 1, Math.round((MOST_MS / 1000) * sampleRate));
      let [best, height, squares] = [0, 0, 0];
      for (let lag = -most; lag <= most; lag += 1) {
        const v = Math.abs(wave[(lag + size) % size] as number);
        squares += v * v;
        if (v > height) [best, height] = [lag, v];
      }
      const spread = Math.sqrt(squares / (2 * most + 1));
      return height > CLEAR * spread ? { delayMs: (best / sampleRate) * 1000 } : null;
    },
  };
}
