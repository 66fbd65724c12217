import type { Rig } from '../rig/types.generated';

/** A rig of 200 parts has well under 100 kB; anything far larger is not one. */
export const LARGEST_RIG_BYTES = 2_000_000;

/** The rig as a file: two-space JSON with a final newline. */
export const writeRig = (rig: Rig): string => `${JSON.stringify(rig, null, 2)}\n`;
