import type { Part } from '../../parts';
import { playsAt, playerEnd, type OpenEnd } from '../ends';
import { reachAfter, standsApart, type Reach } from '../standing';
import { kindOfChain } from './chain-kinds';
import { Heap } from '../heap';
import {
  compareCosts,
  costFor,
  costOfOneMore,
  NOTHING,
  plus,
  useAlso,
  useOf,
  type Cost,
  type Purse,
  type Used,
} from './inventory';
import type { Link, PartChain } from './part-chain';
import type { Pool } from './pool';

/** So many leads, adapters and hubs stand at the most between what plays and the box that is its sound device. Ours. */
const MOST_LINKS = 3;

/** A way that grows from the box to what plays. */
interface Grown {
  readonly end: OpenEnd;
  /** As they are met on the way from what plays. */
  readonly links: readonly Link[];
  readonly used: Used;
  readonly reach: Reach;
  readonly cost: Cost;
}

/**
 * The cheapest way by which a phone or computer plays into a box that is its sound device: from a port of the host over leads, adapters and
 * hubs to the box's own. Found from the box on, as numbers go the other way over the same lines. Nothing where there is none.
 */
export function chainPlayedInto(host: Part, box: Part, pool: Pool, purse: Purse): PartChain | undefined {
  const start = host.host && playerEnd(box);
  if (!start) return undefined;
  const queue = new Heap<Grown>((a, b) => compareCosts(a.cost, b.cost));
  queue.push({
    end: start,
    links: [],
    used: useOf([]),
    reach: reachAfter(undefined, box, start.port),
    cost: NOTHING,
  });
  const seen = new Set<string>();
  for (let next = queue.pop(); next; next = queue.pop()) {
    const { end, links, used, reach, cost } = next;
    const name = `${end.state} ${reach}`;
    if (seen.has(name)) continue;
    seen.add(name);
    const from = host.ports.find((port) => playsAt(host, port, end) && !standsApart(reach, host, port));
    if (from) return chainOf(from, links, start.port, reach, plus(cost, costFor(0, 0, 1, purse)));
    if (links.length === MOST_LINKS) continue;
    for (const entry of pool.entriesFor(end)) {
      const { part, port } = entry;
      if (standsApart(reach, part, port)) continue;
      for (const step of pool.stepsOn(end, entry))
        queue.push({
          end: step.end,
          links: [{ part, entry: step.end.port, exit: port }, ...links],
          used: useAlso(used, part),
          reach: reachAfter(reach, part, step.end.port),
          cost: plus(cost, costOfOneMore(part, used, purse)),
        });
    }
  }
  return undefined;
}

const chainOf = (
  from: PartChain['from'],
  links: readonly Link[],
  to: PartChain['to'],
  reach: Reach,
  cost: Cost,
): PartChain => ({
  from,
  links,
  to,
  kind: kindOfChain(from, links, to),
  way: `plays by ${links.map(({ part }) => part.id).join('>')}>${to.id}`,
  state: 'played by numbers',
  reach,
  copper: [0, 0],
  cost,
  sure: 0,
});
