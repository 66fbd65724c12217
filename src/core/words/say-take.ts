import type { WavHead, WavProblem } from '../signal/files';
import type { Measures } from '../signal/measure';
import type { TakeCode, TakeFinding } from '../signal/reading';

const dbfs = (value: number): string => `${value.toFixed(1).replace('-', '−')} dBFS`;
const ms = (value: number): string => `${Math.round(Math.abs(value))} ms`;
const hertz = (value: number): string =>
  value >= 1000 ? `${(value / 1000).toFixed(1)} kHz` : `${Math.round(value)} Hz`;

interface TakeWords {
  readonly title: string;
  /** Why, in one sentence, with the measured values beside their limit. */
  readonly says: (values: readonly number[], finding: TakeFinding) => string;
}

/** Each finding of a take in words; values come in the order of the reading. */
const WORDS: Readonly<Record<TakeCode, TakeWords>> = {
  'take-silent': {
    title: 'Nothing was recorded',
    says: ([level = 0]) =>
      level <= -199
        ? 'Every sample is nothing: the input gave no sound at all.'
        : `What sounds lies at ${dbfs(level)}; speech lies over −65. Tap the microphone: was it the one recorded?`,
  },
  'take-clips': {
    title: 'It clips',
    says: ([ceiling = 0, count = 0]) =>
      ceiling > -0.2
        ? `${count} tops are cut off at full scale: the input of the recorder itself is too hot.`
        : `${count} tops are cut off at ${dbfs(ceiling)}, under full scale: something before the recorder clipped, and its slider cannot help.`,
  },
  'take-hot': {
    title: 'Peaks come close to full scale',
    says: ([peak = 0]) =>
      `True peak ${peak.toFixed(1).replace('-', '−')} dBTP; at most −1 leaves room for what is made of it later.`,
  },
  'take-quiet': {
    title: 'Too quiet',
    says: ([peak = 0]) => `Peaks reach ${dbfs(peak)}; under −30 what is lifted later brings its noise along.`,
  },
  'take-noisy': {
    title: 'Noise under the voice',
    says: ([over = 0, floor = 0]) =>
      `Speech stands ${over.toFixed(0)} dB over its pauses (${dbfs(floor)}); 30 dB are wanted.`,
  },
  'take-hums': {
    title: 'Mains hum',
    says: ([level = 0, mains = 0, under = 0]) =>
      `${mains} Hz and its harmonics stand at ${dbfs(level)} in the pauses, ${under.toFixed(0)} dB under speech.`,
  },
  'take-whines': {
    title: 'A steady tone',
    says: ([level = 0, at = 0]) => `A tone of ${hertz(at)} stands at ${dbfs(level)} in the pauses.`,
  },
  'take-one-side': {
    title: 'One side is empty',
    says: ([over = 0]) =>
      `Only the ${over > 0 ? 'left' : 'right'} side carries the sound; the other lies 20 dB or more under it.`,
  },
  'take-inverted': {
    title: 'The sides are each other’s opposite',
    says: ([correlation = 0]) =>
      `Left and right correlate by ${correlation.toFixed(2).replace('-', '−')}: summed to mono, as on a phone’s loudspeaker, the sound vanishes.`,
  },
  'take-sides-apart': {
    title: 'One side comes later',
    says: ([delay = 0]) =>
      `The ${delay > 0 ? 'right' : 'left'} side comes ${Math.abs(delay).toFixed(1)} ms after the other: in mono that is a comb, its first notch at ${hertz(500 / Math.abs(delay))}.`,
  },
  'take-echoes': {
    title: 'An echo',
    says: ([delay = 0, under = 0]) =>
      `Everything comes once more, ${ms(delay)} later and ${under.toFixed(0)} dB under the voice.`,
  },
  'take-roomy': {
    title: 'The room is heard',
    says: ([milliseconds = 0]) =>
      `What is said dies away by 60 dB in about ${(milliseconds / 1000).toFixed(1)} s: closer to the microphone, or something soft around it.`,
  },
  'take-drops': {
    title: 'The sound drops out',
    says: ([count = 0, longest = 0]) =>
      `${count === 1 ? 'One hole' : `${count} holes`}, the longest of ${ms(longest)}: cut off and back, as when a radio link or a driver loses its place.`,
  },
  'take-clicks': { title: 'Clicks', says: ([count = 0]) => `${count} jumps that no voice makes.` },
  'take-thumps': {
    title: 'Thumps',
    says: ([count = 0]) =>
      `${count === 1 ? 'One burst' : `${count} bursts`} under the voice: handling, a stand that is kicked, wind.`,
  },
  'take-rumbles': {
    title: 'Rumble',
    says: ([level = 0, under = 0]) =>
      `Under 50 Hz stand ${dbfs(level)} all the time, ${under > 0.5 ? `${under.toFixed(0)} dB under` : 'as loud as'} what else sounds: wind, footfall, traffic, or a low instrument. A wind shield, a shock mount or a low cut before the recorder.`,
  },
  'take-narrow': {
    title: 'A narrow band',
    says: ([high = 0, low = 0]) =>
      `It sounds from ${hertz(low)} to ${hertz(high)}: a call, a headset class of a radio link, or a filter against noise.`,
  },
  'take-low-rate': {
    title: 'Taken at a lower rate',
    says: ([end = 0, first = 0, own = 0]) =>
      `Everything ends at ${hertz(end)}, the noise too: it was taken at ${hertz(first)} and brought up to ${hertz(own)}, as a headset by radio or an app for speech does. Another input or app may give the rest.`,
  },
  'take-pumps': {
    title: 'The level follows by itself',
    says: ([rise = 0]) =>
      `The noise rises by ${rise.toFixed(0)} dB within a pause: an automatic gain is at work.`,
  },
  'take-gain-moves': {
    title: 'The gain moves',
    says: ([db = 0], { atSeconds: [at = 0] = [] }) =>
      `About ${at.toFixed(0)} s in, voice and noise ${db < 0 ? 'fall' : 'rise'} together by ${Math.abs(db).toFixed(0)} dB: a knob was turned, or an automatic gain is at work.`,
  },
  'take-offset': {
    title: 'An offset',
    says: ([offset = 0]) =>
      `The samples stand ${(offset * 100).toFixed(1).replace('-', '−')} % of full scale beside nothing.`,
  },
};

