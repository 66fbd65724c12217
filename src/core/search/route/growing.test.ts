import { describe, expect, it } from 'vitest';
import { layLayout } from '../../../../testing/lay-layout';
import type { Layout } from './layout';
import type { RouteRequest } from './request';
import { bridgings } from './growing';

const farBy = (metres: number): RouteRequest => ({
  format: 'symplex-request',
  version: 1,
  sources: [{ part: 'dynamic-xlr' }],
  destinations: [{ part: 'recorder-xlr' }],
  wishes: { length: metres },
});
const lengths = (layout: Layout | undefined): (number | undefined)[] | undefined =>
  layout?.pieces.flatMap(({ part, length }) => (part.length === undefined ? [] : [length]));
const bridged = (layout: Layout, request: RouteRequest) => bridgings(layout, request)[0];
const xlr = layLayout(
  ['dynamic-xlr', 'lead-xlr', 'recorder-xlr'],
  ['dynamic-xlr.out lead-xlr.holes', 'lead-xlr.pins recorder-xlr.mic-1'],
);
const jack = layLayout(
  ['guitar', 'lead-jack-ts', 'mixer-large'],
  ['guitar.out lead-jack-ts.a', 'lead-jack-ts.b mixer-large.pair-1-left'],
);
const usb = layLayout(
  ['usb-mic-big', 'lead-usb-a-b', 'laptop-combo'],
  ['usb-mic-big.usb lead-usb-a-b.b', 'lead-usb-a-b.a laptop-combo.usb-a'],
);

describe('leads as long as they have to be (sold up to 30 m; XLR leads go into one another: common practice)', () => {
  it.each([
    [20, [20]],
    [30, [30]],
    [33, [30, undefined]],
    [40, [30, 10]],
    [75, [30, 30, 15]],
  ])('%s m by XLR', (metres, sold) => {
    expect(lengths(bridged(xlr, farBy(metres)))).toEqual(sold);
  });

  it('each goes into the next, the last into what records', () => {
    const far = bridged(xlr, farBy(75));
    expect(far?.joints.map(({ plug, jack: socket }) => `${plug.part} ${socket.part}`)).toEqual([
      'dynamic-xlr lead-xlr',
      'lead-xlr-3 recorder-xlr',
      'lead-xlr lead-xlr-2',
      'lead-xlr-2 lead-xlr-3',
    ]);
  });

  it.each([
    ['two of ten metres', [10, 10], 18, [10, 10]],
    ['the longest first, and no more than it takes', [3, 10, 6, 10], 24, [10, 10, 6]],
    ['they do not reach', [10, 10], 25, undefined],
    ['one alone does', [20, 10], 18, undefined],
  ])('of leads that are owned, one in another: %s', (_, own, metres, row) => {
    const request = {
      ...farBy(metres),
      drawer: { 'lead-xlr': own.length },
      leadLengths: { 'lead-xlr': own },
    };
    const joined = lengths(bridgings(xlr, request)[1]);
    expect(joined?.toSorted((a = 0, b = 0) => b - a)).toEqual(row);
  });

  it('leads with a plug at either end, and leads for numbers, are joined to no others', () => {
    expect(
      bridged(jack, { ...farBy(40), sources: [{ part: 'guitar' }], destinations: [{ part: 'mixer-large' }] }),
    ).toBeUndefined();
    expect(
      bridged(usb, {
        ...farBy(40),
        sources: [{ part: 'usb-mic-big' }],
        destinations: [{ part: 'laptop-combo' }],
      }),
    ).toBeUndefined();
  });
});
