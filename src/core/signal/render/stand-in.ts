import type { StretchKind } from '../measure';

/** What a simulated take is made from. dBFS; RMS of a full-scale sine −3.01. */
export interface StandIn {
  readonly image: 'mono' | 'dual-mono' | 'stereo' | 'left-only' | 'right-only' | 'inverted' | 'silent';
  readonly active: number;
  readonly noise: number | null;
  readonly hum: number;
  readonly hertz: 50 | 60;
  readonly ceiling: number | null;
  /** How far over the ceiling peaks would go, dB. */
  readonly over: number;
  readonly echo: { readonly delayMs: number; readonly levelDb: number } | null;
}

const RATE = 48_000;
/** Seconds: silence, then speech with pauses, then silence. */
const [LEAD_IN, SPOKEN, LEAD_OUT] = [2, 10, 1.5];
/** Harmonics of the mains with their levels re all of them, dB: a usual earth loop. From memory. */
const HUM_LINES = [
  [1, -3],
  [2, -9],
  [3, -6],
  [5, -12],
] as const;
/** RMS to peak of the voice made here, dB: it is cut to it softly. */
const CREST = 12;

/** Numbers that are the same for the same seed (mulberry32, public domain). */
function random(seed: number): () => number {
  let state = seed >>> 0;
  return () => {
    state = (state + 0x6d2b79f5) >>> 0;
    let t = state;
    t = Math.imul(t ^ (t >>> 15), t | 1);
    t ^= t + Math.imul(t ^ (t >>> 7), t | 61);
    return ((t ^ (t >>> 14)) >>> 0) / 4_294_967_296;
  };
}

/** A resonance, two poles: a formant. */
function resonance(hertz: number, width: number) {
  const r = Math.exp((-Math.PI * width) / RATE);
  const c = 2 * r * Math.cos((2 * Math.PI * hertz) / RATE);
  let [y1, y2] = [0, 0];
  return (x: number): number => {
    const y = (1 - r) * x + c * y1 - r * r * y2;
    y2 = y1;
    y1 = y;
    return y;
  };
}

/** Something voice-like: syllables of a gliding buzz and hiss through three formants, pauses between the phrases; RMS of 1 where it is within 20 dB of its loudest tenth of a second. */
export function babble(seconds: number, seed: number): Float32Array {
  const next = random(seed);
  const out = new Float32Array(Math.round(seconds * RATE));
  let at = Math.round(0.05 * RATE);
  let syllables = 0;
  while (at < out.length) {
    const length = Math.round((0.12 + 0.2 * next()) * RATE);
    // A syllable that is cut off would be a click.
    if (at + length > out.length) break;
    const formants = [
      resonance(350 + 500 * next(), 90),
      resonance(900 + 1300 * next(), 130),
      resonance(2400 + 900 * next(), 220),
    ];
    const [pitch, glide, hiss] = [105 + 70 * next(), 0.75 + 0.5 * next(), next() < 0.25 ? 1 : 0.06];
    let phase = 0;
    for (let i = 0; i < length; i += 1) {
      phase += (pitch * (1 + (glide - 1) * (i / length))) / RATE;
      if (phase >= 1) phase -= 1;
      const glottis = (hiss < 1 ? 1 - 2 * phase : 0) + hiss * (next() - 0.5);
      const shape = Math.sin((Math.PI * i) / length) ** 0.5;
      // Breath and consonants have no formants to speak of: they reach far up.
      out[at + i] =
        shape * (formants.reduce((sum, f, n) => sum + f(glottis) / (n + 1), 0) + 0.2 * hiss * (next() - 0.5));
    }
    syllables += 1;
    at += length + Math.round((syllables % 7 === 0 ? 0.5 + 0.3 * next() : 0.02 + 0.06 * next()) * RATE);
  }
  const most = 10 ** (CREST / 20);
  const loud = Math.sqrt(loudPower(out));
  const bounded = out.map((v) => most * Math.tanh(v / loud / most));
  const left = Math.sqrt(loudPower(bounded));
  return bounded.map((v) => v / left);
}

function loudPower(x: Float32Array): number {
  const size = RATE / 10;
  const powers = Array.from(
    { length: Math.floor(x.length / size) },
    (_, w) => x.subarray(w * size, (w + 1) * size).reduce((sum, v) => sum + v * v, 0) / size,
  );
  const loud = powers.filter((p) => p >= Math.max(...powers) / 100);
  return loud.reduce((sum, p) => sum + p, 0) / loud.length;
}

const gain = (db: number): number => 10 ** (db / 20);

/** Hiss of an RMS of 1. */
const hissOf = (length: number, next: () => number): Float32Array =>
  Float32Array.from({ length }, () => (next() + next() + next() + next() - 2) * Math.sqrt(3));

/** A voice of RMS 1 as the rig brings it: at its level, with its echo, cut off where a stage clips. */
function brought(plan: StandIn, voice: Float32Array): Float32Array {
  const level = plan.image === 'silent' ? 0 : gain(Math.min(20, plan.active));
  const out = voice.map((v) => v * level);
  if (plan.echo) {
    const [delay, back] = [Math.round((plan.echo.delayMs / 1000) * RATE), gain(plan.echo.levelDb)];
    for (let i = out.length - 1; i >= delay; i -= 1)
      out[i] = (out[i] as number) + back * (out[i - delay] as number);
  }
  if (plan.ceiling === null) return out;
  // What is over by so much at its peaks is cut there.
  const most = gain(plan.ceiling);
  const peak = out.reduce((top, v) => Math.max(top, Math.abs(v)), 0);
  const drive = peak > 0 ? (most * gain(Math.max(0.5, Math.min(30, plan.over)))) / peak : 1;
  return out.map((v) => Math.max(-most, Math.min(most, v * drive)));
}

