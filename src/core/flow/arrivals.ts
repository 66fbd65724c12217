import type { LaidPart, Rig } from '../rig';
import { dbFs, decibels, type DbFs, type Decibels } from '../units';
import { DEFAULT_APP, findApp, type App } from '../parts';
import type { HostInput, InputChannel } from './inputs';
import { SPEECH_CREST, voiceAt } from './voice';

export type SourceState = 'recorded' | 'listed-silent' | 'not-listed' | 'wrong-mic';
export type Sides = 'both' | 'left' | 'right' | 'mono' | 'none';

/**
 * Speech counts as recorded when its peaks stand this far above the noise of the channel: under it, words are lost.
 * A limit of our own, from memory of usual speech-to-noise practice.
 */
export const AUDIBLE_OVER_NOISE: Decibels = decibels(10);
/** A side counts as carrying a source when it is no more than this under the louder side. A limit of our own. */
export const SIDE_WITHIN: Decibels = decibels(20);

/** An intended source at a recorder: what becomes of it there. */
export interface Arrival {
  readonly recorder: string;
  readonly app: string;
  readonly source: string;
  readonly state: SourceState;
  /** What is recorded: an input as "part/capture", or "own-microphone". */
  readonly records: string;
  readonly channels: Sides;
  /** Of what is recorded: speech peaks, noise, and how far the peaks stay under full scale (negative: clips). */
  readonly peak: DbFs;
  readonly noise: DbFs;
  readonly headroom: Decibels;
}

/** The input that the host takes, or undefined when it stays with its own microphone. */
export function selectInput(host: LaidPart, inputs: readonly HostInput[]): HostInput | undefined {
  const usable = inputs.filter((input) => input.accepted && input.plugged);
  return host.part.host?.selects === 'when-plugged'
    ? usable[0]
    : usable.find((input) => (input.sensed ? input.sensed.reading === 'microphone' : true));
}

const peakOf = (channel: InputChannel, source: string): DbFs =>
  dbFs(Math.max(-Infinity, ...channel.signals.filter((s) => s.source.placed === source).map((s) => s.peak)));

const audible = (channel: InputChannel, source: string): boolean =>
  peakOf(channel, source) >= channel.noise + AUDIBLE_OVER_NOISE;

/** Which sides of an input carry a source. */
export function sidesOf(input: HostInput, source: string): Sides {
  const loudest = Math.max(...input.channels.map((c) => peakOf(c, source)));
  const carrying = input.channels.filter(
    (c) => audible(c, source) && peakOf(c, source) >= loudest - SIDE_WITHIN,
  );
  const [first, second] = carrying.map((c) => c.side);
  if (first === undefined) return 'none';
  return second === undefined ? first : 'both';
}

function loudestChannel(input: HostInput, source: string): InputChannel | undefined {
  return input.channels.reduce<InputChannel | undefined>(
    (best, c) => (best && peakOf(best, source) >= peakOf(c, source) ? best : c),
    undefined,
  );
}

function fromInput(input: HostInput, source: string) {
  const channels = sidesOf(input, source);
  const channel = loudestChannel(input, source);
  const peak = channel ? peakOf(channel, source) : dbFs(-Infinity);
  return {
    state: channels === 'none' ? ('listed-silent' as const) : ('recorded' as const),
    records: `${input.placed}/${input.capture.id}`,
    channels,
    peak,
    noise: channel?.noise ?? dbFs(-Infinity),
  };
}

function fromOwnMicrophone(rig: Rig, host: LaidPart, app: App) {
  const own = host.part.host?.ownMicrophone;
  const level = voiceAt(rig, host.placed.id, true);
  const peak = own ? own.calibrationDbfs + (level - own.calibration) + SPEECH_CREST : -Infinity;
  return {
    state: app.fallsBack ? ('wrong-mic' as const) : ('not-listed' as const),
    records: 'own-microphone',
    channels: 'mono' as const,
    peak: dbFs(peak),
    noise: dbFs(own?.noiseDbfs ?? -Infinity),
  };
}

const appOf = (host: LaidPart): App => {
  const fallback = findApp(DEFAULT_APP);
  const app = findApp(host.placed.app ?? DEFAULT_APP) ?? fallback;
  if (!app) throw new Error(`app class "${DEFAULT_APP}" is missing from the list of apps`);
  return app;
};

/** What becomes of `source` at a host with these inputs. */
export function arrivalOf(rig: Rig, host: LaidPart, inputs: readonly HostInput[], source: string): Arrival {
  const app = appOf(host);
  const input = selectInput(host, inputs);
  const got = input ? fromInput(input, source) : fromOwnMicrophone(rig, host, app);
  return {
    recorder: host.placed.id,
    app: host.part.family === 'camera' ? 'camera' : app.id,
    source,
    ...got,
    headroom: decibels(-got.peak),
  };
}
