import { check } from './check';
import { USB_CURRENT } from './origins';
import { refusedBy } from './refused';

/** A device that declares more than any socket of the kind gives: the host refuses it. */
export const starved = check({
  code: 'starved',
  means: 'The device declares more current than its socket gives; the host refuses it.',
  severity: ['blocks'],
  origin: USB_CURRENT,
  limit:
    'What the socket gives at the most: USB 2.0, 7.2.1 (100 mA from a bus-powered hub, 500 mA configured); bare 8-pin adapters typical, from memory.',
  aspect: 'power',
  asks: 'start',
  cures: ['feed', 'supply', 'plug', 'link'],
  find: (facts) =>
    refusedBy(facts, 'too-little-current', ({ offered, draws }) => ({
      values: [{ name: 'offered', value: offered.most, unit: 'mA' }],
      limit: { value: draws, unit: 'mA', is: 'at least' },
    })),
  assume: ({ other }) => (other === undefined ? undefined : { kind: 'fed', parts: [other] }),
});
