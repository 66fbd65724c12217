import type { Part } from './types.generated';

/** Less than this is plug-in power; the least phantom supply, P12, is 12 ± 1 V (IEC 61938), which drops on the way. */
const LEAST_PHANTOM_VOLTS = 10;

/** Whether a part is silent without phantom power: its own sound, or its stages. */
export const wantsPhantom = (part: Part): boolean =>
  (part.stagesNeed?.volts ?? 0) >= LEAST_PHANTOM_VOLTS ||
  part.circuit.some((e) => e.kind === 'signal' && (e.needs?.volts ?? 0) >= LEAST_PHANTOM_VOLTS);
