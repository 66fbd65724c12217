import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { layRig, type RigSketch } from '../../../../testing/lay-rig';
import { outcomeOf } from '../../judge';
import type { Rig } from '../../rig';
import { allFacts } from '../facts';
import {
  arriving,
  discharge,
  lineOhms,
  netCharge,
  phantomSupplies,
  stores,
  supplyGraph,
  type Store,
} from '.';

const graphOf = (sketch: RigSketch) => supplyGraph(allFacts(layRig(sketch))[0]);
const feedTo = (sketch: RigSketch, part: string) => {
  const found = graphOf(sketch).feeds.find(({ to }) => to.part === part);
  if (!found) throw new Error(`nothing feeds ${part}`);
  return found;
};
const codes = (sketch: RigSketch) => outcomeOf(layRig(sketch)).findings.map(({ code }) => code);

/** Four low-draw devices on a hub without a supply. */
const four = (device: string): RigSketch => ({
  parts: {
    one: device,
    two: device,
    three: device,
    four: device,
    hub: 'hub-unpowered',
    adapter: 'adapter-usb-c-charge',
    tablet: 'tablet-usb-c',
  },
  joints: [
    'one.usb hub.s1',
    'two.usb hub.s2',
    'three.usb hub.s3',
    'four.usb hub.s4',
    'hub.plug adapter.usb',
    'adapter.plug tablet.port',
  ],
  recorder: 'tablet',
});

describe('budgets of USB 2.0, 7.2', () => {
  it('four devices of 100 mA on a bus-powered hub: 500 mA less the hub’s own 100 feed them all', () => {
    // 7.2.1.1: a bus-powered hub draws 500 mA at the most, 100 of it its own, and gives four sockets 100 each.
    const devices = allFacts(layRig(four('mouse-usb')))[0].devices;
    expect(devices.map(({ fed }) => fed)).toEqual([true, true, true, true]);
    expect(feedTo(four('mouse-usb'), 'hub').takes).toBe(500);
  });

  it('a device of 200 mA is refused on such a socket, whoever else is there', () => {
    const [facts] = allFacts(layRig(four('storage-usb')));
    expect(facts.devices.every(({ fed }) => !fed)).toBe(true);
    expect(facts.devices.map(({ offered }) => offered.most)).toEqual([100, 100, 100, 100]);
  });

  it('behind a bus-powered hub: 4.75 V at the least, less each lead’s drop and 0.10 V in the hub (7.2.2)', () => {
    // A hub at the end of a lead, and a device on it.
    const graph = graphOf(four('mouse-usb'));
    const device = graph.feeds.find(({ to }) => to.part === 'one')!;
    const hub = graph.feeds.find(({ to }) => to.part === 'hub')!;
    const { typical, least } = arriving(graph, device);
    const drops = [device, hub].map(({ takes, metres }) => (takes / 1000) * lineOhms(metres, 0.213));
    // The adapter has no supply either: it loses as much as a hub at the most.
    const adapter = graph.feeds.find(({ to }) => to.part === 'adapter')!;
    const above = (adapter.takes / 1000) * lineOhms(adapter.metres, 0.213);
    expect(least).toBeCloseTo(4.75 - above - 0.1 - drops[1]! - 0.1 - drops[0]!, 6);
    expect(typical).toBeGreaterThan(least);
  });

  it('5 m of lead at 490 mA leave a device more than 4.40 V, and 15 m do not', () => {
    const rig = (metres: number): Rig => {
      const laid = layRig({
        parts: { interface: 'interface-two-inputs-usb-b', lead: 'lead-usb-c-b', phone: 'laptop-combo' },
        joints: ['interface.usb lead.b', 'lead.a phone.usb-c'],
        settings: { interface: { phantom: 'on' } },
      });
      return { ...laid, parts: laid.parts.map((p) => (p.id === 'lead' ? { ...p, length: metres } : p)) };
    };
    const sags = (metres: number) => outcomeOf(rig(metres)).findings.some(({ code }) => code === 'sags');
    // Two conductors of 24 AWG, 84.2 mΩ a metre, and 120 mΩ of contacts: 0.49 A · (0.168·L + 0.12) Ω is 0.6 V at 6.6 m.
    expect(sags(5)).toBe(false);
    expect(sags(15)).toBe(true);
  });
});

