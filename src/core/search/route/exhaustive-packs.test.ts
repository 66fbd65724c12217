import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import type { AppId } from '../../apps';
import { CATALOGUE, findPart } from '../../parts';
import { exhaustiveJoins } from '../../../../testing/exhaustive-joins';
import { searchWhole, told } from '../../../../testing/search-whole';
import type { RouteRequest } from './request';

const BOXES = ['mixer-fx-usb', 'mixer-portable-phone'];
const BESIDE = [[], ['dynamic-xlr'], ['dynamic-xlr']];
/** What records, and what most answers need, so that not all of them are without one. */
const HOSTS: readonly (readonly [host: string, app: AppId | undefined, ...usual: string[]])[] = [
  ['phone-ctia', 'camera-app', 'lead-line-headset-pad', 'lead-trs-xlr'],
  ['laptop-combo', 'recorder-app', 'lead-usb-a-b', 'lead-trs-xlr'],
];
const LINKS = [
  ...['lead-breakout-jacks', 'lead-line-mono-both', 'lead-left-to-both', 'adapter-trs-xlr'],
  ...['lead-headphones-aux', 'lead-jack-xlr'],
];
/** More layouts than so many of a case are not tried: each is settled for three sources. */
const MOST = 160;

describe('two packs in one receiver, and that in a box, against trying everything', () => {
  it('the same best five, alone and beside another source, legs of one part', { timeout: 600_000 }, () => {
    let [tried, answered] = [0, 0];
    fc.assert(
      fc.property(
        fc.constantFrom(...BOXES),
        fc.constantFrom(...BESIDE),
        fc.constantFrom(...HOSTS),
        fc.uniqueArray(fc.constantFrom(...LINKS), { minLength: 1, maxLength: 1 }),
        fc.array(fc.nat({ max: 1 }), { minLength: 8, maxLength: 8 }),
        (through, beside, [host, app, ...usual], links, counts) => {
          const catalogue = [
            ...new Set(['receiver-two-channel', ...links, ...usual, ...beside.map(() => 'lead-xlr')]),
          ];
          const request: RouteRequest = {
            format: 'symplex-request',
            version: 1,
            sources: ['pack-clip-on', 'pack-clip-on', ...beside].map((part) => ({ part })),
            through,
            destinations: [{ part: host, ...(app !== undefined && { app }) }],
            wishes: {},
            drawer: Object.fromEntries(catalogue.map((id, n) => [id, counts[n] ?? 0])),
            catalogue,
          };
          const parts = CATALOGUE.filter(({ id }) => catalogue.includes(id));
          const all = exhaustiveJoins(request, parts, 1, MOST, findPart('receiver-two-channel'));
          if (!all) return;
          tried += 1;
          if (all.length > 0) answered += 1;
          expect({ request, found: told(searchWhole(request, 1)) }).toEqual({ request, found: told(all) });
        },
      ),
      { seed: 20261129, numRuns: 30 },
    );
    expect(tried).toBeGreaterThan(15);
    expect(answered).toBeGreaterThan(10);
  });
});
