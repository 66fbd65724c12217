import { measuring, type Measures } from '../../src/core/signal/measure';
import { readTake } from '../../src/core/signal/reading';
import { cleanTake, FAULTS, STRENGTHS, type Strength } from './faults';
import { RATE } from './voice';

/** Measures sides that are all there, in pieces of an odd length. */
export function measured(sides: readonly Float32Array[], sampleRate = RATE): Measures {
  const length = sides[0]?.length ?? 0;
  const measure = measuring({ sampleRate, channels: sides.length }, length / sampleRate);
  const cut = 10_007;
  for (let at = 0; at < length; at += cut) measure.push(sides.map((side) => side.subarray(at, at + cut)));
  return measure.finish();
}

/** As a recorder with 16 bits would store it. */
export const stored = (sides: readonly Float32Array[]): Float32Array[] =>
  sides.map((side) => side.map((v) => Math.max(-32_768, Math.min(32_767, Math.round(v * 32_767))) / 32_768));

export interface Row {
  readonly fault: string;
  readonly strength: Strength;
  readonly takes: number;
  readonly hits: number;
  /** Other findings than the fault’s own, notes left out. */
  readonly others: Readonly<Record<string, number>>;
}

/** Puts each fault on `each` voices in every strength. */
export function studyFaults(
  voices: readonly Float32Array[],
  each: number,
  strengths: readonly Strength[] = STRENGTHS,
): Row[] {
  return FAULTS.flatMap((fault, f) =>
    strengths.map((strength): Row => {
      let hits = 0;
      const others: Record<string, number> = {};
      for (let n = 0; n < each; n += 1) {
        const voice = voices[(n + f) % voices.length] as Float32Array;
        const found = readTake(measured(stored(fault.put(voice, STRENGTHS.indexOf(strength), 1000 * f + n))));
        if (found.some(({ code }) => fault.finds.includes(code))) hits += 1;
        for (const { code, severity } of found)
          if (!fault.finds.includes(code) && severity !== 'note') others[code] = (others[code] ?? 0) + 1;
      }
      return { fault: fault.name, strength, takes: each, hits, others };
    }),
  );
}

/** Alarms on clean takes: codes with how often, notes too. */
export function studyClean(voices: readonly Float32Array[], many: number): Record<string, number> {
  const alarms: Record<string, number> = {};
  for (let n = 0; n < many; n += 1) {
    for (const { code } of readTake(
      measured(stored(cleanTake(voices[n % voices.length] as Float32Array, n))),
    )) {
      alarms[code] = (alarms[code] ?? 0) + 1;
    }
  }
  return alarms;
}