describe('phantom power (IEC 61938: 48 ± 4 V through 6.81 kΩ a leg, at most 10 mA a microphone)', () => {
  const two: RigSketch = {
    parts: {
      one: 'condenser-xlr',
      other: 'condenser-xlr',
      a: 'lead-xlr',
      b: 'lead-xlr',
      interface: 'interface-two-inputs-usb-b',
      usb: 'lead-usb-c-b',
      tablet: 'tablet-usb-c',
    },
    joints: [
      'one.out a.holes',
      'a.pins interface.mic-1',
      'other.out b.holes',
      'b.pins interface.mic-2',
      'interface.usb usb.b',
      'usb.a tablet.port',
    ],
    settings: { interface: { phantom: 'on' } },
  };

  it('two microphones on one interface take twice what one takes, within 10 mA each', () => {
    const taken = phantomSupplies(allFacts(layRig(two))[0]).map(({ milliamps }) => milliamps);
    const sum = taken.reduce((all, one) => all + one, 0);
    const [alone] = phantomSupplies(
      allFacts(
        layRig({ ...two, joints: two.joints.filter((j) => !j.startsWith('other.') && !j.startsWith('b.')) }),
      )[0],
    );
    expect(taken).toHaveLength(2);
    expect(sum).toBeCloseTo(2 * alone!.milliamps, 6);
    for (const milliamps of taken) expect(milliamps).toBeLessThan(10);
  });
});

describe('a tablet’s port', () => {
  const direct = (device: string): RigSketch => ({
    parts: { mic: device, lead: 'lead-usb-c-c', tablet: 'tablet-usb-c' },
    joints: ['mic.usb lead.a', 'lead.b tablet.port'],
  });

  it('of USB-C feeds a microphone of 100 mA without a hub, with the numbers', () => {
    const [facts] = allFacts(layRig(direct('usb-mic-low')));
    expect(facts.devices[0]).toMatchObject({ fed: true, offered: { least: 500, most: 500 } });
    expect(facts.devices[0]!.draws).toBeLessThanOrEqual(100);
    expect(codes(direct('usb-mic-low'))).not.toContain('starved');
  });
});

describe('power banks', () => {
  it('may turn off where next to nothing is drawn, and not while a phone charges', () => {
    const bank = (charged: string): RigSketch => ({
      parts: { pack: charged, lead: 'lead-usb-a-c', bank: 'power-bank', phone: 'phone-ctia' },
      joints: ['lead.a bank.out', `lead.b pack.${charged === 'phone-usb-c' ? 'port' : 'usb'}`],
      source: 'pack',
      recorder: 'phone',
    });
    expect(feedTo(bank('phone-usb-c'), 'pack').takes).toBe(1500);
    // A dongle’s 30 mA are under the 70 that usually keep a bank awake.
    const dongle: RigSketch = {
      parts: { dongle: 'dongle-usb-c-headset', bank: 'power-bank-usb-c', phone: 'phone-ctia' },
      joints: ['dongle.plug bank.out'],
      source: 'dongle',
      recorder: 'phone',
    };
    expect(feedTo(dongle, 'dongle').takes).toBe(30);
    expect(codes(dongle)).toContain('bank-sleeps');
    expect(codes(bank('phone-usb-c'))).not.toContain('bank-sleeps');
  });
});

const store = (over: Partial<Store>): Store => ({
  placed: 'a',
  holds: { typical: 10, least: 8, most: 12 },
  takes: { typical: 1, least: 0.5, most: 2 },
  gives: 0,
  comes: 0,
  from: [],
  byHours: false,
  begins: 1,
  ...over,
});