/** How the second side stands to the first. */
const SECOND: Readonly<Record<StandIn['image'], number | null>> = {
  mono: null,
  'dual-mono': 1,
  stereo: 1,
  'left-only': 0,
  'right-only': 0,
  inverted: -1,
  silent: 1,
};

/** Both voices of a take through the rig: its sides, its noise, its hum. `hums`: whether it does at a sample. */
function delivered(
  plan: StandIn,
  seed: number,
  [one, two]: readonly [Float32Array, Float32Array],
  hums: (sample: number) => boolean,
): Float32Array[] {
  const voice = brought(plan, one);
  const second = SECOND[plan.image];
  const other =
    plan.image === 'stereo' ? brought({ ...plan, echo: null }, two) : voice.map((v) => v * (second ?? 0));
  const voices = second === null ? [voice] : plan.image === 'right-only' ? [other, voice] : [voice, other];
  return voices.map((side, n) => {
    const hiss = hissOf(side.length, random(seed * 97 + n));
    const noise = gain(Math.max(-96, plan.noise ?? -96));
    return side.map((v, i) => {
      const hum =
        plan.hum > -120 && hums(i)
          ? HUM_LINES.reduce(
              (sum, [line, db]) =>
                sum +
                Math.SQRT2 * gain(plan.hum + db) * Math.sin((2 * Math.PI * plan.hertz * line * i) / RATE),
              0,
            )
          : 0;
      return Math.max(-1, Math.min(1, v + noise * (hiss[i] as number) + hum));
    });
  });
}

/** Something voice-like after a silence and before another. */
function inSilence(seed: number): Float32Array {
  const out = new Float32Array(Math.round((LEAD_IN + SPOKEN + LEAD_OUT) * RATE));
  out.set(babble(SPOKEN, seed), LEAD_IN * RATE);
  return out;
}

export interface Simulated {
  readonly sampleRate: number;
  readonly sides: Float32Array[];
}

/**
 * A stand-in for a test take: what a rig would deliver, made from the engine’s figures and something voice-like; 48 kHz, full scale ±1.
 * The same seed gives the same take.
 */
export function standIn(plan: StandIn, seed = 1): Simulated {
  const voices = [inSilence(seed), inSilence(seed + 50)] as const;
  return { sampleRate: RATE, sides: delivered(plan, seed, voices, () => true) };
}

/** A step of a guided take: what is asked for, and for how long. */
export interface GuidedStep {
  readonly is: StretchKind;
  readonly seconds: number;
  /** The one side on which what is asked for comes; both where absent. */
  readonly side?: 'left' | 'right';
}

/** Louder than usual, dB; a tap on the recorded microphone, and one that another hears, re a voice’s RMS. From memory. */
const [LOUDER, TAPPED, ELSEWHERE] = [8, 16, -10];
/** Taps of a stretch, and how long one rings, seconds. */
const [TAPS, RINGS] = [3, 0.03];

function taps(out: Float32Array, from: number, length: number, level: number, next: () => number): void {
  for (let tap = 0; tap < TAPS; tap += 1) {
    const at = from + Math.round((length * (tap + 0.5)) / TAPS);
    const ring = Math.min(Math.round(RINGS * 4 * RATE), from + length - at);
    for (let i = 0; i < ring; i += 1)
      out[at + i] =
        gain(level) * Math.exp(-i / (RINGS * RATE)) * Math.cos(0.03 * i) * (0.7 + 0.6 * (next() - 0.5));
  }
}

/** Nobody breaks off within a sample: that would be a click. Seconds. */
const FADE = 0.01;

function faded(voice: Float32Array, from: number, to: number): void {
  const length = Math.min(Math.round(FADE * RATE), (to - from) >> 1);
  for (let i = 0; i < length; i += 1) {
    voice[from + i] = (voice[from + i] as number) * (i / length);
    voice[to - 1 - i] = (voice[to - 1 - i] as number) * (i / length);
  }
}

/**
 * The same for a guided take: silence, voices, taps as they are asked for; while a charger is pulled it does not hum. `elsewhere`: not the
 * tapped microphone is recorded.
 */
export function guidedStandIn(
  plan: StandIn,
  steps: readonly GuidedStep[],
  elsewhere: boolean,
  seed = 1,
): Simulated {
  const seconds = steps.reduce((sum, step) => sum + step.seconds, 0);
  const [one, two] = [babble(seconds, seed), babble(seconds, seed + 50)];
  const pulled: (readonly [number, number])[] = [];
  let from = 0;
  for (const { is, seconds: long, side } of steps) {
    const length = Math.round(long * RATE);
    const to = Math.min(one.length, from + length);
    for (const voice of [one, two]) {
      if (is === 'silence' || is === 'tap') voice.fill(0, from, to);
      else faded(voice, from, to);
    }
    if (is === 'tap') {
      const level = elsewhere ? ELSEWHERE : TAPPED;
      for (const voice of [one, two]) taps(voice, from, length, level, random(seed + from));
    }
    if (is === 'loudest')
      for (const voice of [one, two])
        for (let i = from; i < to; i += 1) voice[i] = (voice[i] as number) * gain(LOUDER);
    // Two sources on a side each: only who is asked for is heard.
    if (plan.image === 'stereo' && side !== undefined) (side === 'left' ? two : one).fill(0, from, to);
    if (is === 'pull') pulled.push([from, to]);
    from += length;
  }
  const hums = (i: number) => !pulled.some(([start, end]) => i >= start && i < end);
  return { sampleRate: RATE, sides: delivered(plan, seed, [one, two], hums) };
}
