import { quoteValue } from '../schema';

/** The longest lead that a rig holds, metres. */
const LONGEST = 500;

export type LeadLengths =
  { readonly ok: true; readonly metres: readonly number[] } | { readonly ok: false; readonly says: string };

/** Metres of leads as written, parted by spaces or semicolons, a decimal comma or point: "1,5; 3; 3". Nothing written is an empty list. */
export function readLengths(text: string, most: number): LeadLengths {
  const words = text
    .trim()
    .split(/[;\s]+|,\s+/)
    .map((word) => word.replace(/m$/, '').replace(/,$/, ''))
    .filter(Boolean);
  const metres = words.map((word) => Number(word.replace(',', '.')));
  const bad = words.find((_, n) => !((metres[n] ?? 0) > 0 && (metres[n] ?? 0) <= LONGEST));
  if (bad !== undefined)
    return { ok: false, says: `${quoteValue(bad)} is no length; write metres, at most ${LONGEST}: 1.5; 3` };
  if (metres.length > most)
    return { ok: false, says: `${metres.length} lengths are written, and there are ${most} of it` };
  return { ok: true, metres };
}

export const sayLengths = (metres: readonly number[]): string => metres.join('; ');
