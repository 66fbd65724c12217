import { describe, expect, it } from 'vitest';
import { against, PRACTICE, requestOf } from '../../../../testing/practice';
import { walk } from '../../../../testing/practice/walk';
import { plan } from '../../../../testing/by-steps';
import { FAINTEST } from '../../checks';
import { analyse } from '../../judge';
import type { Plan } from '.';

/**
 * Of these the answer is another than practice's, or comes later. Each is named here with its reason, so that it is not forgotten:
 * what is mended leaves this list.
 */
const KNOWN_FAULTS: Readonly<Record<string, string>> = {
  'a mixer with RCA outputs alone, in stereo to a USB-C phone: the line streamer':
    'the converter cable costs less than the line streamer',
};

const plans = new Map<string, Plan>();
const planOf = (name: string): Plan => {
  const asked = PRACTICE.find((one) => one.name === name);
  if (!asked) throw new Error(`no request "${name}"`);
  const known = plans.get(name) ?? plan(requestOf(asked));
  plans.set(name, known);
  return known;
};

describe('requests of the trade are answered as practice does (common practice)', () => {
  it.each(PRACTICE.map((asked) => [asked.name, asked] as const))('%s', { timeout: 60_000 }, (name, asked) => {
    const wrong = against(asked, planOf(name));
    if (KNOWN_FAULTS[name] !== undefined) expect(wrong).toBeDefined();
    else expect(wrong).toBeUndefined();
  });

  it('nothing is said to be complete that was cut', () => {
    for (const { name } of PRACTICE) {
      const { complete, ruledOut } = planOf(name);
      expect(complete).toBe(ruledOut === undefined);
    }
  });
});

describe('what is answered is recorded at a level that somebody wants', () => {
  it('no peaks lie so low that no recording is wanted, with the knobs as they are said (checks/faint)', () => {
    const faint = PRACTICE.flatMap(({ name }) =>
      planOf(name).routes.flatMap(({ rank, arrives }) =>
        arrives.some(({ peak }) => peak < FAINTEST) ? [`${name}: ${rank}`] : [],
      ),
    );
    expect(faint).toEqual([]);
  });
});

describe('what has two sides keeps them', () => {
  it('left is recorded on the left and right on the right, where both are', () => {
    const crossed = PRACTICE.flatMap(({ name }) =>
      planOf(name).routes.flatMap(({ rank, rig }) =>
        analyse(rig).findings.some(({ code }) => code === 'sides-exchanged') ? [`${name}: ${rank}`] : [],
      ),
    );
    expect(crossed).toEqual([]);
  });
});

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

describe('what is bought and plugged by a stranger is whole', () => {
  it.each(PRACTICE.map((asked) => [asked.name, asked] as const))('%s', (name, asked) => {
    for (const route of planOf(name).routes) expect(walk(route, requestOf(asked))).toEqual([]);
  });
});
