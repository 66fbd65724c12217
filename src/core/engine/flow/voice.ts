import { dbSpl, decibels, distanceDb, metres, type DbSpl, type Decibels, type Metres } from '../../units';
import { own } from '../../schema';
import type { Rig, VoiceEffort } from '../../rig';

/** Speech at 1 m in front of the mouth, RMS (ANSI S3.5-1997, vocal efforts; figures from memory). */
export const VOICE_LEVEL: Record<VoiceEffort, DbSpl> = {
  normal: dbSpl(62.35),
  raised: dbSpl(68.34),
  loud: dbSpl(74.85),
  shout: dbSpl(82.3),
};

/** How far speech peaks lie above its RMS level. Typical. */
export const SPEECH_CREST: Decibels = decibels(12);

/** How far the peaks of an instrument or of mixed music lie above its RMS level. Typical. */
export const PLAYED_CREST: Decibels = decibels(14);

/** What must come through for speech to be heard as it was said, Hz: the range of the articulation index, ANSI S3.5 (from memory). */
export const SPEECH_BAND: readonly [number, number] = [200, 6300];

/** What an instrument or a mix gives, Hz. Typical: the lowest string of a guitar to the bite of its treble. */
export const PLAYED_BAND: readonly [number, number] = [82, 5000];

/** Mouth to a worn microphone, and mouth to the recording device held or on a stand. Typical. */
export const WORN = metres(0.2);
const HELD = metres(1.2);

/** The distance from the mouth to a placed part: as the rig says, else typical for what it is. */
export function mouthDistance(rig: Rig, placed: string, isHost: boolean): Metres {
  const set = own(rig.surroundings.distances, placed);
  return set === undefined ? (isHost ? HELD : WORN) : metres(set);
}

/** Sound pressure of the voice at a placed part, RMS, free field. */
export const voiceAt = (rig: Rig, placed: string, isHost: boolean): DbSpl =>
  dbSpl(VOICE_LEVEL[rig.surroundings.voice] + distanceDb(mouthDistance(rig, placed, isHost)));