export const takeTitle = (finding: TakeFinding): string => WORDS[finding.code].title;
export const sayTakeFinding = (finding: TakeFinding): string =>
  WORDS[finding.code].says(
    finding.values.map(({ value }) => value),
    finding,
  );

const IMAGE_WORDS: Readonly<Record<Measures['image']['kind'], string>> = {
  mono: 'one channel',
  'dual-mono': 'the same on both sides',
  stereo: 'two different sides',
  'left-only': 'on the left side alone',
  'right-only': 'on the right side alone',
  inverted: 'on both sides, one turned over',
};

/** One sentence over the whole take. */
export function sayTake(m: Measures, findings: readonly TakeFinding[]): string {
  const spoils = findings.filter(({ severity }) => severity !== 'note');
  const loud = m.loudness.integratedLufs;
  const loudness = Number.isFinite(loud) ? `, ${loud.toFixed(1).replace('-', '−')} LUFS` : '';
  const what = `${sayLength(m.durationSeconds)}${loudness}, ${IMAGE_WORDS[m.image.kind]}`;
  if (spoils.length === 0) return `A clean take: ${what}.`;
  return `${spoils.map(takeTitle).join(' · ')}: ${what}.`;
}

export function sayLength(seconds: number): string {
  const whole = Math.round(seconds);
  if (seconds < 10) return `${seconds.toFixed(1)} s`;
  return whole < 60 ? `${whole} s` : `${Math.floor(whole / 60)} min ${whole % 60} s`;
}

/** Why a file is refused, in one line without its name. */
export function sayWavProblem(problem: WavProblem): string {
  switch (problem.code) {
    case 'empty':
      return 'is empty';
    case 'not-wav':
      return `is no WAV file: it begins with "${problem.found}"`;
    case 'no-format':
      return 'has no format chunk: the head of the file is broken';
    case 'no-samples':
      return 'holds no samples';
    case 'encoding':
      return `is encoded in a way that is not read (format tag ${problem.tag}); PCM and float are`;
    case 'beyond-scale':
      return `holds a sample of ${problem.value}, where full scale is 1: whole numbers that are tagged as floats, as a rule`;
    default:
      return `says ${problem.value} for ${problem.name}, which is not read`;
  }
}

const MENDED: Readonly<Record<WavHead['mended'][number], string>> = {
  length: 'Its head does not say how long it is: read to the end of the file.',
  'cut-short': 'It ends before its head says so: read as far as it goes.',
};
export const sayMended = (mended: WavHead['mended']): string[] => mended.map((kind) => MENDED[kind]);
