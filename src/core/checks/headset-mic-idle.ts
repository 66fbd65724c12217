import { magnitude, nodeKey } from '../engine/circuit';
import type { Facts } from '../engine';
import { isHeadphones, isWornToListen } from '../parts';
import { outward, portOfNode, soundContacts } from '../engine/outward';
import { portOf, type LaidPart, type PortRef } from '../rig';
import { check, type Found } from './check';
import { HEADSET_IN_OUTPUT } from './origins';

/** Leads and adapters have less than this along them, ohms. */
const ADAPTERS_OHMS = 10;

/** Whether anything of what a part hears comes to any converter of the rig. */
const isHeard = (facts: Facts, placed: string): boolean =>
  facts.nets.branches
    .filter((b) => (b.kind === 'electret' || b.kind === 'signal') && b.placed === placed)
    .some((source) =>
      facts.inputs.some(({ capture, placed: at }) =>
        capture.channels.some(({ plus, minus }) => {
          const net = (node: string) => facts.nets.of(nodeKey(at, node));
          const gain = 'id' in source ? facts.alternating.gain(source.id, net(plus), net(minus)) : undefined;
          return gain !== undefined && magnitude(gain) > 0;
        }),
      ),
    );

/** The output by which its earpieces are driven, through whatever leads and adapters. */
function socketOf(facts: Facts, laid: LaidPart): PortRef | undefined {
  const [earpiece] = laid.part.ports.flatMap((port) => soundContacts(laid, port));
  if (earpiece === undefined) return undefined;
  const reached = outward(facts.wires, earpiece, ADAPTERS_OHMS);
  return [...reached.keys()].map(portOfNode).find((port) => portOf(facts.rig, port)?.direction === 'out');
}

/** A headset in a socket for headphones: one listens, and its own microphone goes nowhere. */
export const headsetMicIdle = check({
  code: 'headset-mic-idle',
  means:
    'A headset is in a socket for headphones: one hears by it, and its own microphone is not connected to anything.',
  severity: ['note'],
  origin: HEADSET_IN_OUTPUT,
  limit: 'Computed from the circuit: nothing of it comes to any input.',
  aspect: 'returns',
  cures: ['replug'],
  find: (facts) =>
    [...facts.laid.values()].flatMap((laid): Found[] => {
      const { placed, part } = laid;
      if (!isWornToListen(part) || isHeadphones(part) || facts.rig.purpose.sources.includes(placed.id))
        return [];
      const socket = socketOf(facts, laid);
      if (!socket || isHeard(facts, placed.id)) return [];
      return [{ where: { part: placed.id }, other: socket.part, values: [] }];
    }),
});
