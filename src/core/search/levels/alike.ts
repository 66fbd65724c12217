import type { Facts } from '../../engine';
import { inputOf, loudestChains } from '../../engine/levels';
import { controlsOf, type Control } from '../settings/controls';
import { hasTwoSides } from './programme';

/** A knob of one side of a stereo source, and the like of it on the other. */
export interface Alike {
  readonly one: Control;
  readonly other: Control;
}

/** Whether two controls are the same thing twice: on one part, with the same places. */
const isLike = (a: Control, b: Control): boolean =>
  a.part === b.part &&
  a.setting !== b.setting &&
  JSON.stringify(a.places.map(({ decibels }) => decibels)) ===
    JSON.stringify(b.places.map(({ decibels }) => decibels));

/** The knobs of a stereo source that are set alike (common practice): left and right are not to differ in level. */
export function alikeControls(facts: Facts): Alike[] {
  return facts.arrivals
    .filter((arrival) => hasTwoSides(facts, arrival))
    .flatMap((arrival) => {
      const channels = inputOf(facts, arrival)?.capture.channels ?? [];
      const [first = [], ...others] = loudestChains(facts, arrival).map((chain) =>
        controlsOf(facts, chain, channels[chain.number - 1]),
      );
      return others.flatMap((controls) =>
        controls.flatMap((other, at): Alike[] => {
          const one = first.at(at - controls.length);
          return one && isLike(one, other) ? [{ one, other }] : [];
        }),
      );
    });
}
