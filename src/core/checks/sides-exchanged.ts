import type { Facts } from '../engine';
import { nodeKey } from '../engine/circuit';
import { SIDE_WITHIN, type Arrival, type HostInput } from '../engine/flow';
import { jointAt } from '../rig';
import { check, type Found } from './check';
import { inputOf } from './input-of';
import { SIDES } from './origins';
import { outputSides, type OutputSide } from './output-sides';

/** How much more of one side of an output stands on the other side of an input than on its own, dB. */
function astray({ channels }: HostInput, source: string, { gives, role }: OutputSide): number {
  const on = (side: OutputSide['role']): number => {
    const signals = channels.find((channel) => channel.side === side)?.signals ?? [];
    return signals.find((one) => one.source.id === nodeKey(source, gives))?.rms ?? -Infinity;
  };
  const [own, other] = role === 'left' ? [on('left'), on('right')] : [on('right'), on('left')];
  return other === -Infinity ? -Infinity : other - own;
}

function exchanged(facts: Facts, arrival: Arrival): Found[] {
  const { source, recorder, state, channels } = arrival;
  const laid = facts.laid.get(source);
  const input = state === 'recorded' && channels === 'both' ? inputOf(facts, arrival) : undefined;
  if (!laid || !input) return [];
  const sides = outputSides(facts, laid).filter(({ port }) => jointAt(facts.rig, { part: source, port }));
  const [first] = sides;
  const least = Math.min(...sides.map((side) => astray(input, source, side)));
  if (!first || new Set(sides.map(({ role }) => role)).size < 2 || least < SIDE_WITHIN) return [];
  const joint = jointAt(facts.rig, { part: source, port: first.port });
  return [
    {
      where: { joint: joint?.id },
      source,
      recorder,
      // On a side that nothing else comes to, it is infinitely more.
      values: Number.isFinite(least) ? [{ name: 'more on the wrong side', value: least, unit: 'dB' }] : [],
      limit: { value: SIDE_WITHIN, unit: 'dB', is: 'at most' },
    },
  ];
}

/** The left output is recorded on the right, and the right one on the left. */
export const sidesExchanged = check({
  code: 'sides-exchanged',
  means:
    'The left output is recorded on the right and the right output on the left: two plugs are in one another’s sockets. Harmless if the sides are exchanged afterwards, wrong in a live stream.',
  severity: ['note'],
  origin: SIDES,
  limit: `Either output at most ${SIDE_WITHIN} dB stronger on the other side than on its own (our own limit).`,
  cures: ['exchange', 'link'],
  find: (facts) => facts.arrivals.flatMap((arrival) => exchanged(facts, arrival)),
});
