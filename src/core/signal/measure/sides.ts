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
  let count = 0;
  const transform = (x: Float32Array) => {
    const [r, i] = fft(Float64Array.from(x, (v, k) => v * (window[k] as number)));
    return [r.slice(), i.slice()] as const;
  };
  return {
    push(left: Float32Array, right: Float32Array) {
      const [[a, b], [c, d]] = [transform(left), transform(right)];
      for (let k = 0; k < re.length; k += 1) {
        // left* times right
        const x = (a[k] as number) * (c[k] as number) + (b[k] as number) * (d[k] as number);
        const y = (a[k] as number) * (d[k] as number) - (b[k] as number) * (c[k] as number);
        const size = Math.hypot(x, y) || 1;
        re[k] = (re[k] as number) + x / size;
        im[k] = (im[k] as number) + y / size;
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
      return height > CLEAR * spread || (height > 0 && spread < height / CLEAR)
        ? { delayMs: (best / sampleRate) * 1000 }
        : null;
    },
  };
}
