import {
  levelIn,
  outlineStep,
  peaksIn,
  type Measures,
  type Stretch,
  type StretchKind,
  type StretchLevel,
} from '../measure';
import { gainToDb } from '../../units';

/** A stretch with what was asked for in it, and of which placed part. */
export interface AskedStretch extends Stretch {
  readonly is: StretchKind;
  readonly part?: string;
}

/**
 * How it went. `tapped`: the tapped microphone is the one recorded; `elsewhere`: its taps come faint, by way of another; `fell`, `rose`: the
 * pauses beside the first silence; `stirs`: a silence in which something is heard.
 */
export type StretchState =
  | 'came'
  | 'missing'
  | 'tapped'
  | 'elsewhere'
  | 'no-tap'
  | 'fell'
  | 'stayed'
  | 'rose'
  | 'still'
  | 'stirs'
  | 'holes'
  | 'held';

export interface StretchReading {
  readonly level: StretchLevel;
  readonly state: StretchState;
  /** How far it fell or rose, dB; how many taps or holes. */
  readonly value?: number;
}

/** What comes stands so far over the silence, dB. Our own. */
const COMES = 10;
/** A tap stands so far over what lies around it, dB; two of them lie this far apart, seconds. Our own. */
const [TAP_OVER, TAPS_APART] = [12, 0.12];
/** A tap on the recorded microphone is about as loud as a voice into it, within so much, dB. From memory: a finger on a grille is louder. */
const TAP_UNDER_VOICE = 6;
/** The same where no voice is there to hold it against, dBFS. Our own. */
const TAP_ALONE = -24;
/** Noise that falls or rises by so much is told, dB. Our own. */
const CHANGES = 6;

/** What stirs stands so far over the quietest of its silence, dB, and is heard from here, dBFS. Our own. */
const [STIRS, STIRS_FROM] = [15, -65];

/** How many taps there are in a stretch, and the loudest, dBFS. */
function tapsIn(measures: Measures, stretch: Stretch): { readonly count: number; readonly peak: number } {
  const peaks = peaksIn(measures, stretch);
  const usual = peaks.toSorted()[peaks.length >> 1] ?? 0;
  const least = usual * 10 ** (TAP_OVER / 20);
  const apart = TAPS_APART / outlineStep(measures);
  const found: number[] = [];
  peaks.forEach((peak, i) => {
    if (peak > least && peak > 0 && i - (found.at(-1) ?? -Infinity) > apart) found.push(i);
  });
  return { count: found.length, peak: gainToDb(peaks.reduce((a, b) => Math.max(a, b), 0)) };
}

function readTap(
  measures: Measures,
  tap: AskedStretch,
  all: readonly AskedStretch[],
): Omit<StretchReading, 'level'> {
  const { count, peak } = tapsIn(measures, tap);
  if (count === 0) return { state: 'no-tap' };
  const spoken = all.find(({ is, part }) => is === 'usual' && part === tap.part);
  const wanted = spoken ? levelIn(measures, spoken).peakDbfs - TAP_UNDER_VOICE : TAP_ALONE;
  return { state: peak >= wanted ? 'tapped' : 'elsewhere', value: count };
}

/** Cloth, a chair, a hand on the lead: whatever is heard where nothing should be. */
const stirring = ({ mostDbfs, quietDbfs }: StretchLevel): Omit<StretchReading, 'level'> =>
  mostDbfs - quietDbfs >= STIRS && mostDbfs >= STIRS_FROM
    ? { state: 'stirs', value: mostDbfs }
    : { state: 'still' };

/** A take without what was asked for in it: taps are no thumps or clicks of the rig’s, and where they alone clip, nothing else does. Peaks count as they are. */
export function withoutTaps(measures: Measures, stretches: readonly AskedStretch[]): Measures {
  const taps = stretches.filter(({ is }) => is === 'tap');
  const outside = (at: number): boolean => !taps.some(({ from, to }) => at >= from && at <= to);
  const { clipping } = measures;
  const allTapped = !clipping?.atSeconds.some(outside);
  return {
    ...measures,
    clicks: measures.clicks.filter(outside),
    thumps: measures.thumps.filter(outside),
    clipping: allTapped ? null : clipping,
  };
}

/** How every stretch of a guided take went. */
export function readStretches(measures: Measures, stretches: readonly AskedStretch[]): StretchReading[] {
  const silence = stretches.find(({ is }) => is === 'silence');
  const quiet = silence && levelIn(measures, silence).quietDbfs;
  const floor =
    quiet ?? Math.max(-Infinity, ...measures.pauses.map(({ floorDbfs }) => floorDbfs ?? -Infinity));
  return stretches.map((stretch): StretchReading => {
    const level = levelIn(measures, stretch);
    const change = level.quietDbfs - floor;
    switch (stretch.is) {
      case 'tap':
        return { level, ...readTap(measures, stretch, stretches) };
      case 'silence':
        return stretch !== silence && level.quietDbfs - floor >= CHANGES
          ? { level, state: 'rose', value: level.quietDbfs - floor }
          : { level, ...stirring(level) };
      case 'pull':
        return -change >= CHANGES ? { level, state: 'fell', value: -change } : { level, state: 'stayed' };
      case 'walk': {
        const holes = measures.dropouts.filter(
          ({ atSeconds }) => atSeconds >= stretch.from && atSeconds < stretch.to,
        ).length;
        return holes > 0 ? { level, state: 'holes', value: holes } : { level, state: 'held' };
      }
      default:
        return { level, state: level.mostDbfs - floor >= COMES ? 'came' : 'missing' };
    }
  });
}
