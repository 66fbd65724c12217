import {
  magnitude,
  nodeKey,
  type AlternatingSolution,
  type DirectSolution,
  type Nets,
  type Phasor,
} from '../circuit';
import type { AttachedDevice } from '../bus';
import type { BusDevice, Capture, CaptureChannel } from '../parts';
import { jointAt, type LaidPart, type Rig } from '../rig';
import {
  dbFs,
  dbV,
  gainToDb,
  powerSumDb,
  volts,
  SINE_CREST,
  type DbFs,
  type DbV,
  type Ohms,
  type Volts,
} from '../units';
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
  /** How the accessory registers; absent for a host's own socket. */
  readonly registersAs?: BusDevice['registersAs'];
  readonly sensed?: Sensed;
  readonly channels: readonly InputChannel[];
}

export interface InputContext {
  readonly rig: Rig;
  readonly nets: Nets;
  readonly direct: DirectSolution;
  readonly alternating: AlternatingSolution;
  readonly sources: readonly VoiceSource[];
  /** Gain ahead of a converter, as its knob stands, dB. */
  readonly gainOf: (placed: string, capture: Capture) => number;
  /** Noise of resistors and stages between two nets, dBV. */
  readonly noise: (plus: number | undefined, minus: number | undefined) => DbV;
}

/** A gain under −140 dB is the solver's rounding or a stray path far under any noise, not sound. */
const ROUNDING = 1e-7;

/** RMS in dBV to speech peak in dBFS of an input whose full-scale sine has the RMS value `fullScale`. */
export const peakAt = (rms: DbV, fullScale: DbV): DbFs => dbFs(rms + SPEECH_CREST - fullScale - SINE_CREST);

/** RMS noise in dBV to dBFS, a full-scale sine being 0 dBFS (AES17-2015). */
const noiseAt = (rms: number, fullScale: DbV): number => rms - fullScale;

function channel(
  context: InputContext,
  placed: string,
  capture: Capture,
  spec: CaptureChannel,
): InputChannel {
  const plus = context.nets.of(nodeKey(placed, spec.plus));
  const minus = context.nets.of(nodeKey(placed, spec.minus));
  const noises: number[] = [
    noiseAt(capture.noise, capture.fullScale),
    noiseAt(context.noise(plus, minus), capture.fullScale),
  ];
  const signals = context.sources.flatMap((source) => {
    const gain = context.alternating.gain(source.id, plus, minus);
    if (!gain || magnitude(gain) < ROUNDING) return [];
    const loss = gainToDb(magnitude(gain));
    noises.push(noiseAt(source.noise + loss, capture.fullScale));
    const rms = dbV(source.level + loss);
    return [{ source, rms, peak: peakAt(rms, capture.fullScale), gain }];
  });
  return { side: spec.side, signals, noise: dbFs(powerSumDb(noises)) };
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

function hostInput(context: InputContext, host: string, placed: string, capture: Capture, accepted: boolean) {
  const sensed = sense(context, placed, capture);
  const set = { ...capture, fullScale: dbV(capture.fullScale - context.gainOf(placed, capture)) };
  return {
    host,
    placed,
    capture,
    accepted,
    plugged: jointAt(context.rig, { part: placed, port: capture.port }) !== undefined,
    ...(sensed && { sensed }),
    channels: capture.channels.map((spec) => channel(context, placed, set, spec)),
  };
}

/** Every input of a host: its own, and those of the accessories at its digital ports. */
export function hostInputs(
  context: InputContext,
  host: LaidPart,
  devices: readonly AttachedDevice[],
  laid: ReadonlyMap<string, LaidPart>,
): HostInput[] {
  const own = (host.part.captures ?? []).map((capture) =>
    hostInput(context, host.placed.id, host.placed.id, capture, true),
  );
  const attached = devices
    .filter((device) => device.host === host.placed.id)
    .flatMap(({ placed, device, accepted }) =>
      (laid.get(placed)?.part.captures ?? [])
        .filter((capture) => device.captures.includes(capture.id))
        .map((capture) => ({
          ...hostInput(context, host.placed.id, placed, capture, accepted),
          registersAs: device.registersAs,
        })),
    );
  return [...own, ...attached];
}
