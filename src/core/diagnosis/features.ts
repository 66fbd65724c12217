import type { ImageKind } from '../signal/measure';

/** What a take is told by: as the rig predicts it, or as it was measured. dBFS; RMS of a full-scale sine −3.01. */
export interface Features {
  /** `silent`: nothing of what is meant. */
  readonly image: ImageKind | 'silent';
  /** Mean of what is meant, at the louder side. */
  readonly active: number;
  /** What is left in pauses, hum left out. Of the gear alone where it is predicted: a room adds to it. None where hum hides it. */
  readonly noise: number | null;
  readonly hum: number;
  /** Where tops are cut off; none where they are not. */
  readonly ceiling: number | null;
  /** How far over it peaks would go, dB, where that is known. */
  readonly over: number;
  readonly echo: { readonly delayMs: number; readonly levelDb: number } | null;
  /** Nothing else than the device’s own microphone. */
  readonly ownMicrophone?: boolean;
}

/** Under this nothing is there to speak of, dBFS: the limit of the reading, too. */
export const SILENT = -65;
