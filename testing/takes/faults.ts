import { noise, random } from './random';
import { RATE } from './voice';

/** How hard a fault is: `clear` anybody hears, `mild` a careful ear, `faint` hardly anybody. */
export const STRENGTHS = ['clear', 'mild', 'faint'] as const;
export type Strength = (typeof STRENGTHS)[number];

type Sides = readonly Float32Array[];
type Three = readonly [number, number, number];

/** A fault: what a practitioner would call it, and how it is put on a clean voice. `finds`: the codes, one of which tells it. */
export interface Fault {
  readonly name: string;
  readonly finds: readonly string[];
  readonly put: (voice: Float32Array, strength: number, seed: number) => Sides;
}

const db = (value: number): number => 10 ** (value / 20);
const pick = (strength: number, [clear, mild, faint]: Three): number =>
  [clear, mild, faint][strength] ?? clear;

/** Room and preamplifier: white and a slow rumble, `level` dBFS together. */
export function withNoise(voice: Float32Array, level: number, seed: number): Float32Array {
  const hiss = noise(voice.length, random(seed));
  const pink = noise(voice.length, random(seed + 1));
  let slow = 0;
  return voice.map((v, i) => {
    slow += 0.02 * ((pink[i] as number) - slow);
    return v + db(level) * (0.7 * (hiss[i] as number) + 7 * slow);
  });
}

const tones = (
  voice: Float32Array,
  parts: readonly (readonly [hertz: number, level: number])[],
): Float32Array =>
  voice.map(
    (v, i) =>
      v +
      parts.reduce(
        (sum, [hertz, level]) => sum + Math.SQRT2 * db(level) * Math.sin((2 * Math.PI * hertz * i) / RATE),
        0,
      ),
  );

const clipAt = (voice: Float32Array, gain: number, ceiling: number): Float32Array =>
  voice.map((v) => Math.max(-ceiling, Math.min(ceiling, v * gain)));

/** Peak of a voice, so that a drive is over its own loudest. */
const peakOf = (voice: Float32Array): number => voice.reduce((most, v) => Math.max(most, Math.abs(v)), 0);

/** Second-order Butterworth by the cookbook, run twice. */
function filtered(x: Float32Array, kind: 'low' | 'high', hertz: number): Float32Array {
  const w = (2 * Math.PI * hertz) / RATE;
  const alpha = Math.sin(w) / Math.SQRT2;
  const c = Math.cos(w);
  const b = kind === 'low' ? [(1 - c) / 2, 1 - c, (1 - c) / 2] : [(1 + c) / 2, -1 - c, (1 + c) / 2];
  const once = (from: Float32Array) => {
    const out = new Float32Array(from.length);
    let [x1, x2, y1, y2] = [0, 0, 0, 0];
    for (let i = 0; i < from.length; i += 1) {
      const v = from[i] as number;
      const y =
        ((b[0] ?? 0) * v + (b[1] ?? 0) * x1 + (b[2] ?? 0) * x2 + 2 * c * y1 - (1 - alpha) * y2) / (1 + alpha);
      [x2, x1, y2, y1] = [x1, v, y1, y];
      out[i] = y;
    }
    return out;
  };
  return once(once(once(x)));
}

const places = (length: number, many: number, seed: number): number[] => {
  const next = random(seed + 77);
  return Array.from({ length: many }, () => Math.floor((0.1 + 0.8 * next()) * length));
};

/** Where the voice is loud: a hole in a pause is none. */
const loudPlaces = (voice: Float32Array, many: number, seed: number): number[] =>
  places(voice.length, many * 60, seed)
    .filter((at) => voice.subarray(at - 480, at + 4000).reduce((s, v) => s + v * v, 0) / 4480 > 0.004)
    .slice(0, many);

/** A voice that stops for some seconds at its quietest place, as people do. */
export function withPause(voice: Float32Array, seconds = 3): Float32Array {
  const size = RATE / 4;
  const places = Array.from({ length: Math.floor(voice.length / size) - 8 }, (_, n) => (n + 4) * size);
  const power = (at: number) => voice.subarray(at, at + size).reduce((sum, v) => sum + v * v, 0);
  const at = places.reduce((best, one) => (power(one) < power(best) ? one : best), places[0] ?? 0);
  const out = new Float32Array(voice.length + seconds * RATE);
  out.set(voice.subarray(0, at + size / 2));
  out.set(voice.subarray(at + size / 2), at + size / 2 + seconds * RATE);
  return out;
}

