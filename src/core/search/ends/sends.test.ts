import { describe, expect, it } from 'vitest';
import { findPart } from '../../parts';
import { sendsOf, stereoInputs } from './sends';

const part = (id: string) => {
  const found = findPart(id);
  if (!found) throw new Error(`no part "${id}"`);
  return found;
};

/** What practice feeds a caller from (an aux, monitor or FX send, a phone socket, USB), and where a caller comes back (common practice). */
describe.each([
  ['mixer-fx-usb', ['fx', 'usb'], 2],
  ['mixer-monitor-fx', ['fx', 'mon'], 2],
  ['mixer-aux-fx', ['aux', 'fx'], 2],
  ['mixer-large', ['aux-1', 'aux-2'], 2],
  ['mixer-xlr-main', ['aux'], 2],
  ['mixer-portable-phone', ['phone', 'usb'], 0],
  ['mixer-rca-only', [], 1],
  ['mixer-one-mic', [], 0],
] as const)('%s', (id, sends, pairs) => {
  it('has these outputs with a mix of their own, and neither mains, monitors nor headphones among them', () => {
    expect([...sendsOf(part(id))].sort()).toEqual([...sends].sort());
  });

  it('has so many stereo ways back in', () => {
    expect(stereoInputs(part(id))).toHaveLength(pairs);
    for (const [left, right] of stereoInputs(part(id))) expect(left.connector).toBe(right.connector);
  });
});
