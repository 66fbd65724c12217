import type { LaidPart, Rig } from '../../rig';
import { dbFs, decibels, type DbFs, type Decibels } from '../../units';
import { EVIDENCE_KINDS, type Evidence } from '../../apps';
import type { AttachedDevice } from '../bus';
import { heardBy, isAudible, peakOf, SIDE_WITHIN } from './heard';
import type { HostInput, InputChannel } from './inputs';
import { appOf, chooseInput, takeOf, wayOf } from './policy';
import { SPEECH_CREST, voiceAt } from './voice';

export type SourceState = 'recorded' | 'listed-silent' | 'not-listed' | 'wrong-mic';
export type Sides = 'both' | 'left' | 'right' | 'mono' | 'none';

/** An intended source at a recorder: what becomes of it there. */
export interface Arrival {
  readonly recorder: string;
  readonly app: string;
  readonly source: string;
  readonly state: SourceState;
  /** What is recorded: an input as "part/capture", or "own-microphone". */
  readonly records: string;
  readonly channels: Sides;
  /** Input numbers that carry the source into what is recorded. */
  readonly inputs: readonly number[];
  /** Of what is recorded: speech peaks, noise, and how far peaks stay under the converter's full scale (negative: clips). */
  readonly peak: DbFs;
  readonly noise: DbFs;
  readonly headroom: Decibels;
  /** On what the app's policy, and so this verdict, rests. */
  readonly evidence: Evidence;
}

/** The channels that carry a source, the loudest and those that are little under it. */
export function carrying(channels: readonly InputChannel[], source: string): readonly InputChannel[] {
  const loudest = Math.max(...channels.map((c) => peakOf(c, source)));
  // What is dear, its noise, is asked last.
  return channels.filter((c) => peakOf(c, source) >= loudest - SIDE_WITHIN && isAudible(c, source));
}

/** Which sides of what is recorded carry a source. Several tracks are mono, each. */
function sidesOf(channels: readonly InputChannel[], source: string): Sides {
  const sides = new Set(carrying(channels, source).map((c) => c.side));
  if (sides.size > 1) return 'both';
  const [only] = sides;
  return only === 'left' || only === 'right' || only === 'mono' ? only : 'none';
}

function loudestChannel(channels: readonly InputChannel[], source: string): InputChannel | undefined {
  return channels.reduce<InputChannel | undefined>(
    (best, c) => (best && peakOf(best, source) >= peakOf(c, source) ? best : c),
    undefined,
  );
}

/** `input`: as its converter has it; `heard`: as the app records it. */
function fromInput(input: HostInput, heard: readonly InputChannel[], source: string, summed: boolean) {
  const channels = sidesOf(heard, source);
  const channel = loudestChannel(heard, source);
  const numbers = heard.map((c) => c.number);
  const converted = loudestChannel(
    input.channels.filter((c) => summed || numbers.includes(c.number)),
    source,
  );
  return {
    state: channels === 'none' ? ('listed-silent' as const) : ('recorded' as const),
    records: `${input.placed}/${input.capture.id}`,
    channels,
    inputs: carrying(heard, source).map((c) => c.number),
    peak: channel ? peakOf(channel, source) : dbFs(-Infinity),
    noise: channel?.noise ?? dbFs(-Infinity),
    headroom: decibels(converted ? -peakOf(converted, source) : Infinity),
  };
}

function fromOwnMicrophone(rig: Rig, host: LaidPart, silently: boolean) {
  const own = host.part.host?.ownMicrophone;
  const level = voiceAt(rig, host.placed.id, true);
  const peak = own ? own.calibrationDbfs + (level - own.calibration) + SPEECH_CREST : -Infinity;
  return {
    state: silently ? ('wrong-mic' as const) : ('not-listed' as const),
    records: 'own-microphone',
    channels: 'mono' as const,
    inputs: [],
    peak: dbFs(peak),
    noise: dbFs(own?.noiseDbfs ?? -Infinity),
    headroom: decibels(-peak),
  };
}

/** A camera's or recorder's own recording: nothing lies between its input and its file. */
const RECORDS_ITSELF: Evidence = { kind: 'common practice', date: '2026-11-23' };

/** Whether a source stands at an input of the host that its apps do not get: of a second device, or one that is refused. */
const standsElsewhere = (
  inputs: readonly HostInput[],
  taken: HostInput | undefined,
  source: string,
): boolean =>
  inputs.some(
    (input) => input !== taken && !input.accepted && input.channels.some((c) => isAudible(c, source)),
  );

/** What the app's policy rests on, or what is known of the device in that place, whichever is less sure. */
function weaker(
  evidence: Evidence,
  offered: HostInput | undefined,
  devices: readonly AttachedDevice[],
): Evidence {
  const device = devices.find((d) => d.placed === offered?.placed && d.host === offered.host);
  const kind = device?.evidence;
  return kind && EVIDENCE_KINDS.indexOf(kind) > EVIDENCE_KINDS.indexOf(evidence.kind)
    ? { ...evidence, kind }
    : evidence;
}

/** What becomes of `source` at a host with these inputs. */
export function arrivalOf(
  rig: Rig,
  host: LaidPart,
  inputs: readonly HostInput[],
  source: string,
  devices: readonly AttachedDevice[] = [],
): Arrival {
  const app = appOf(host);
  const { input, offered, left } = chooseInput(rig, host, inputs);
  const got = input
    ? fromInput(input, heardBy(host, app, input), source, app?.channels === 'mono')
    : fromOwnMicrophone(rig, host, left === 'own-chosen' || (app?.fallsBack ?? true));
  const way = offered ? wayOf(offered) : 'headset';
  const elsewhere = got.state === 'listed-silent' && standsElsewhere(inputs, input, source);
  return {
    recorder: host.placed.id,
    app: app?.id ?? host.part.host?.word ?? 'camera',
    evidence: weaker(app ? takeOf(rig, host, app, way).evidence : RECORDS_ITSELF, offered, devices),
    source,
    ...got,
    ...(elsewhere && { state: 'not-listed' as const }),
  };
}
