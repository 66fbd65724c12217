import { CONVERTED, VOLTS, type Store } from './charge';
import type { Discharge } from './clock';

/** What carries a battery through a session that it does not last, as usual and at the worst. */
export type Carry =
  /** So much more coming in at 5 V all the while, mA. */
  | { readonly is: 'current'; readonly typical: number; readonly worst: number }
  /** So many sets of cells beside the first. */
  | { readonly is: 'cells'; readonly typical: number; readonly worst: number }
  /** So long on a charger, minutes: what is known by hours alone is charged as fast as it runs. */
  | { readonly is: 'charge'; readonly typical: number; readonly worst: number };

const atLeastNothing = (value: number): number => Math.max(0, value);

/** How much more is wanted of a store for so many minutes; its line tells how long it lasts. */
export function carryThrough(store: Store, { flat, flatSoonest }: Discharge, minutes: number): Carry {
  const [usual, soonest] = [flat ?? Infinity, flatSoonest ?? Infinity];
  if (store.cells !== undefined) {
    const sets = (lasts: number) => atLeastNothing(Math.ceil(minutes / Math.max(1, lasts)) - 1);
    return { is: 'cells', typical: sets(usual), worst: sets(soonest) };
  }
  if (store.byHours) {
    const lack = (lasts: number) => atLeastNothing(minutes - lasts);
    return { is: 'charge', typical: lack(usual), worst: lack(soonest) };
  }
  const hours = minutes / 60;
  const lack = (holds: number, takes: number) => {
    const watts = takes + store.gives - store.comes - (holds * store.begins) / hours;
    return (atLeastNothing(watts) / CONVERTED / VOLTS) * 1000;
  };
  return {
    is: 'current',
    typical: lack(store.holds.typical, store.takes.typical),
    worst: lack(store.holds.least, store.takes.most),
  };
}
