import { describe, expect, it } from 'vitest';
import { CATALOGUE, findPart, supplySockets } from '../../parts';
import {
  halvedSources,
  withHeadphones,
  withPairs,
  withSecondLead,
  withSecondWay,
  withSupply,
} from './attach';
import { chargesThrough, chargingSockets, suppliedPorts } from './charging';
import { completed } from './complete';
import { USUAL_BOTHER } from '../bother';
import type { RouteRequest, Wishes } from './request';
import { layLayout as lay } from '../../../../testing/lay-layout';
import { between, isTaken, layoutCost, split, type Layout, type Piece } from './layout';

const halved = (layout: Layout): boolean => halvedSources(layout).length > 0;

const part = (id: string) => findPart(id)!;
const purse = (drawer: Readonly<Record<string, number>> = {}) => ({ drawer, bother: USUAL_BOTHER });
const STOCK = { parts: CATALOGUE, purse: purse() };
const asking = (wishes: Wishes): RouteRequest => ({
  format: 'symplex-request',
  version: 1,
  sources: [],
  destinations: [],
  wishes,
});

const deck = lay(
  ['deck', 'lead-rca', 'line-streamer', 'phone-usb-c'],
  ['deck.left lead-rca.a', 'lead-rca.b line-streamer.left', 'line-streamer.usb phone-usb-c.port'],
);

describe('the other half of a pair', () => {
  it('a deck of which one side is joined is halved, and a second lead makes it whole', () => {
    expect(halved(deck)).toBe(true);
    const [whole] = withSecondLead(deck);
    expect(halved(whole!)).toBe(false);
    expect(isTaken(whole!, { part: 'line-streamer', port: 'right' })).toBe(true);
    expect(between(whole!).map((p) => p.id)).toEqual(['lead-rca', 'line-streamer', 'lead-rca']);
  });

  it('lead, DI box and lead once more lead the other output of a keyboard to the next input', () => {
    const one = lay(
      ['keyboard', 'lead-jack-ts', 'di-passive', 'lead-xlr', 'recorder-xlr'],
      [
        'keyboard.left lead-jack-ts.a',
        'lead-jack-ts.b di-passive.in',
        'di-passive.out lead-xlr.holes',
        'lead-xlr.pins recorder-xlr.mic-1',
      ],
    );
    expect(withSecondLead(one)).toEqual([]);
    const [both, ...more] = withSecondWay(one);
    expect(more).toEqual([]);
    expect(halved(both!)).toBe(false);
    expect(isTaken(both!, { part: 'recorder-xlr', port: 'mic-2' })).toBe(true);
    const row = ['lead-jack-ts', 'di-passive', 'lead-xlr'];
    expect(between(both!).map((p) => p.id)).toEqual([...row, ...row]);
  });

  it('begins at the loose plug of a lead that parts the sides, too: a DI box and a lead for either', () => {
    const parted = lay(
      ['player-portable', 'lead-breakout-jacks', 'di-passive', 'lead-xlr', 'recorder-xlr'],
      [
        'player-portable.out lead-breakout-jacks.small',
        'lead-breakout-jacks.left di-passive.in',
        'di-passive.out lead-xlr.holes',
        'lead-xlr.pins recorder-xlr.mic-1',
      ],
    );
    const [both, ...more] = withSecondWay(parted);
    expect(more).toEqual([]);
    expect(isTaken(both!, { part: 'lead-breakout-jacks', port: 'right' })).toBe(true);
    expect(isTaken(both!, { part: 'recorder-xlr', port: 'mic-2' })).toBe(true);
    expect(between(both!).map(({ id }) => id)).toEqual([
      'lead-breakout-jacks',
      'di-passive',
      'lead-xlr',
      'di-passive',
      'lead-xlr',
    ]);
    expect(completed(parted, asking({ channels: 'stereo' }), STOCK)).toHaveLength(1);
    expect(completed(parted, asking({ channels: 'mono' }), STOCK)).toEqual([parted]);
  });

  it('is not led beside a plug that carries the same as the other', () => {
    const parted = lay(
      ['player-portable', 'lead-breakout-jacks', 'di-passive', 'lead-xlr', 'recorder-xlr'],
      [
        'player-portable.out lead-breakout-jacks.small',
        'lead-breakout-jacks.left di-passive.in',
        'di-passive.out lead-xlr.holes',
        'lead-xlr.pins recorder-xlr.mic-1',
      ],
    );
    const tie = { kind: 'wire', a: 'small.T', b: 'small.R' } as const;
    const tied = (one: Piece): Piece =>
      one.id === 'lead-breakout-jacks'
        ? { ...one, part: { ...one.part, id: 'own-lead', circuit: [...one.part.circuit, tie] } }
        : one;
    expect(withSecondWay(parted)).toHaveLength(1);
    expect(withSecondWay({ ...parted, pieces: parted.pieces.map(tied) })).toEqual([]);
  });

  it('which a guitar has not, nor a recorder with one socket', () => {
    const into = (source: string, out: string, host: string, socket: string) =>
      lay(
        [source, 'lead-jack-ts', 'pad-jack-40', host],
        [
          `${source}.${out} lead-jack-ts.a`,
          'lead-jack-ts.b pad-jack-40.in',
          `pad-jack-40.out ${host}.${socket}`,
        ],
      );
    expect(withSecondWay(into('guitar', 'out', 'recorder-line', 'line-left'))).toEqual([]);
    expect(withSecondWay(into('keyboard', 'left', 'recorder-small', 'mic'))).toEqual([]);
  });

  it('a lead with a plug for either side has both pushed in', () => {
    const one = lay(['deck', 'lead-rca-pair-trs', 'camera-trs'], ['deck.left lead-rca-pair-trs.left']);
    const both = withPairs(one);
    expect(isTaken(both, { part: 'deck', port: 'right' })).toBe(true);
    expect(halved(both)).toBe(false);
  });

  it('of two sources that are halved each is made whole, beside its own half', () => {
    const keys = lay(
      ['keyboard', 'deck', 'lead-jack-ts', 'lead-jack-rca', 'mixer-monitor-fx', 'camera-trs'],
      [
        'keyboard.left lead-jack-ts.a',
        'lead-jack-ts.b mixer-monitor-fx.pair-1-left',
        'deck.left lead-jack-rca.rca',
        'lead-jack-rca.big mixer-monitor-fx.pair-2-left',
      ],
    );
    const two = { ...keys, sources: ['keyboard', 'deck'] };
    const [whole] = completed(two, asking({}), STOCK);
    const leads = (id: string) => between(whole!).filter((one) => one.id === id);
    expect(halved(whole!)).toBe(false);
    expect([leads('lead-jack-ts').length, leads('lead-jack-rca').length]).toEqual([2, 2]);
    const far = whole!.joints.flatMap(({ jack }) => (jack.part === 'mixer-monitor-fx' ? [jack.port] : []));
    expect(far).toEqual(['pair-1-left', 'pair-2-left', 'pair-1-right', 'pair-2-right']);
  });

  it('who asks for mono is spared the second lead', () => {
    expect(completed(deck, asking({ channels: 'mono' }), STOCK)).toEqual([deck]);
    expect(completed(deck, asking({}), STOCK).every((layout) => !halved(layout))).toBe(true);
  });
});

