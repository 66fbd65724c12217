import type { Facts } from '../engine';
import { nodeKey, type DirectSolution } from '../engine/circuit';
import { maximumsOf, type Maximum } from '../parts';
import { jointAt } from '../rig';
import type { Place } from './finding';

/** A contact with what stands on it and flows into it, and its absolute maximum. */
export interface Stressed {
  readonly part: string;
  readonly where: Place;
  readonly volts: number;
  readonly milliamps: number;
  readonly maximum: Maximum;
}

/** Kept as long as the circuit's direct voltages are: a knob of a stage changes none. */
const stressed = new WeakMap<DirectSolution, readonly Stressed[]>();

/** Contacts past their absolute maximum, by voltage or by current; of one port the worst. */
export function harmedContacts(facts: Facts): readonly Stressed[] {
  const known = stressed.get(facts.direct);
  if (known) return known;
  const found = [...facts.laid.values()].flatMap(({ placed, part }) => {
    const worst = new Map<string, Stressed>();
    for (const { port, plus, minus, ...maximum } of maximumsOf(part)) {
      const joint = jointAt(facts.rig, { part: placed.id, port })?.id;
      if (joint === undefined) continue;
      const net = (node: string) => facts.nets.of(nodeKey(placed.id, node));
      const volts = Math.abs(facts.direct.between(net(plus), net(minus)) ?? 0);
      const milliamps = 1000 * Math.abs(facts.direct.currentInto(placed.id, net(plus)) ?? 0);
      const over = Math.max(volts / (maximum.volts ?? Infinity), milliamps / (maximum.milliamps ?? Infinity));
      const before = worst.get(port);
      const one = { part: placed.id, where: { part: placed.id, joint }, volts, milliamps, maximum };
      const overBefore = before
        ? Math.max(
            before.volts / (before.maximum.volts ?? Infinity),
            before.milliamps / (before.maximum.milliamps ?? Infinity),
          )
        : 1;
      if (over > overBefore) worst.set(port, one);
    }
    return [...worst.values()];
  });
  stressed.set(facts.direct, found);
  return found;
}
