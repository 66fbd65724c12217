import { describe, expect, it } from 'vitest';
import { layLayout } from '../../../../testing/lay-layout';
import type { Layout } from './layout';
import type { RouteRequest } from './request';
import { bridged } from './runs';

const farBy = (metres: number): RouteRequest => ({
  format: 'symplex-request',
  version: 1,
  sources: [{ part: 'dynamic-xlr' }],
  destinations: [{ part: 'recorder-xlr' }],
  wishes: { length: metres },
});
const lengths = (layout: Layout | undefined): (number | undefined)[] | undefined =>
  layout?.pieces.flatMap(({ part, length }) => (part.length === undefined ? [] : [length]));
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