describe('a supply', () => {
  const mic = lay(['usb-mic-big', 'phone-ctia'], []);
  it('is put where a part can be fed, at what costs least', () => {
    const [fed] = withSupply(mic, { part: 'usb-mic-big', port: 'usb' }, STOCK);
    const families = between(fed!).map((p) => p.family);
    expect(families).toContain('supply');
    const cost = layoutCost(fed!, purse()).price;
    for (const other of withSupply(mic, { part: 'usb-mic-big', port: 'usb' }, STOCK, 50)) {
      expect(layoutCost(other, purse()).price).toBeGreaterThanOrEqual(cost);
    }
  });

  it('what is owned comes before what is cheap', () => {
    const drawer = { 'power-bank': 1, 'lead-usb-a-b': 1 };
    const [fed] = withSupply(
      mic,
      { part: 'usb-mic-big', port: 'usb' },
      { parts: CATALOGUE, purse: purse(drawer) },
    );
    expect(layoutCost(fed!, purse(drawer))).toMatchObject({ purchases: 0, price: 0 });
  });

  it('is not put into a socket that is taken, nor into one that is none', () => {
    const taken = lay(['usb-mic-low', 'lead-usb-c-c', 'phone-usb-c'], ['usb-mic-low.usb lead-usb-c-c.a']);
    expect(withSupply(taken, { part: 'usb-mic-low', port: 'usb' }, STOCK)).toEqual([]);
    expect(withSupply(mic, { part: 'usb-mic-big', port: 'no-such' }, STOCK)).toEqual([]);
    expect(supplySockets(part('hub-usb-c'))).toEqual(['charge']);
  });
});