describe('the session clock', () => {
  it('an alkaline 9 V cell of 500 mAh carries a preamplifier of 30 mA for about 16 h, an AA of 2,000 mAh 50 mA for 40 h', () => {
    // IEC 60086-2 types 6LR61 and LR6; makers’ figures at small loads, from memory: hours are mAh over mA.
    const hours = (volts: number, milliampHours: number, milliamps: number) => {
      const [found] = discharge([
        store({
          holds: {
            typical: (volts * milliampHours) / 1000,
            least: (volts * milliampHours) / 1000,
            most: (volts * milliampHours) / 1000,
          },
          takes: {
            typical: (volts * milliamps) / 1000,
            least: (volts * milliamps) / 1000,
            most: (volts * milliamps) / 1000,
          },
        }),
      ]);
      return (found?.flat ?? Infinity) / 60;
    };
    expect(hours(9, 500, 30)).toBeCloseTo(500 / 30, 6);
    expect(hours(1.2, 2000, 50)).toBeCloseTo(40, 6);
  });

  it('is soonest empty with the least it may hold and the most that may be taken', () => {
    const [found] = discharge([store({})]);
    expect(found).toMatchObject({ flat: 600, flatSoonest: 240, flatLatest: 1440 });
  });

  it('a bank carries a phone until it is empty itself, and then the phone’s own cell goes on', () => {
    const one = (typical: number) => ({ typical, least: typical, most: typical });
    const [phone, bank] = discharge([
      store({ placed: 'phone', holds: one(10), takes: one(2), comes: 2, from: ['bank'] }),
      store({ placed: 'bank', holds: one(20), takes: one(0), gives: 4 }),
    ]);
    expect(bank?.flat).toBe(300);
    expect(phone?.flat).toBe(600);
    expect(phone?.line.map(([at]) => at)).toContain(300);
  });

  it('half full at the start is half as long', () => {
    const rig = layRig({
      parts: { mic: 'clip-on-trrs', phone: 'phone-ctia' },
      joints: ['mic.plug phone.jack'],
    });
    const empties = (charge: number) => {
      const half = {
        ...rig,
        surroundings: {
          ...rig.surroundings,
          session: { minutes: 60, load: 'film' as const, charge: { phone: charge } },
        },
      };
      return discharge(stores(allFacts(half)[0])).find(({ placed }) => placed === 'phone')!.flat!;
    };
    // 13 Wh at 3 W: 260 minutes.
    expect(empties(1)).toBeCloseTo(260, 6);
    expect(empties(0.5)).toBeCloseTo(130, 6);
  });

  it('says what is empty before the planned end, and is silent where nothing is planned', () => {
    const rig = layRig({
      parts: { mic: 'clip-on-trrs', phone: 'phone-ctia' },
      joints: ['mic.plug phone.jack'],
    });
    const planned = (minutes: number): Rig => ({
      ...rig,
      surroundings: { ...rig.surroundings, session: { minutes, load: 'film' } },
    });
    const found = (one: Rig) => outcomeOf(one).findings.find(({ code }) => code === 'runs-flat')?.severity;
    expect(found(rig)).toBeUndefined();
    expect(found(planned(100))).toBeUndefined();
    expect(found(planned(200))).toBe('note');
    expect(found(planned(300))).toBe('spoils');
  });
});

describe('what a host gains', () => {
  const charged = (charger: string): Rig =>
    layRig({
      parts: { dongle: 'dongle-usb-c-charge', charger, phone: 'phone-usb-c' },
      joints: ['dongle.plug phone.port', 'charger.out dongle.charge'],
      apps: { phone: 'live-stream' },
    });
  it('is what comes in less what it takes, and negative without a charger', () => {
    const [facts] = allFacts(charged('charger-usb-c'));
    // 1.5 A through 85 % against 4.5 W of streaming and 30 mA for the dongle.
    expect(netCharge(facts, 'phone')).toBeCloseTo((1.5 * 5 * 0.85 - 4.5 - 0.15 / 0.85) * 200, 6);
    const [bare] = allFacts(
      layRig({
        parts: { dongle: 'dongle-usb-c-charge', phone: 'phone-usb-c' },
        joints: ['dongle.plug phone.port'],
        apps: { phone: 'live-stream' },
      }),
    );
    expect(netCharge(bare, 'phone')).toBeLessThan(0);
  });
});

/** Random trees of hubs and devices on a host that gives so much. */
const DEVICES = ['mouse-usb', 'storage-usb', 'usb-mic-low', 'usb-mic-big'] as const;
const trees = fc.record({
  devices: fc.array(fc.constantFrom(...DEVICES), { minLength: 1, maxLength: 6 }),
  supplied: fc.boolean(),
  nested: fc.boolean(),
});

