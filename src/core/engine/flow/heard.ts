import { magnitude, plus } from '../circuit';
import type { App } from '../../apps';
import type { LaidPart } from '../../rig';
import { dbFs, dbV, decibels, gainToDb, powerSumDb, type DbFs, type Decibels } from '../../units';
import type { HostInput, InputChannel } from './inputs';
import { tracksOf } from './policy';

/** Half the voltage, in dB. */
const HALF = gainToDb(0.5);

/**
 * Speech counts as recorded when its peaks stand this far above the noise of the channel: under it, words are lost.
 * A limit of our own, from memory of usual speech-to-noise practice.
 */
export const AUDIBLE_OVER_NOISE: Decibels = decibels(10);
/** A side counts as carrying a source when it is no more than this under the louder side. A limit of our own. */
export const SIDE_WITHIN: Decibels = decibels(20);

export const peakOf = (channel: InputChannel, source: string): DbFs =>
  dbFs(Math.max(-Infinity, ...channel.signals.filter((s) => s.source.placed === source).map((s) => s.peak)));

export function isAudible(channel: InputChannel, source: string): boolean {
  const peak = peakOf(channel, source);
  return Number.isFinite(peak) && peak >= channel.noise + AUDIBLE_OVER_NOISE;
}

const NOTHING: InputChannel = {
  side: 'mono',
  number: 1,
  fullScale: dbV(0),
  signals: [],
  noise: dbFs(-Infinity),
};

/** What an app that sums its sides hears: each side at half, with its phase. */
function monoSum([left, right]: readonly InputChannel[]): InputChannel {
  if (!left || !right) return left ?? NOTHING;
  const signals = left.signals.map((signal) => {
    const other = right.signals.find((s) => s.source.id === signal.source.id);
    const sum = plus(signal.gain, other?.gain ?? { re: 0, im: 0 });
    const change = gainToDb(magnitude(sum) / 2 / magnitude(signal.gain));
    return { ...signal, peak: dbFs(signal.peak + change), gain: sum };
  });
  const onlyRight = right.signals
    .filter((s) => !left.signals.some((l) => l.source.id === s.source.id))
    .map((s) => ({ ...s, peak: dbFs(s.peak + HALF) }));
  const noise = dbFs(powerSumDb([left.noise + HALF, right.noise + HALF]));
  return {
    side: 'mono',
    number: left.number,
    fullScale: left.fullScale,
    signals: [...signals, ...onlyRight],
    noise,
  };
}

/** The channels of an input as the app of this host records them; without an app, as they are. */
export function heardBy(host: LaidPart, app: App | undefined, input: HostInput): readonly InputChannel[] {
  const sides = input.channels.filter((c) => c.side !== 'further');
  switch (app?.channels) {
    case undefined:
    case 'stereo':
      return sides;
    case 'mono':
      return sides.length > 1 ? [monoSum(sides)] : sides;
    case 'tracks': {
      const armed = new Set(tracksOf(host).flatMap((t) => (t.armed ? [t.input] : [])));
      return input.channels.filter((c) => armed.has(c.number)).map((c) => ({ ...c, side: 'mono' }));
    }
  }
}
