import {
  magnitude,
  nodeKey,
  figureOf,
  type AlternatingSolution,
  type DirectSolution,
  type Nets,
  type Phasor,
} from '../circuit';
import type { AttachedDevice } from '../bus';
import {
  isPassiveLink,
  type BusDevice,
  type Capture,
  type CaptureChannel,
  type Part,
  type Quantity,
} from '../../parts';
import { jointAt, jointsOf, settingOf, type LaidPart, type PortRef, type Rig } from '../../rig';
import {
  dbFs,
  dbV,
  gainToDb,
  powerSumDb,
  volts,
  SINE_CREST,
  type DbFs,
  type DbV,
  type Decibels,
  type Ohms,
  type Volts,
} from '../../units';
import { readHeadset, senseResistance, type HeadsetReading } from './detection';
import type { VoiceSource } from './sources';
import { SPEECH_CREST } from './voice';

/** What a headset jack senses at its microphone contact. */
export interface Sensed {
  readonly left: Volts;
  readonly resistance: Ohms;
  readonly reading: HeadsetReading;
}

/** One source as it arrives at one converter channel. */
export interface ChannelSignal {
  readonly source: VoiceSource;
  readonly rms: DbV;
  readonly peak: DbFs;
  /** Voltage here per volt of the source, with its phase. */
  readonly gain: Phasor;
}

export interface InputChannel {
  readonly side: CaptureChannel['side'];
  /** Input number, from 1. */
  readonly number: number;
  /** RMS of the sine that just reaches full scale, at its nodes. */
  readonly fullScale: DbV;
  readonly signals: readonly ChannelSignal[];
  /** The input's own noise and what the sources bring. */
  readonly noise: DbFs;
}

/** An input that a host could record from. `placed` is where the converter sits: the host or its accessory. */
export interface HostInput {
  readonly host: string;
  readonly placed: string;
  readonly capture: Capture;
  readonly plugged: boolean;
  readonly accepted: boolean;
  /** Not turned off by an answer or a switch on the part itself. */
  readonly on: boolean;
  /** The socket that is empty, so that the host takes no notice of its part. */
  readonly unnoticed?: PortRef;
  /** How the accessory registers; absent for a host's own socket. */
  readonly registersAs?: BusDevice['registersAs'];
  readonly sensed?: Sensed;
  readonly channels: readonly InputChannel[];
}

export interface InputContext {
  readonly rig: Rig;
  readonly nets: Nets;
  readonly direct: DirectSolution;
  readonly alternating: Pick<AlternatingSolution, 'gain'>;
  readonly sources: readonly VoiceSource[];
  readonly laid: ReadonlyMap<string, LaidPart>;
  /** Noise of resistors and stages between two nets, dBV. */
  readonly noise: (plus: number | undefined, minus: number | undefined) => DbV;
}

/** A gain under −140 dB is the solver's rounding or a stray path far under any noise, not sound. */
const ROUNDING = 1e-7;

/** RMS in dBV to speech peak in dBFS of an input whose full-scale sine has the RMS value `fullScale`. */
export const peakAt = (rms: DbV, fullScale: DbV, crest: Decibels = SPEECH_CREST): DbFs =>
  dbFs(rms + crest - fullScale - SINE_CREST);

/** RMS noise in dBV to dBFS, a full-scale sine being 0 dBFS (AES17-2015). */
const noiseAt = (rms: DbV, fullScale: DbV): DbFs => dbFs(rms - fullScale);

/** Full scale of a channel, its gain taken off, dBV. */
function fullScaleOf(context: InputContext, placed: string, capture: Capture, spec: CaptureChannel): DbV {
  const owner = context.laid.get(placed);
  const gain = (quantity: Quantity | undefined) =>
    owner && quantity !== undefined ? figureOf(quantity, owner) : 0;
  return dbV(capture.fullScale - gain(capture.gain) - gain(spec.gain));
}

