import type { SoundSource } from '../circuit';
import { dbV, dbVPerPa, microphoneOutput, SINE_CREST, type DbV, type Decibels } from '../../units';
import type { Rig } from '../../rig';
import { PLAYED_BAND, PLAYED_CREST, SPEECH_BAND, SPEECH_CREST, voiceAt } from './voice';

/** What somebody means to record, as a source of voltage: a microphone, an instrument, what a device plays. */
export interface VoiceSource {
  readonly id: string;
  /** The placed part that is meant: for playback the device, though another part may play it. */
  readonly placed: string;
  /** RMS at the source's own terminals, open circuit (an electret: across its rated load). */
  readonly level: DbV;
  readonly noise: DbV;
  /** How far its peaks lie above its RMS. */
  readonly crest: Decibels;
  /** Hz, from and to. */
  readonly band: readonly [number, number];
}

/** What a device plays, its peaks at full scale: of the programme itself nothing is known. `device` plays it, wherever it comes out. */
function playbackVoice(source: Extract<SoundSource, { kind: 'signal' }>, device: string): VoiceSource {
  const level = dbV(source.sensitivity + SINE_CREST - PLAYED_CREST);
  return {
    id: source.id,
    placed: device,
    level,
    noise: dbV(source.noise),
    crest: PLAYED_CREST,
    band: source.band ?? PLAYED_BAND,
  };
}

/**
 * The voice as this source gives it. Playback is one only where the device that plays is meant to be recorded; `playsAt` says
 * which part plays for which device.
 */
export function voiceSource(
  rig: Rig,
  source: SoundSource,
  playsAt: ReadonlyMap<string, string>,
): VoiceSource | undefined {
  if (source.kind === 'signal' && source.hears === 'playback') {
    const device = playsAt.get(source.placed);
    return device !== undefined && rig.purpose.sources.includes(device)
      ? playbackVoice(source, device)
      : undefined;
  }
  const [sensitivity, noise] =
    source.kind === 'electret'
      ? [source.capsule.sensitivity, source.capsule.noise]
      : [dbVPerPa(source.sensitivity), dbV(source.noise)];
  const { id, placed } = source;
  if (source.kind === 'signal' && source.hears === 'played') {
    const band = source.band ?? PLAYED_BAND;
    return { id, placed, level: dbV(source.sensitivity), noise, crest: PLAYED_CREST, band };
  }
  const band = (source.kind === 'signal' ? source.band : undefined) ?? SPEECH_BAND;
  const level = microphoneOutput(sensitivity, voiceAt(rig, placed, false));
  return { id, placed, level, noise, crest: SPEECH_CREST, band };
}
