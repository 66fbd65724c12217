import { fft, ifft } from 'fourier-transform';
import { energyOf, framer } from './frames';
import { hann } from './power-spectrum';

/** One clear repetition. `levelDb`: how far under the sound itself. */
export interface Echo {
  readonly delayMs: number;
  readonly levelDb: number;
}

/** Earlier is the voice’s own pitch, later is another word, ms. */
const [EARLIEST, LATEST] = [30, 1000];
/** Where a call carries speech, Hz. */
const [LOW, HIGH] = [300, 3400];
/** A peak of the cepstrum over its own spread, and the weakest echo that is told, dB. Our own. */
const [CLEAR, WEAKEST] = [7, -26];
/** Nearer than this a voice that holds its pitch, clipped, looks like a weak echo: only a stronger one is told. Our own. */
const [NEAR_MS, WEAKEST_NEAR] = [60, -20];
/** A room has many such peaks close by; one repetition has one. Our own. */
const [ROOM_WITHIN_MS, ROOM_SHARE] = [12, 0.6];
/** Longest and shortest frame, seconds. */
const [LONGEST, SHORTEST] = [8, 1];
const SMOOTHED_HZ = 70;
/** All of so many frames are looked at, then every sixth: an echo that is there is there throughout. */
const [ALL_OF, THEN_EACH] = [8, 6];

/** ln |X|² with its slow course taken off, in the band; nothing elsewhere. */
function ripple(re: Float64Array, im: Float64Array, step: number): Float64Array {
  const out = new Float64Array(re.length);
  const [from, to] = [Math.ceil(LOW / step), Math.min(re.length, Math.floor(HIGH / step))];
  const reach = Math.max(2, Math.round(SMOOTHED_HZ / 2 / step));
  const logs = new Float64Array(re.length);
  for (let k = from; k < to; k += 1) {
    const [x, y] = [re[k] as number, im[k] as number];
    logs[k] = Math.log(x * x + y * y + 1e-20);
  }
  let sum = 0;
  let a = from;
  let b = from;
  for (let k = from; k < to; k += 1) {
    for (; b < Math.min(to, k + reach + 1); b += 1) sum += logs[b] as number;
    for (; a < k - reach; a += 1) sum -= logs[a] as number;
    // A single line or a hole says nothing of an echo: it is bounded.
    out[k] = Math.max(-2.5, Math.min(2.5, (logs[k] as number) - sum / (b - a)));
  }
  return out;
}

/** The height of the cepstrum at each delay, an echo of gain g standing at about g. */
function cepstrumOf(frame: Float32Array, window: Float64Array, rate: number): Float64Array {
  const size = frame.length;
  const x = new Float64Array(size);
  for (let i = 0; i < size; i += 1) x[i] = (frame[i] as number) * (window[i] as number);
  const [re, im] = fft(x);
  const flat = ripple(re, im, rate / size);
  const bins = Math.floor(HIGH / (rate / size)) - Math.ceil(LOW / (rate / size));
  const wave = ifft(flat, new Float64Array(flat.length));
  for (let i = 0; i < size; i += 1) wave[i] = ((wave[i] as number) * size) / (2 * bins);
  return wave;
}

interface Sum {
  readonly cepstrum: Float64Array;
  count: number;
}

function readEcho({ cepstrum, count }: Sum, rate: number): Echo | null {
  const [from, to] = [
    Math.round((EARLIEST / 1000) * rate),
    Math.min(cepstrum.length >> 1, Math.round((LATEST / 1000) * rate)),
  ];
  const span = cepstrum.subarray(from, to);
  if (count === 0 || span.length < 100) return null;
  const at = span.reduce((best, v, i) => (v > (span[best] as number) ? i : best), 0);
  const sorted = span.toSorted();
  // The spread by quartiles: an echo itself, and its multiples, do not widen it.
  const spread =
    ((sorted[Math.floor(0.75 * span.length)] as number) -
      (sorted[Math.floor(0.25 * span.length)] as number)) /
    1.349;
  const height = span[at] as number;
  const room = (ROOM_WITHIN_MS / 1000) * rate;
  const close = span.filter(
    (v, i) => Math.abs(i - at) <= room && Math.abs(i - at) > rate / LOW && v > height * ROOM_SHARE,
  );
  if (height < CLEAR * spread || close.length > 0) return null;
  // The band’s ends widen the peak: its neighbours belong to it. ln(1 + g² + 2g cos) stands at g for g < 1.
  const gain = Math.min(0.99, height / count);
  const levelDb = 20 * Math.log10(gain);
  const delayMs = ((from + at) / rate) * 1000;
  return levelDb >= (delayMs < NEAR_MS ? WEAKEST_NEAR : WEAKEST) ? { delayMs, levelDb } : null;
}

/** Looks for one repetition, by the mean cepstrum of the louder channel’s frames. `rate`: hertz, at least 7 kHz. */
export function echoFinder(rate: number, seconds: number | undefined, channels: number) {
  const most = Math.min(LONGEST, seconds ?? LONGEST);
  const size = 2 ** Math.floor(Math.log2(Math.max(SHORTEST, most) * rate));
  const window = hann(size);
  const sum: Sum = { cepstrum: new Float64Array(size), count: 0 };
  const waiting: Float32Array[][] = Array.from({ length: channels }, () => []);
  const framers = waiting.map((frames) => framer(size, size, (frame) => frames.push(frame.slice())));
  let seen = 0;
  const use = () => {
    while (waiting.every((frames) => frames.length > 0)) {
      const heads = waiting.map((frames) => frames.shift() as Float32Array);
      seen += 1;
      if (seen > ALL_OF && seen % THEN_EACH !== 0) continue;
      const [loudest] = heads
        .map((frame) => ({ frame, energy: energyOf(frame) }))
        .sort((a, b) => b.energy - a.energy);
      if (!loudest || loudest.energy / size < 1e-8) continue;
      const wave = cepstrumOf(loudest.frame, window, rate);
      for (let i = 0; i < wave.length; i += 1)
        sum.cepstrum[i] = (sum.cepstrum[i] as number) + (wave[i] as number);
      sum.count += 1;
    }
  };
  return {
    push(samples: Float32Array, channel: number) {
      framers[channel]?.(samples);
      if (channel === channels - 1) use();
    },
    finish: (): Echo | null => readEcho(sum, rate),
  };
}
