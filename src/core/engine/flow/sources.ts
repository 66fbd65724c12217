import type { SoundSource } from '../circuit';
import { dbV, dbVPerPa, microphoneOutput, type DbV, type Decibels } from '../../units';
import type { Rig } from '../../rig';
import { PLAYED_CREST, SPEECH_CREST, voiceAt } from './voice';

/** A microphone (or pack with its receiver) as a source of voltage. */
export interface VoiceSource {
  readonly id: string;
  readonly placed: string;
  /** RMS of the voice at the source's own terminals, open circuit (an electret: across its rated load). */
  readonly level: DbV;
  readonly noise: DbV;
  /** How far its peaks lie above its RMS, dB. */
  readonly crest: Decibels;
}

/** The voice as this source gives it; undefined for one that plays back. */
export function voiceSource(rig: Rig, source: SoundSource): VoiceSource | undefined {
  if (source.kind === 'signal' && source.hears === 'playback') return undefined;
  const [sensitivity, noise] =
    source.kind === 'electret'
      ? [source.capsule.sensitivity, source.capsule.noise]
      : [dbVPerPa(source.sensitivity), dbV(source.noise)];
  const { id, placed } = source;
  if (source.kind === 'signal' && source.hears === 'played')
    return { id, placed, level: dbV(source.sensitivity), noise, crest: PLAYED_CREST };
  const level = microphoneOutput(sensitivity, voiceAt(rig, placed, false));
  return { id, placed, level, noise, crest: SPEECH_CREST };
}