function channel(
  context: InputContext,
  placed: string,
  capture: Capture,
  spec: CaptureChannel,
  number: number,
  plugged: boolean,
): InputChannel {
  const fullScale = fullScaleOf(context, placed, capture, spec);
  const plus = context.nets.of(nodeKey(placed, spec.plus));
  const minus = context.nets.of(nodeKey(placed, spec.minus));
  const came = context.sources.flatMap((source) => {
    const gain = context.alternating.gain(source.id, plus, minus);
    if (!gain || magnitude(gain) < ROUNDING) return [];
    const loss = gainToDb(magnitude(gain));
    const rms = dbV(source.level + loss);
    const signal = { source, rms, peak: peakAt(rms, fullScale, source.crest), gain };
    return [{ signal, noise: noiseAt(dbV(source.noise + loss), fullScale) }];
  });
  const noise = () => [
    noiseAt(capture.noise, fullScale),
    ...(plugged ? [noiseAt(context.noise(plus, minus), fullScale)] : []),
    ...came.map((one) => one.noise),
  ];
  let known: DbFs | undefined;
  return {
    side: spec.side,
    number,
    fullScale,
    signals: came.map(({ signal }) => signal),
    // Dear, and asked of the channels alone to which something comes.
    get noise() {
      return (known ??= dbFs(powerSumDb(noise())));
    },
  };
}

function sense(context: InputContext, placed: string, capture: Capture): Sensed | undefined {
  const { detection } = capture;
  if (!detection) return undefined;
  const microphone = context.nets.of(nodeKey(placed, detection.microphone));
  const ground = context.nets.of(nodeKey(placed, detection.ground));
  const left = context.direct.between(microphone, ground) ?? volts(0);
  const resistance = senseResistance(detection, left);
  return { left, resistance, reading: readHeadset(resistance) };
}

/** The sockets whose being in use makes an input exist. */
export const socketsOf = (capture: Capture): string[] => [
  ...new Set([capture.port, ...capture.channels.flatMap((channel) => channel.socket ?? [])]),
];

/**
 * The part on the way to a host's own socket of which the host takes no notice: a socket of it must be in use, or something that loads
 * as headphones do hangs on the same contacts by a splitter.
 */
export function unnoticedAt(
  rig: Pick<Rig, 'joints'>,
  laid: ReadonlyMap<string, { readonly part: Part }>,
  placed: string,
  port: string,
): PortRef | undefined {
  const seen = new Set([placed]);
  const queue = [jointAt(rig, { part: placed, port })];
  let found: PortRef | undefined;
  for (const joint of queue) {
    for (const id of joint ? [joint.plug.part, joint.jack.part] : []) {
      if (seen.has(id)) continue;
      seen.add(id);
      const part = laid.get(id)?.part;
      if (part?.ears !== undefined) return undefined;
      if (part?.noticedWith !== undefined) {
        if (jointAt(rig, { part: id, port: part.noticedWith })) return undefined;
        found ??= { part: id, port: part.noticedWith };
      } else if (part && isPassiveLink(part)) queue.push(...jointsOf(rig, id));
    }
  }
  return found;
}

function hostInput(
  context: InputContext,
  host: string,
  placed: string,
  capture: Capture,
  accepted: boolean,
): HostInput {
  const sensed = sense(context, placed, capture);
  const owner = context.laid.get(placed);
  const unnoticed = sensed && unnoticedAt(context.rig, context.laid, placed, capture.port);
  const plugged = socketsOf(capture).some(
    (port) => jointAt(context.rig, { part: placed, port }) !== undefined,
  );
  return {
    host,
    placed,
    capture,
    accepted,
    on: !capture.on || (owner !== undefined && settingOf(owner, capture.on.setting) === capture.on.is),
    plugged,
    ...(unnoticed !== undefined && { unnoticed }),
    ...(sensed && { sensed }),
    channels: capture.channels.map((spec, index) =>
      channel(context, placed, capture, spec, index + 1, plugged),
    ),
  };
}

/** Every input of a host: its own, and those of the accessories at its digital ports. */
export function hostInputs(
  context: InputContext,
  host: LaidPart,
  devices: readonly AttachedDevice[],
): HostInput[] {
  const own = (host.part.captures ?? []).map((capture) =>
    hostInput(context, host.placed.id, host.placed.id, capture, true),
  );
  const attached = devices
    .filter((device) => device.host === host.placed.id)
    .flatMap(({ placed, device, accepted }) =>
      (context.laid.get(placed)?.part.captures ?? [])
        .filter((capture) => device.captures.includes(capture.id))
        .map((capture) => ({
          ...hostInput(context, host.placed.id, placed, capture, accepted),
          registersAs: device.registersAs,
        })),
    );
  return [...own, ...attached];
}
