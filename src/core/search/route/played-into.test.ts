import { describe, expect, it } from 'vitest';
import { allFacts } from '../../engine';
import { CATALOGUE, findPart, isPassiveLink, type Part, type PartPort } from '../../parts';
import { mate } from '../../plugs';
import { layRig } from '../../../../testing/lay-rig';
import { isDigital } from '../ends';
import { USUAL_BOTHER } from '../bother';
import { costFor, costOf, plus, type Purse } from './inventory';
import { chainPlayedInto } from './played-into';
import { poolOf } from './pool';

const PURSE: Purse = { drawer: {}, bother: USUAL_BOTHER };
const POOL = poolOf(CATALOGUE);
const HOSTS = CATALOGUE.filter(({ host }) => (host?.busPorts ?? []).some(({ data }) => data));
/** Without eight inputs at full speed, which are more than a frame carries whatever they hang on. */
const PLAYERS = CATALOGUE.filter(
  ({ id, bus, host }) => !host && bus?.plays && id !== 'interface-eight-inputs',
);
/** Copper with two digital ends: what hangs between a host and a box, hubs and adapters with electronics left out. */
const LINKS = CATALOGUE.filter(
  (part) => isPassiveLink(part) && part.ports.length === 2 && part.ports.every(isDigital),
);

interface Way {
  readonly from: PartPort;
  readonly links: readonly { part: Part; entry: PartPort; exit: PartPort }[];
}

/** Whether the pipeline says that the box, plugged in and switched on, works at the host. */
function works(host: Part, box: Part, { from, links }: Way, to: PartPort): boolean {
  const ids = links.map((_, n) => `link-${n}`);
  const outs = [`host.${from.id}`, ...links.map(({ exit }, n) => `${ids[n]}.${exit.id}`)];
  const ins = [...links.map(({ entry }, n) => `${ids[n]}.${entry.id}`), `box.${to.id}`];
  const parts = {
    host: host.id,
    box: box.id,
    ...Object.fromEntries(links.map(({ part }, n) => [ids[n], part.id])),
  };
  const ends = [from, ...links.map(({ exit }) => exit)];
  const joints = outs.map((out, n) => (ends[n]?.gender === 'plug' ? `${out} ${ins[n]}` : `${ins[n]} ${out}`));
  const on = (box.power ?? []).flatMap((one) => ('setting' in one ? [[one.setting, one.is] as const] : []));
  const settings = { box: Object.fromEntries(on) };
  const { devices } = allFacts(layRig({ parts, joints, settings }))[0];
  return devices.some((one) => one.host === 'host' && one.placed === 'box' && one.accepted);
}

/** Every way of at most two pieces of copper whose plugs fit. */
function* waysBetween(host: Part, to: PartPort): Generator<Way> {
  const froms = host.ports.filter(isDigital);
  const ends = LINKS.flatMap((part) =>
    part.ports.flatMap((entry) =>
      part.ports.filter((p) => p !== entry).map((exit) => ({ part, entry, exit })),
    ),
  );
  for (const from of froms) {
    if (mate(from, to).fits) yield { from, links: [] };
    for (const one of ends) {
      if (!mate(from, one.entry).fits) continue;
      if (mate(one.exit, to).fits) yield { from, links: [one] };
      for (const other of ends)
        if (mate(one.exit, other.entry).fits && mate(other.exit, to).fits)
          yield { from, links: [one, other] };
    }
  }
}

const portOf = (box: Part): PartPort => box.ports.find(({ id }) => id === box.bus?.port)!;
const priced = (parts: readonly Part[]) => plus(costOf(parts, PURSE), costFor(0, 0, 1, PURSE)).weight;

describe('a host that plays into a box', () => {
  const pairs = HOSTS.flatMap((host) => PLAYERS.map((box) => ({ host, box })));

  it('by a way that the pipeline takes', () => {
    let ways = 0;
    for (const { host, box } of pairs) {
      const chain = chainPlayedInto(host, box, POOL, PURSE);
      // What wants a supply of its own gets one when the layout is completed.
      if (!chain || chain.links.some(({ part }) => part.hub)) continue;
      ways += 1;
      expect(works(host, box, chain, chain.to), `${box.id} at ${host.id}`).toBe(true);
    }
    expect(ways).toBeGreaterThan(60);
  });

  it('and no other of bare copper costs less, as trying all of it tells', () => {
    let [tried, cheapest] = [0, 0];
    for (const { host, box } of pairs) {
      const chain = chainPlayedInto(host, box, POOL, PURSE);
      const found = chain?.cost.weight ?? Infinity;
      for (const way of waysBetween(host, portOf(box))) {
        const weight = priced(way.links.map(({ part }) => part));
        if (weight >= found - 1e-6) continue;
        tried += 1;
        expect(works(host, box, way, portOf(box)), `${box.id} at ${host.id}`).toBe(false);
      }
      if (chain) cheapest += 1;
    }
    expect(tried).toBeGreaterThan(50);
    expect(cheapest).toBeGreaterThan(60);
  });

  it.each([
    ['a microphone, which plays nothing', 'laptop-combo', 'usb-mic-big-plain'],
    ['a camera, which plays into nothing', 'camera-trs', 'mixer-fx-usb'],
  ])('not into or from %s', (_, host, box) => {
    expect(chainPlayedInto(findPart(host)!, findPart(box)!, POOL, PURSE)).toBeUndefined();
  });
});
