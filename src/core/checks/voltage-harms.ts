import { nodeKey } from '../engine/circuit';
import type { Facts } from '../engine/facts';
import { jointAt } from '../rig';
import type { Finding } from './finding';
import { BEARS } from './origins';

/** Direct voltage, such as phantom power, on a contact that does not bear it. */
export function voltageHarms(facts: Facts): Finding[] {
  return [...facts.laid.values()].flatMap(({ placed, part }) =>
    (part.bears ?? []).flatMap(({ plus, minus, volts }): Finding[] => {
      const net = (node: string) => facts.nets.of(nodeKey(placed.id, node));
      const measured = Math.abs(facts.direct.between(net(plus), net(minus)) ?? 0);
      if (measured <= volts) return [];
      const port = plus.slice(0, plus.lastIndexOf('.'));
      const joint = jointAt(facts.rig, { part: placed.id, port })?.id;
      return [
        {
          code: 'voltage-harms',
          severity: 'danger',
          where: { part: placed.id, ...(joint !== undefined && { joint }) },
          other: placed.id,
          values: [{ name: 'direct voltage', value: measured, unit: 'V' }],
          limit: { value: volts, unit: 'V', is: 'at most' },
          origin: BEARS,
        },
      ];
    }),
  );
}
