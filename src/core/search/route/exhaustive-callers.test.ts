import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import type { AppId } from '../../apps';
import { CATALOGUE } from '../../parts';
import { exhaustiveJoins } from '../../../../testing/exhaustive-joins';
import { searchWhole, told } from '../../../../testing/search-whole';
import type { Found } from './rank';
import type { RouteRequest } from './request';

const MIXERS = ['mixer-monitor-fx', 'mixer-aux-fx', 'mixer-fx-usb', 'mixer-portable-phone'];
const CALLERS: readonly (readonly [string, AppId])[] = [
  ['phone-ctia', 'voice-room'],
  ['phone-8-pin', 'voice-room'],
  ['laptop-combo', 'voice-room'],
  ['laptop-combo', 'browser-studio'],
];
/** What most answers need, so that not all of them are without one. */
const USUAL: readonly (readonly string[])[] = [
  ['lead-xlr', 'headphones-big', 'lead-breakout-jacks', 'lead-line-headset-pad', 'splitter-trrs'],
  ['lead-xlr', 'headphones-big', 'lead-breakout-jacks', 'lead-breakout-headset', 'lead-jack-rca'],
  ['lead-xlr', 'headphones-big', 'lead-trrs-trrs', 'lead-usb-a-b'],
];
const LINKS = [
  'lead-line-headset-pad',
  'splitter-trrs',
  'lead-breakout-headset',
  'dongle-8-pin-headset',
  'lead-jack-rca',
  'lead-trrs-trrs',
  'lead-usb-a-b',
  'lead-usb-c-c',
  'lead-jack-trs',
  'adapter-jack-small',
];

/** Two callers have so many layouts to try. */
const MANY = 2000;

/** What weighs the same may stand in either order. */
const inOrder = (found: readonly Found[]) =>
  [...told(found)].sort(
    (a, b) => a.price - b.price || a.purchases - b.purchases || a.kind.localeCompare(b.kind),
  );

const asked = (
  through: string,
  hosts: readonly (readonly [string, AppId])[],
  catalogue: readonly string[],
  counts: readonly number[],
): RouteRequest => ({
  format: 'symplex-request',
  version: 1,
  sources: [{ part: 'dynamic-xlr' }],
  through,
  destinations: hosts.map(([part, app]) => ({ part, app })),
  wishes: { callers: true },
  drawer: Object.fromEntries(catalogue.map((id, n) => [id, counts[n] ?? 0])),
  catalogue,
});

/** Holds the search against trying everything; how many answers there are, undefined where there is too much to try. */
function held(request: RouteRequest, longest: number, most?: number): number | undefined {
  const parts = CATALOGUE.filter(({ id }) => request.catalogue?.includes(id));
  const all = exhaustiveJoins(request, parts, longest, most);
  if (!all) return undefined;
  expect({ request, found: inOrder(searchWhole(request, longest)) }).toEqual({
    request,
    found: inOrder(all),
  });
  return all.length;
}

const counts = fc.array(fc.nat({ max: 2 }), { minLength: 8, maxLength: 8 });
const links = fc.uniqueArray(fc.constantFrom(...LINKS), { maxLength: 3 });

describe('callers on a mixer that is there, against trying everything', () => {
  it('the same best five among up to 8 parts, legs of up to 2', { timeout: 900_000 }, () => {
    let [tried, answered] = [0, 0];
    fc.assert(
      fc.property(
        fc.constantFrom(...MIXERS),
        fc.array(fc.constantFrom(...CALLERS), { minLength: 1, maxLength: 2 }),
        fc.constantFrom(...USUAL),
        links,
        counts,
        fc.integer({ min: 1, max: 2 }),
        (through, hosts, usual, more, owned, longest) => {
          const found = held(asked(through, hosts, [...new Set([...usual, ...more])], owned), longest);
          if (found === undefined) return;
          tried += 1;
          if (found > 0) answered += 1;
        },
      ),
      { seed: 20261127, numRuns: 100 },
    );
    expect(tried).toBeGreaterThan(60);
    expect(answered).toBeGreaterThan(20);
  });

  it('two callers, a send each', { timeout: 900_000 }, () => {
    let answered = 0;
    fc.assert(
      fc.property(
        fc.constantFrom('mixer-monitor-fx', 'mixer-aux-fx'),
        fc.constantFrom<readonly (readonly [string, AppId])[]>(
          [
            ['phone-ctia', 'voice-room'],
            ['phone-ctia', 'voice-room'],
          ],
          [
            ['phone-ctia', 'voice-room'],
            ['laptop-combo', 'voice-room'],
          ],
        ),
        fc.constantFrom(...USUAL.slice(0, 2)),
        fc.uniqueArray(fc.constantFrom(...LINKS), { maxLength: 1 }),
        counts,
        (through, hosts, usual, more, owned) => {
          if ((held(asked(through, hosts, [...new Set([...usual, ...more])], owned), 1, MANY) ?? 0) > 0)
            answered += 1;
        },
      ),
      { seed: 20261127, numRuns: 12 },
    );
    expect(answered).toBeGreaterThan(3);
  });
});