/** A gain that goes down at once where it is loud, and up again by 20 dB a second after three tenths in which it is not; `most` dB of it. */
function automatic(x: Float32Array, most: number): Float32Array {
  const out = new Float32Array(x.length);
  let [level, gain, held] = [0, 1, 0];
  const rise = db(20 / RATE);
  for (let i = 0; i < x.length; i += 1) {
    const v = x[i] as number;
    level = Math.max(Math.abs(v), level * 0.9997);
    if (level > 0.05) {
      gain += (1 - gain) * 0.002;
      held = 0.3 * RATE;
    } else if (held > 0) held -= 1;
    else gain = Math.min(db(most), gain * rise);
    out[i] = v * gain;
  }
  return out;
}

/** Nothing over half of a rate, as its converter leaves it: a windowed sinc of 401 taps. */
function atRate(x: Float32Array, rate: number): Float32Array {
  const [half, cut] = [200, (0.47 * rate) / RATE];
  const taps = Float64Array.from({ length: 2 * half + 1 }, (_, n) => {
    const t = n - half;
    const window = 0.54 + 0.46 * Math.cos((Math.PI * t) / half);
    return window * (t === 0 ? 2 * cut : Math.sin(2 * Math.PI * cut * t) / (Math.PI * t));
  });
  return x.map((_, i) => {
    let sum = 0;
    for (let n = 0; n < taps.length; n += 1) sum += (taps[n] as number) * (x[i + n - half] ?? 0);
    return sum;
  });
}

const CLEAN = -66;
const noisy = (voice: Float32Array, seed: number) => withNoise(voice, CLEAN, seed);