describe('a phone that charges', () => {
  const bare = lay(
    ['usb-mic-low', 'lead-usb-a-c', 'adapter-usb-c-charge', 'phone-usb-c'],
    [
      'usb-mic-low.usb lead-usb-a-c.b',
      'lead-usb-a-c.a adapter-usb-c-charge.usb',
      'adapter-usb-c-charge.plug phone-usb-c.port',
    ],
  );
  it('does so through the socket of what fills its port', () => {
    expect(suppliedPorts(bare, 'phone-usb-c')).toBe(false);
    expect(chargingSockets(bare, 'phone-usb-c')).toEqual([{ part: 'adapter-usb-c-charge', port: 'charge' }]);
    const [charged] = completed(bare, asking({ charge: true }), STOCK);
    expect(suppliedPorts(charged!, 'phone-usb-c')).toBe(true);
  });

  it('cannot where the port is filled by what passes nothing on', () => {
    const direct = lay(['receiver-usb', 'phone-usb-c'], ['receiver-usb.usb phone-usb-c.port']);
    expect(chargingSockets(direct, 'phone-usb-c')).toEqual([]);
    expect(completed(direct, asking({ charge: true }), STOCK)).toEqual([]);
  });

  it('charges by a port of its own where that is free, and a charger is put there', () => {
    const free = lay(['receiver-trs', 'phone-usb-c'], []);
    expect(suppliedPorts(free, 'phone-usb-c')).toBe(false);
    expect(chargingSockets(free, 'phone-usb-c')).toEqual([{ part: 'phone-usb-c', port: 'port' }]);
    const [charged] = completed(free, asking({ charge: true }), STOCK);
    expect(suppliedPorts(charged!, 'phone-usb-c')).toBe(true);
    expect(suppliedPorts(lay(['receiver-trs', 'phone-ctia'], []), 'phone-ctia')).toBe(true);
    expect(chargesThrough(part('phone-usb-c'))).toBe(true);
    expect(chargesThrough(part('phone-ctia'))).toBe(false);
    expect(chargesThrough(part('laptop-combo'))).toBe(false);
  });
});

describe('headphones', () => {
  it('go into each socket that could feed them, over an adapter where they do not fit', () => {
    const split = lay(
      ['receiver-trs', 'lead-trs-trs', 'splitter-trs', 'phone-ctia'],
      [
        'receiver-trs.out lead-trs-trs.a',
        'lead-trs-trs.b splitter-trs.mic',
        'splitter-trs.plug phone-ctia.jack',
      ],
    );
    const heard = withHeadphones(split, STOCK);
    expect(heard.some((layout) => isTaken(layout, { part: 'splitter-trs', port: 'phones' }))).toBe(true);
    const big = lay(['dynamic-xlr', 'interface-small', 'phone-usb-c'], []);
    expect(withHeadphones(big, STOCK).length).toBeGreaterThan(0);
  });
});

describe('metres', () => {
  const chain = (...joints: readonly string[]) =>
    lay(
      ['receiver-trs', 'patch-trs-trrs', 'dongle-8-pin-headset', 'phone-8-pin'],
      [
        'receiver-trs.out patch-trs-trrs.trs',
        'patch-trs-trrs.trrs dongle-8-pin-headset.jack',
        'dongle-8-pin-headset.plug phone-8-pin.port',
        ...joints,
      ],
    );
  const lengthOf = (layout: Layout | undefined) =>
    layout?.pieces.find((piece) => piece.id === 'patch-trs-trrs')?.length;

  it('are put into a lead, as long as leads are sold, and cost so much a metre', () => {
    const [long] = completed(chain(), asking({ length: 4 }), STOCK);
    expect(lengthOf(long)).toBe(5);
    const { buy } = split(long!, purse());
    const price = buy.find((item) => item.part.id === 'patch-trs-trrs')?.price ?? 0;
    expect(price).toBeGreaterThan(part('patch-trs-trrs').price + 4);
  });

  it('an owned lead is as long as is written, and no longer', () => {
    const owned = { ...purse({ 'patch-trs-trrs': 1 }), lengths: { 'patch-trs-trrs': [3] } };
    const request = { ...asking({ length: 2.5 }), leadLengths: { 'patch-trs-trrs': [3] } };
    const [reaches] = completed(chain(), request, { parts: CATALOGUE, purse: owned });
    expect(lengthOf(reaches)).toBe(3);
    expect(split(reaches!, owned).own.map((item) => item.length)).toContain(3);
    const [longer] = completed(chain(), { ...request, wishes: { length: 8 } }, STOCK);
    expect(lengthOf(longer)).toBe(10);
    expect(split(longer!, owned).buy.map((item) => item.part.id)).toContain('patch-trs-trrs');
  });

  it('no lead is sold longer than 30 m: there is no such way', () => {
    expect(completed(chain(), asking({ length: 40 }), STOCK)).toEqual([]);
  });
});

describe('a box that is noticed with headphones alone (common practice)', () => {
  const chain = (host: string, jack: string) =>
    lay(
      ['guitar', 'lead-jack-ts', 'mobile-guitar', host],
      ['guitar.out lead-jack-ts.a', 'lead-jack-ts.b mobile-guitar.in', `mobile-guitar.plug ${host}.${jack}`],
    );

  it('has them in a jack that looks for a microphone, in each socket that serves', () => {
    const whole = completed(chain('phone-ctia', 'jack'), asking({}), STOCK);
    expect(whole.length).toBeGreaterThan(0);
    for (const layout of whole) {
      const ids = between(layout).map(({ id }) => id);
      expect(ids.some((id) => part(id).ears !== undefined)).toBe(true);
    }
  });

  it('is left as it is where nothing looks', () => {
    const bare = chain('camera-trs', 'mic');
    expect(completed(bare, asking({}), STOCK)).toEqual([bare]);
  });
});