function treeOf({
  devices,
  supplied,
  nested,
}: {
  devices: string[];
  supplied: boolean;
  nested: boolean;
}): Rig {
  const inner = nested ? devices.slice(2) : [];
  const outer = nested ? devices.slice(0, 2) : devices.slice(0, 4);
  const parts: Record<string, string> = { computer: 'computer-separate', hub: 'hub-usb-a' };
  const joints = ['hub.plug computer.usb-1'];
  if (nested) {
    parts.below = 'hub-unpowered';
    joints.push('below.plug hub.three');
  }
  outer.slice(0, nested ? 0 : 1).forEach((device, n) => {
    parts[`outer-${n}`] = device;
    joints.push(`outer-${n}.usb hub.three`);
  });
  inner.slice(0, 4).forEach((device, n) => {
    parts[`inner-${n}`] = device;
    joints.push(`inner-${n}.usb below.s${n + 1}`);
  });
  return layRig({
    parts,
    joints,
    recorder: 'computer',
    source: Object.keys(parts).find((id) => id.startsWith('outer') || id.startsWith('inner')) ?? 'hub',
    settings: { hub: { supply: supplied ? 'on' : 'off' } },
  });
}

/** The same with every socket of the host that much stronger, and hubs whose sockets give all that comes to them. */
const stronger = (rig: Rig, from: number, to: number): number[][] =>
  [from, to].map((gives) => {
    const [facts] = allFacts(rig);
    const host = facts.laid.get('computer')!;
    const part = {
      ...host.part,
      id: `own-${gives}`,
      outlets: [],
      host: { ...host.part.host!, busPorts: host.part.host!.busPorts.map((p) => ({ ...p, feeds: gives })) },
    };
    const hubs = ['hub', 'below'].flatMap((id) => {
      const hub = facts.laid.get(id)?.part;
      if (!hub?.hub) return [];
      const sockets = hub.hub.sockets.map((socket) => ({ ...socket, feeds: 2000 }));
      return [{ ...hub, id: `own-${id}`, hub: { ...hub.hub, sockets } }];
    });
    const owned = new Map([['computer', part.id], ...hubs.map(({ id }) => [id.slice(4), id] as const)]);
    const own: Rig = {
      ...rig,
      parts: rig.parts.map((p) => ({ ...p, part: owned.get(p.id) ?? p.part })),
      ownParts: [part, ...hubs],
    };
    return allFacts(own)[0].devices.map(({ fed }) => Number(fed));
  });

describe('random supply graphs (seeded)', () => {
  it('no current comes from nowhere: what is fed is at most what the sockets give', () => {
    let fed = 0;
    fc.assert(
      fc.property(trees, (tree) => {
        const [facts] = allFacts(treeOf(tree));
        const { feeds, isSupplied } = supplyGraph(facts);
        for (const feed of feeds) {
          fed += feed.takes > 0 ? 1 : 0;
          // A hub’s own draw stands whether or not anything is left for it.
          const own = facts.laid.get(feed.to.part)?.part.hub?.ownDraw ?? 0;
          expect(feed.takes).toBeLessThanOrEqual(Math.max(feed.gives.most, own));
        }
        const hub = facts.laid.get('hub')!;
        const below = feeds.filter(({ from }) => from.part === hub.placed.id);
        const sum = below.reduce((all, { takes }) => all + takes, 0);
        if (!isSupplied('hub')) expect(sum).toBeLessThanOrEqual(400);
      }),
      { seed: 13, numRuns: 300 },
    );
    expect(fed).toBeGreaterThan(100);
  });

  it('a bigger supply never starves anything', () => {
    let differ = 0;
    fc.assert(
      fc.property(
        trees,
        fc.integer({ min: 0, max: 600 }),
        fc.integer({ min: 0, max: 900 }),
        (tree, from, more) => {
          const [small, big] = stronger(treeOf(tree), from, from + more);
          differ += small!.join() === big!.join() ? 0 : 1;
          for (const [index, was] of small!.entries()) expect(big![index]).toBeGreaterThanOrEqual(was);
        },
      ),
      { seed: 14, numRuns: 300 },
    );
    expect(differ).toBeGreaterThan(10);
  });
});
