import { describe, expect, it } from 'vitest';
import { layLayout } from '../../../../testing/lay-layout';
import type { Layout } from './layout';
import { couldReachSides } from './reached';

const inApp = (layout: Layout, app: 'live-stream' | 'recorder-app'): Layout => ({
  ...layout,
  pieces: layout.pieces.map((piece) => (layout.recorders.includes(piece.id) ? { ...piece, app } : piece)),
});
const one = layLayout(
  ['mixer-large', 'lead-jack-ts', 'recorder-line'],
  ['lead-jack-ts.a mixer-large.main-left', 'lead-jack-ts.b recorder-line.line-left'],
);
const two = layLayout(
  ['mixer-large', 'lead:lead-jack-ts', 'lead-2:lead-jack-ts', 'recorder-line'],
  [
    'lead.a mixer-large.main-left',
    'lead.b recorder-line.line-left',
    'lead-2.a mixer-large.main-right',
    'lead-2.b recorder-line.line-right',
  ],
);
const camera = layLayout(
  ['mixer-large', 'lead-headphones-aux', 'camera-trs'],
  ['lead-headphones-aux.big mixer-large.phones', 'lead-headphones-aux.small camera-trs.mic'],
);
const byUsb = layLayout(
  ['mixer-fx-usb', 'lead-usb-c-b', 'phone-usb-c'],
  ['lead-usb-c-b.b mixer-fx-usb.usb', 'lead-usb-c-b.a phone-usb-c.port'],
);
const headset = layLayout(
  ['mixer-large', 'lead-line-headset-pad', 'phone-ctia'],
  ['lead-line-headset-pad.big mixer-large.phones', 'lead-line-headset-pad.trrs phone-ctia.jack'],
);

describe('sides that the sockets in use of a recorder could give', () => {
  it.each([
    ['one line socket of two', one, false],
    ['both', two, true],
    ['one socket for both sides', camera, true],
    ['numbers, which have channels of their own', inApp(byUsb, 'recorder-app'), true],
  ])('%s', (_, layout, could) => {
    expect(couldReachSides(layout, { channels: 'mixed' })).toBe(could);
    expect(couldReachSides(layout, { channels: 'stereo' })).toBe(could);
  });

  it('a headset jack has one channel, which is where every source is', () => {
    expect(couldReachSides(inApp(headset, 'live-stream'), { channels: 'mixed' })).toBe(true);
  });

  it('who asks for no sides is content with one', () => {
    for (const channels of ['mono', 'apart'] as const) expect(couldReachSides(one, { channels })).toBe(true);
    expect(couldReachSides(one, {})).toBe(true);
  });
});
