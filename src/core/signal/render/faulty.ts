import { standIn, type Simulated, type StandIn } from './stand-in';

/** A voice through a good chain: peaks near −8 dBFS, noise 46 dB under it. */
const GOOD: StandIn = {
  image: 'dual-mono',
  active: -20,
  noise: -66,
  hum: -Infinity,
  hertz: 50,
  ceiling: null,
  over: -Infinity,
  echo: null,
};

type After = (sides: readonly Float32Array[], rate: number) => Float32Array[];

/** A fault as a take has it. */
interface Faulty {
  readonly name: string;
  readonly plan?: Partial<StandIn>;
  readonly after?: After;
}

/** A hole of so many ms this far from the last at the least, seconds; a click every so many. */
const [HOLES_APART, HOLE_MS, CLICKS_APART] = [0.4, 40, 1.3];
/** Holes that stood evenly apart would look like an echo: each lies by another part of this later. */
const [UNEVEN, GOLDEN] = [0.5, 0.618034];
/** A hole is made where it is heard: RMS around it. */
const HEARD = 0.06;

const each = (change: (samples: Float32Array, rate: number) => Float32Array): After => {
  return (sides, rate) => sides.map((samples) => change(samples, rate));
};

const holes = each((samples, rate) => {
  const out = samples.slice();
  const length = Math.round((HOLE_MS / 1000) * rate);
  const next = (n: number) => Math.round((HOLES_APART + UNEVEN * ((n * GOLDEN) % 1)) * rate);
  for (let [at, n] = [rate, 1]; at + 2 * length < out.length; at += next(n), n += 1) {
    const around = [at - length, at + length].map((from) => samples.subarray(from, from + length));
    const loud = around.every((part) => Math.sqrt(part.reduce((sum, v) => sum + v * v, 0) / length) > HEARD);
    if (loud) out.fill(0, at, at + length);
  }
  return out;
});

const clicks = each((samples, rate) => {
  const apart = Math.round(CLICKS_APART * rate);
  return samples.map((v, i) => (i % apart === apart >> 1 ? Math.max(-1, Math.min(1, v + 0.5)) : v));
});

/** A tone of a switching supply, steady. */
const whine = each((samples, rate) =>
  samples.map((v, i) => v + 0.004 * Math.sin((2 * Math.PI * 3150 * i) / rate)),
);

/** A second-order low-pass or high-pass of the audio cookbook, Butterworth; from memory. */
function filtered(x: Float32Array, kind: 'low' | 'high', hertz: number, rate: number): Float32Array {
  const w = (2 * Math.PI * hertz) / rate;
  const [alpha, c] = [Math.sin(w) / Math.SQRT2, Math.cos(w)];
  const edge = (kind === 'low' ? 1 - c : 1 + c) / 2 / (1 + alpha);
  const middle = kind === 'low' ? 2 * edge : -2 * edge;
  const [a1, a2] = [(-2 * c) / (1 + alpha), (1 - alpha) / (1 + alpha)];
  let s1 = 0;
  let s2 = 0;
  return x.map((v) => {
    const y = edge * v + s1;
    s1 = middle * v - a1 * y + s2;
    s2 = edge * v - a2 * y;
    return y;
  });
}

/** What a telephone passes on, Hz, with steep slopes. */
const TELEPHONE = [300, 3400] as const;
const STEEP = 4;

const telephone = each((samples, rate) => {
  let out = samples;
  for (let n = 0; n < STEEP; n += 1) {
    out = filtered(filtered(out, 'high', TELEPHONE[0], rate), 'low', TELEPHONE[1], rate);
  }
  return out;
});

/** A set of faults, each clear, for whoever wants to see how it looks and hear how it sounds. */
export const FAULTY: readonly Faulty[] = [
  { name: 'nothing wrong' },
  { name: 'mains hum', plan: { hum: -44 } },
  { name: 'charger whine', after: whine },
  { name: 'hiss', plan: { noise: -42 } },
  { name: 'clipped at full scale', plan: { ceiling: 0, over: 8 } },
  { name: 'clipped before the recorder', plan: { ceiling: -9, over: 8 } },
  { name: 'too quiet', plan: { active: -52, noise: -92 } },
  { name: 'left side only', plan: { image: 'left-only' } },
  { name: 'one side turned over', plan: { image: 'inverted' } },
  { name: 'echo of a call', plan: { echo: { delayMs: 180, levelDb: -10 } } },
  { name: 'holes', after: holes },
  { name: 'clicks', after: clicks },
  { name: 'a telephone’s band', after: telephone },
  { name: 'silence', plan: { image: 'silent' } },
];

/** The take with a fault of that name; the same seed gives the same take. Throws where there is none. */
export function faultyTake(name: string, seed = 1): Simulated {
  const fault = FAULTY.find((one) => one.name === name);
  if (!fault) throw new Error(`no take with the fault "${name}"`);
  const { sampleRate, sides } = standIn({ ...GOOD, ...fault.plan }, seed);
  return { sampleRate, sides: fault.after?.(sides, sampleRate) ?? sides };
}
