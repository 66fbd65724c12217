import type { LaidPart, Rig } from '../rig';
import { dbFs, decibels, gainToDb, powerSumDb, type DbFs, type Decibels } from '../units';
import { magnitude, plus } from '../circuit';
import { DEFAULT_APP, findApp, type App, type Evidence, type Way } from '../parts';
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
  /** Of what is recorded: speech peaks, noise, and how far peaks stay under the converter's full scale (negative: clips). */
  readonly peak: DbFs;
  readonly noise: DbFs;
  readonly headroom: Decibels;
  /** On what the app's policy, and so this verdict, rests. */
  readonly evidence: Evidence;
}

/** By which way an input comes to an app: a headset input is sensed, a sound device is not. */
const wayOf = (input: HostInput): Way =>
  input.sensed || input.registersAs === 'headset' ? 'headset' : 'usb';

/** The input that the host offers its apps, or undefined when there is only its own microphone. */
export function selectInput(host: LaidPart, inputs: readonly HostInput[]): HostInput | undefined {
  const usable = inputs.filter((input) => input.accepted && input.plugged);
  return host.part.host?.selects === 'when-plugged'
    ? usable[0]
    : usable.find((input) => (input.sensed ? input.sensed.reading === 'microphone' : true));
}

/** The app class that records on a host; a camera records by itself: undefined. */
export const appOf = (host: LaidPart): App | undefined =>
  host.part.family === 'camera' ? undefined : findApp(host.placed.app ?? DEFAULT_APP);

/** Whether the app of a host takes what comes this way. */
export const appTakes = (host: LaidPart, input: HostInput): boolean =>
  appOf(host)?.takes.includes(wayOf(input)) ?? true;

/** What an app that sums its sides hears: each side at half, with its phase. */
function monoSum(input: HostInput): InputChannel {
  const [left, right] = input.channels;
  if (!left || !right) return left ?? { side: 'mono', signals: [], noise: dbFs(-Infinity) };
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
  return { side: 'mono', signals: [...signals, ...onlyRight], noise };
}

/** Half the voltage, in dB. */
const HALF = gainToDb(0.5);

/** An input as the app of this host hears it. */
const heardBy = (host: LaidPart, input: HostInput): HostInput =>
  appOf(host)?.channels === 'mono' && input.channels.length > 1
    ? { ...input, channels: [monoSum(input)] }
    : input;

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

/** `input`: as its converter has it; `heard`: as the app hears it. */
function fromInput(input: HostInput, heard: HostInput, source: string) {
  const channels = sidesOf(heard, source);
  const channel = loudestChannel(heard, source);
  const converted = loudestChannel(input, source);
  const peak = channel ? peakOf(channel, source) : dbFs(-Infinity);
  return {
    state: channels === 'none' ? ('listed-silent' as const) : ('recorded' as const),
    records: `${input.placed}/${input.capture.id}`,
    channels,
    peak,
    noise: channel?.noise ?? dbFs(-Infinity),
    headroom: decibels(converted ? -peakOf(converted, source) : Infinity),
  };
}

function fromOwnMicrophone(rig: Rig, host: LaidPart) {
  const own = host.part.host?.ownMicrophone;
  const level = voiceAt(rig, host.placed.id, true);
  const peak = own ? own.calibrationDbfs + (level - own.calibration) + SPEECH_CREST : -Infinity;
  const silently = appOf(host)?.fallsBack ?? true;
  return {
    state: silently ? ('wrong-mic' as const) : ('not-listed' as const),
    records: 'own-microphone',
    channels: 'mono' as const,
    peak: dbFs(peak),
    noise: dbFs(own?.noiseDbfs ?? -Infinity),
    headroom: decibels(-peak),
  };
}

/** A camera's own recording: nothing lies between its input and its file. */
const RECORDS_ITSELF: Evidence = { kind: 'common practice', date: '2026-11-23' };

/** What becomes of `source` at a host with these inputs. */
export function arrivalOf(rig: Rig, host: LaidPart, inputs: readonly HostInput[], source: string): Arrival {
  const app = appOf(host);
  const offered = selectInput(host, inputs);
  const input = offered && appTakes(host, offered) ? offered : undefined;
  const got = input ? fromInput(input, heardBy(host, input), source) : fromOwnMicrophone(rig, host);
  return {
    recorder: host.placed.id,
    app: app?.id ?? 'camera',
    evidence: app?.evidence ?? RECORDS_ITSELF,
    source,
    ...got,
  };
}
