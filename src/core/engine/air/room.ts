import type { Room } from '../../rig';

/** A furnished room of usual size: 60 m³, 0.4 s. Typical. */
export const USUAL_ROOM: Required<Room> = { cubicMetres: 60, seconds: 0.4 };

/** Absorption area of a room by Sabine’s formula, m²: A = 0.161 V / T. */
export const absorption = ({ cubicMetres, seconds }: Required<Room>): number =>
  (0.161 * cubicMetres) / seconds;

/** Where direct and reverberant sound of a source are equal, m: 0.057 √(Q V / T). Textbook. */
export const criticalDistance = ({ cubicMetres, seconds }: Required<Room>, directivity: number): number =>
  0.057 * Math.sqrt((directivity * cubicMetres) / seconds);

/** Reverberant power anywhere in the room against the direct power on a source’s axis 1 m away: 16π / (Q A). */
export const reverberant = (room: Required<Room>, directivity: number): number =>
  (16 * Math.PI) / (directivity * absorption(room));