export const FAULTS: readonly Fault[] = [
  {
    name: 'hum 50 Hz',
    finds: ['take-hums'],
    put: (v, s, seed) => [
      tones(noisy(v, seed), [
        [50, pick(s, [-44, -60, -74])],
        [100, pick(s, [-50, -64, -78])],
        [150, pick(s, [-48, -66, -80])],
      ]),
    ],
  },
  {
    name: 'buzz 60 Hz',
    finds: ['take-hums'],
    put: (v, s, seed) => [
      tones(
        noisy(v, seed),
        Array.from({ length: 14 }, (_, k) => [60 * (k + 1), pick(s, [-52, -66, -82])] as const),
      ),
    ],
  },
  {
    name: 'whine',
    finds: ['take-whines'],
    put: (v, s, seed) => [
      tones(noisy(v, seed), [[[5200, 8000, 11_025][seed % 3] ?? 8000, pick(s, [-52, -66, -82])]]),
    ],
  },
  {
    name: 'clips at full scale',
    finds: ['take-clips'],
    put: (v, s, seed) => [clipAt(noisy(v, seed), db(pick(s, [12, 5, 1.5])) / peakOf(v), 1)],
  },
  {
    name: 'clips before the app',
    finds: ['take-clips'],
    put: (v, s, seed) => [
      withNoise(
        clipAt(v, db(pick(s, [12, 5, 1.5])) / peakOf(v), 1).map((x) => x * db(-9)),
        -70,
        seed,
      ),
    ],
  },
  {
    name: 'left only',
    finds: ['take-one-side'],
    put: (v, s, seed) => [
      noisy(v, seed),
      noisy(
        v.map((x) => x * pick(s, [0, db(-40), db(-22)])),
        seed + 9,
      ),
    ],
  },
  {
    name: 'right only',
    finds: ['take-one-side'],
    put: (v, s, seed) => [
      noisy(
        v.map((x) => x * pick(s, [0, db(-40), db(-22)])),
        seed + 9,
      ),
      noisy(v, seed),
    ],
  },
  {
    name: 'one side turned over',
    finds: ['take-inverted'],
    put: (v, s, seed) => [
      noisy(v, seed),
      noisy(
        v.map((x) => -x * pick(s, [1, 0.7, 0.4])),
        seed + 9,
      ),
    ],
  },
  {
    name: 'echo',
    finds: ['take-echoes'],
    put: (v, s, seed) => {
      const [delay, gain] = [Math.round(RATE * (0.06 + 0.34 * random(seed)())), db(pick(s, [-9, -16, -23]))];
      const back = filtered(filtered(v, 'low', 3400), 'high', 300);
      return [
        noisy(
          v.map((x, i) => x + gain * (back[i - delay] ?? 0)),
          seed,
        ),
      ];
    },
  },
  {
    name: 'drops out',
    finds: ['take-drops'],
    put: (v, s, seed) => {
      const out = noisy(v, seed);
      const length = Math.round(pick(s, [0.06, 0.02, 0.006]) * RATE);
      for (const at of loudPlaces(v, 3, seed)) out.fill(0, at, at + length);
      return [out];
    },
  },
  {
    name: 'clicks',
    finds: ['take-clicks'],
    put: (v, s, seed) => {
      const out = noisy(v, seed);
      for (const at of places(v.length, 6, seed)) out[at] = (out[at] as number) + pick(s, [0.6, 0.3, 0.1]);
      return [out];
    },
  },
  {
    name: 'thumps',
    finds: ['take-thumps'],
    put: (v, s, seed) => {
      const out = noisy(v, seed);
      for (const at of places(v.length, 4, seed))
        for (let i = 0; i < 9600 && at + i < out.length; i += 1)
          out[at + i] =
            (out[at + i] as number) +
            pick(s, [0.4, 0.15, 0.05]) * Math.exp(-i / 3000) * Math.sin((2 * Math.PI * 22 * i) / RATE);
      return [out];
    },
  },
  {
    name: 'noise',
    finds: ['take-noisy'],
    put: (v, s, seed) => [withNoise(v, pick(s, [-34, -42, -47]), seed)],
  },
  {
    name: 'too quiet',
    finds: ['take-quiet', 'take-silent'],
    put: (v, s, seed) => [
      withNoise(
        v.map((x) => x * db(pick(s, [-40, -30, -24]))),
        -90,
        seed,
      ),
    ],
  },
  {
    name: 'a telephone’s band',
    finds: ['take-narrow'],
    put: (v, s, seed) => [noisy(filtered(v, 'low', pick(s, [3300, 4500, 6500])), seed)],
  },
  {
    name: 'offset',
    finds: ['take-offset'],
    put: (v, s, seed) => [noisy(v, seed).map((x) => x + pick(s, [0.05, 0.02, 0.011]))],
  },
  {
    name: 'automatic gain',
    finds: ['take-pumps'],
    put: (v, s, seed) => [automatic(withNoise(withPause(v), -60, seed), pick(s, [20, 10, 4]))],
  },
  {
    name: 'a gain that moves half way',
    finds: ['take-gain-moves'],
    put: (v, s, seed) => {
      // Said twice: a change can only be seen where there is speech on both sides of it.
      const twice = new Float32Array(2 * v.length);
      twice.set(v);
      twice.set(v, v.length);
      return [noisy(twice, seed).map((x, i) => (i < v.length ? x : x * db(-pick(s, [14, 9, 7]))))];
    },
  },
  {
    name: 'rumble',
    finds: ['take-rumbles'],
    put: (v, s, seed) => {
      const slow = filtered(noise(v.length, random(seed + 3)), 'low', 35);
      const size = Math.sqrt(slow.reduce((sum, x) => sum + x * x, 0) / slow.length);
      return [noisy(v, seed).map((x, i) => x + (db(pick(s, [-24, -30, -40])) / size) * (slow[i] as number))];
    },
  },
  {
    name: 'taken at a lower rate',
    finds: ['take-low-rate'],
    put: (v, s, seed) => [atRate(noisy(v, seed), pick(s, [16_000, 22_050, 24_000]))],
  },
  {
    name: 'sides apart',
    finds: ['take-sides-apart'],
    put: (v, s, seed) => {
      const delay = Math.round((RATE * pick(s, [15, 5, 1.5])) / 1000);
      return [
        noisy(v, seed),
        noisy(
          v.map((_, i) => v[i - delay] ?? 0),
          seed + 9,
        ),
      ];
    },
  },
];

/** What must raise no alarm: the voice as it is, on one side, both, or as two microphones hear it; quiet rooms and loud ones; short and long pauses. */
export function cleanTake(voice: Float32Array, n: number): Sides {
  const level = -72 + (n % 4) * 4;
  const spoken = n % 5 === 0 ? withPause(voice) : voice;
  const one = withNoise(
    spoken.map((v) => v * db(-((n % 3) * 4))),
    level,
    n * 31,
  );
  if (n % 3 === 0) return [one];
  if (n % 3 === 1) return [one, one.slice()];
  // Two voices of one talk, each with a side of its own, heard a little on the other.
  const other = spoken.toReversed();
  return [
    one,
    withNoise(
      spoken.map((v, i) => 0.4 * v + 0.7 * (other[i] as number)),
      level,
      n * 31 + 5,
    ),
  ];
}
