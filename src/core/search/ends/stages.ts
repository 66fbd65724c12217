import { LOST_IN_SUM_DB } from '../../checks';
import type { Part } from '../../parts';
import { SINE_CREST } from '../../units';
import { CLEAR_OF_FIRST } from '../bother';
import { LEAST_OVER_NOISE } from '../settings';
import type { Sound } from './end';
import { rangeOf } from './part-net';
import type { Passage } from './passage';

/** A sound at a place watched: volts RMS, complex, with every knob at the most and at the least. */
export interface Amplitude {
  readonly most: readonly [number, number];
  readonly least: readonly [number, number];
}

export const MUTE: Amplitude = { most: [0, 0], least: [0, 0] };

/** The size of a complex amplitude. */
export const size = ([re, im]: readonly [number, number]): number => Math.sqrt(re * re + im * im);
const decibels = (value: number): number => 20 * Math.log10(value);

/** Peaks may stand this far over a stage's limit, or under what they have to stand above its noise, in the estimate before it is given up: what a load still takes off. */
const GRACE = 3;

/** Peaks over a stage's own noise, dB, with every knob ahead of it at the most: nothing that follows brings up the one without the other. */
const overNoise = ({ most }: Amplitude, crest: number, noise: number): number =>
  decibels(size(most)) + crest - SINE_CREST - noise;

/**
 * Whether what several outputs of a source have in common is gone where they meet (checks/pair-cancels): both on one balanced input. The
 * estimate may be off by GRACE.
 */
export function cancels(sounds: readonly Amplitude[]): boolean {
  const there = sounds.map(({ most }) => most).filter((most) => size(most) > 0);
  if (there.length < 2) return false;
  const sum = there.reduce<readonly [number, number]>((a, b) => [a[0] + b[0], a[1] + b[1]], [0, 0]);
  const louder = Math.max(...there.map(size));
  return decibels(size(sum) / there.length / louder) < -(LOST_IN_SUM_DB + GRACE);
}

/** What drives of the part bring, sound by sound, from what its stages sense above their noise; held under their clip levels. */
export function driven(
  passage: Passage,
  part: Part,
  sounds: readonly Sound[],
  heard: ReadonlyMap<string, readonly Amplitude[]>,
  fed: boolean,
) {
  const found = new Map<string, Amplitude[]>();
  for (const { from, to, least, most, inverts, noise, fed: needsFeed } of passage.ways) {
    if (needsFeed && !fed) continue;
    const all = heard.get(from);
    if (!all || cancels(all)) continue;
    const sensed = all.map((one, index) =>
      overNoise(one, sounds[index]?.crest ?? 0, noise) < LEAST_OVER_NOISE - GRACE ? MUTE : one,
    );
    if (!sensed.some((one) => size(one.most) > 0)) continue;
    const sum = found.get(to) ?? sounds.map(() => MUTE);
    const sign = inverts ? -1 : 1;
    const plus = (a: readonly [number, number], b: readonly [number, number], factor: number) =>
      [a[0] + factor * b[0], a[1] + factor * b[1]] as const;
    found.set(
      to,
      sum.map((one, index) => {
        const add = sensed[index] ?? MUTE;
        return {
          most: plus(one.most, add.most, sign * most),
          least: plus(one.least, add.least, sign * least),
        };
      }),
    );
  }
  return { found, ...held(part, sounds, found), inLine: isInLine(passage, sounds, heard) };
}

/** Whether every stage that senses a bare microphone has so much noise that its peaks do not stand as far over it as they should. */
function isInLine(
  { ways }: Passage,
  sounds: readonly Sound[],
  heard: ReadonlyMap<string, readonly Amplitude[]>,
): boolean {
  if (!sounds.some(({ bare }) => bare)) return false;
  let clearest = -Infinity;
  for (const { from, noise } of ways)
    for (const [index, sensed] of heard.get(from)?.entries() ?? []) {
      const { bare = false, crest = 0 } = sounds[index] ?? {};
      const over = bare ? overNoise(sensed, crest, noise) : -Infinity;
      if (over >= LEAST_OVER_NOISE - GRACE) clearest = Math.max(clearest, over);
    }
  return clearest > -Infinity && clearest < CLEAR_OF_FIRST - GRACE;
}

/** Holds what drives bring under their clip levels; whether one would clip with every knob down. */
function held(part: Part, sounds: readonly Sound[], found: Map<string, Amplitude[]>): { clipped: boolean } {
  let clipped = false;
  for (const [id, amplitudes] of found) {
    const element = part.circuit.find((e) => e.kind === 'drive' && e.id === id);
    if (element?.kind !== 'drive') continue;
    const limit = rangeOf(element.clip, part).most + SINE_CREST;
    found.set(
      id,
      amplitudes.map((one, index) => {
        const crest = sounds[index]?.crest ?? 0;
        const over = decibels(size(one.most)) + crest - limit;
        if (decibels(size(one.least)) + crest - limit > GRACE) clipped = true;
        if (!(over > 0)) return one;
        const factor = 10 ** (-over / 20);
        return { ...one, most: [one.most[0] * factor, one.most[1] * factor] as const };
      }),
    );
  }
  return { clipped };
}
