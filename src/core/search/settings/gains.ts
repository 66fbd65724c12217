import type { Arrival, Chain } from '../../engine/flow';
import { inputOf, loudestChains } from '../../engine/levels';
import type { Facts } from '../../engine';
import type { RigEdit } from '../../rig';
import { controlsOf, type Control, type Place } from './controls';
import { LEAST_HEADROOM, TARGET_PEAK } from './targets';

/** Speech peaks this near to the target need no turning, dB. */
export const NEAR_ENOUGH = 6;

/** Levels along a chain, as they move while its controls are turned. */
interface Levels {
  /** Room under each stage's clip level, with the usual headroom at the converter, dB. */
  readonly room: number[];
  /** How far the converter's peaks are under the target, dB. */
  short: number;
}

const roomFrom = ({ room }: Levels, from: number): number => Math.min(...room.slice(from));

function move(levels: Levels, from: number, by: number): void {
  for (let index = from; index < levels.room.length; index += 1)
    levels.room[index] = (levels.room[index] ?? 0) - by;
  levels.short -= by;
}

/** The place of a control nearest to a wished gain from below, or from above where it must not be less. */
function placeFor({ places }: Control, wished: number, side: 'below' | 'above'): Place | undefined {
  return side === 'below'
    ? places.findLast(({ decibels }) => decibels <= wished + 1e-9)
    : (places.findLast(({ decibels }) => decibels <= wished + 1e-9) ?? places[0]);
}

/** Turns a control, at the most so far as it goes; gives the change in dB. */
function turn(levels: Levels, chosen: Map<Control, Place>, control: Control, by: number): number {
  const stands = chosen.get(control)?.decibels ?? control.stands;
  const place = placeFor(control, stands + by, by < 0 ? 'above' : 'below');
  if (!place || Math.abs(place.decibels - stands) < 1e-9 || place.decibels > stands !== by > 0) return 0;
  const change = place.decibels - stands;
  chosen.set(control, place);
  move(levels, control.from, change);
  return change;
}

/**
 * The places of a chain's controls at which no stage clips and peaks come near the target: what clips is turned down right ahead
 * of the stage, what is missing is made up as early as there is room for it, as noise is least then. Gains add along a chain and
 * clip levels are fixed, so one pass forward and one back suffice.
 */
export function solveChain(
  chain: Chain,
  controls: readonly Control[],
  near = NEAR_ENOUGH,
): Map<Control, Place> {
  const last = chain.stages.length - 1;
  const levels: Levels = {
    room: chain.stages.map(({ peak, clipLevel }, index) =>
      clipLevel === null ? Infinity : clipLevel - peak - (index === last ? LEAST_HEADROOM : 0),
    ),
    short: 0,
  };
  levels.short = (levels.room[last] ?? 0) + LEAST_HEADROOM + TARGET_PEAK;
  const chosen = new Map<Control, Place>();
  for (const index of levels.room.keys()) {
    for (const control of controls.filter(({ from }) => from <= index).toReversed()) {
      const room = levels.room[index] ?? 0;
      if (room < -1e-9) turn(levels, chosen, control, room);
    }
  }
  if (Math.abs(levels.short) <= near) return chosen;
  if (levels.short < 0) {
    for (const control of controls.toReversed())
      if (levels.short < -1e-9) turn(levels, chosen, control, levels.short);
    return chosen;
  }
  for (const control of controls) {
    if (levels.short <= 1e-9) break;
    const by = Math.min(levels.short, roomFrom(levels, control.from));
    if (by > 1e-9) turn(levels, chosen, control, by);
  }
  return chosen;
}

/** The loudest chain of an arrival's source into each channel that its recorder takes, the loudest of them first. */
function chainsOf(facts: Facts, arrival: Arrival): { chain: Chain; controls: Control[] }[] {
  const input = inputOf(facts, arrival);
  return loudestChains(facts, arrival).map((chain) => ({
    chain,
    controls: controlsOf(facts, chain, input?.capture.channels[chain.number - 1]),
  }));
}

/** What to turn so that every arrival comes well: each source by what is its own, then by what several share. */
export function gainEdits(facts: Facts, near = NEAR_ENOUGH): RigEdit[] {
  const edits = new Map<string, RigEdit>();
  for (const arrival of facts.arrivals) {
    if (arrival.state !== 'recorded' && arrival.state !== 'listed-silent') continue;
    for (const [index, { chain, controls }] of chainsOf(facts, arrival).entries()) {
      // What was turned for one source stays for the next.
      const free = controls.filter(({ part, setting }) => !edits.has(`${part} ${setting}`));
      // A second side that has a knob in common with the first has been moved with it.
      if (index > 0 && free.length < controls.length) continue;
      for (const [{ part, setting }, { option }] of solveChain(chain, free, near))
        edits.set(`${part} ${setting}`, { kind: 'set', part, setting, option });
    }
  }
  return [...edits.values()];
}
