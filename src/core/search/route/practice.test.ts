import { describe, expect, it } from 'vitest';
import { testAnswers } from '../../../../testing/practice/answers';
import { plan } from '../../../../testing/by-steps';

testAnswers(0);

describe('a splitter is copper, and no other way than another one', () => {
  it('two receivers, each on a side of a USB-C phone: one splitter, and no row of others in its place', () => {
    const { routes } = plan({
      format: 'symplex-request',
      version: 1,
      sources: [{ part: 'receiver-trs' }, { part: 'receiver-trs' }],
      destinations: [{ part: 'phone-usb-c', app: 'multitrack' }],
      wishes: { channels: 'apart', budget: 75 },
    });
    expect(routes.map(({ parts }) => parts.includes('splitter-left-right'))).toEqual([true]);
  });
});
