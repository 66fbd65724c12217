import type { Part } from '../parts';

/** A part that a person means to record when they lay it out: a headset may be there for listening only. */
export const isSource = (part: Part): boolean =>
  part.ears === undefined &&
  part.circuit.some((e) => e.kind === 'electret' || (e.kind === 'signal' && e.hears !== 'playback'));

/** A part into which somebody speaks: it has a capsule, or a pack whose microphone has one. */
export const isSpoken = (part: Part): boolean =>
  part.circuit.some((e) => e.kind === 'electret' || (e.kind === 'signal' && e.hears === 'voice'));

/** A microphone with no power of its own. */
export const isBareMicrophone = (part: Part): boolean => isSpoken(part) && !part.power && !part.battery;
