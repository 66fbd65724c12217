import type { Facts } from '../engine';
import { nodeKey } from '../engine/circuit';
import type { JointMating } from '../engine/mate';
import type { Connector, Contact } from '../plugs';
import { volts } from '../units';
import { check, type Found } from './check';
import { harmedContacts } from './harmed';
import { EQUAL_LEGS } from './origins';

/** The legs may stand so far apart, V: what is made for phantom draws on both alike, and a coil between them takes less. Our own. */
const MOST_APART = volts(1);

/** Where phantom comes: hot and cold (IEC 61076-2-103). */
const LEGS: Partial<Record<Connector, readonly [Contact, Contact]>> = { 'xlr-3': ['2', '3'] };

/** Direct volts between the legs at a joint. */
function legsApart(facts: Facts, { joint, jackPort }: JointMating): number {
  const [hot, cold] = (LEGS[jackPort.connector] ?? []).map((contact) =>
    facts.nets.of(nodeKey(joint.jack.part, `${joint.jack.port}.${contact}`)),
  );
  return Math.abs(facts.direct.between(hot, cold) ?? 0);
}

/**
 * Phantom where something shorts one of its legs: what hangs there is not made for it, even where no contact is past its maximum. Where
 * something is harmed, that is said instead.
 */
export const phantomOneSided = check({
  code: 'phantom-one-sided',
  means:
    'Phantom power is on, and the plug in the socket shorts one of its two legs: an unbalanced lead or a plain adapter hangs there. Nothing is past its maximum, and yet nothing there is made for it.',
  severity: ['spoils'],
  origin: EQUAL_LEGS,
  limit: `Legs of phantom at most ${MOST_APART} V apart (ours); what is made for it draws on both alike (IEC 61938).`,
  cures: ['switch', 'plug', 'link'],
  find: (facts) => {
    if (harmedContacts(facts).length > 0) return [];
    return facts.matings.flatMap((mated): Found[] => {
      const apart = legsApart(facts, mated);
      if (apart <= MOST_APART) return [];
      const { id, plug } = mated.joint;
      return [
        {
          where: { joint: id },
          other: plug.part,
          values: [{ name: 'between the legs', value: apart, unit: 'V' }],
          limit: { value: MOST_APART, unit: 'V', is: 'at most' },
        },
      ];
    });
  },
});
