import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import type { AppId } from '../../apps';
import { CATALOGUE } from '../../parts';
import { exhaustiveJoins } from '../../../../testing/exhaustive-joins';
import { searchWhole, told } from '../../../../testing/search-whole';
import type { Found } from './rank';
import type { RouteRequest } from './request';

const PLAYERS = ['laptop-combo', 'tablet-usb-c', 'phone-8-pin', 'phone-ctia', 'phone-jack-usb-c'];
const BOXES = ['mixer-fx-usb', 'mixer-portable-phone', 'interface-two-inputs'];
/** What records, and what most answers need, so that not all of them are without one. */
const HOSTS: readonly (readonly [host: string, app: AppId | undefined, ...usual: string[]])[] = [
  ['camera-trs', undefined, 'lead-line-mono-both', 'pad-jack-40'],
  ['recorder-line', undefined, 'lead-jack-ts'],
  ['phone-ctia', 'camera-app', 'lead-line-headset-pad'],
  ['phone-usb-c', 'recorder-app', 'lead-usb-c-b', 'lead-usb-c-c'],
];
/** What leads in and out, by numbers and as a voltage. */
const LINKS = [
  ...[
    'lead-usb-a-b',
    'lead-usb-c-b',
    'lead-usb-a-c',
    'lead-usb-c-c',
    'adapter-8-pin-usb-bare',
    'adapter-usb-a-c',
  ],
  ...['lead-breakout-jacks', 'lead-jack-ts', 'lead-jack-trs', 'lead-line-mono-both', 'lead-line-headset-pad'],
  ...['pad-jack-40', 'lead-trs-trs', 'dongle-usb-c-headset', 'dongle-8-pin-headset', 'lead-trs-xlr'],
];

/** Whether what plays into the box hangs at the port by which that is a sound device. */
const playsByNumbers = ({ rig, layout }: Found): boolean =>
  rig.joints.some(({ plug, jack }) =>
    [plug, jack].some((end) => end.part === layout.given && end.port === 'usb'),
  ) && !layout.recorders.some((id) => rig.parts.some((p) => p.id === id && p.part === 'phone-usb-c'));

describe('what a host plays over a box that is there, against trying everything', () => {
  it('the same best five, legs of up to 2, by numbers and as a voltage', { timeout: 600_000 }, () => {
    let [tried, answered, byNumbers] = [0, 0, 0];
    fc.assert(
      fc.property(
        fc.constantFrom(...PLAYERS),
        fc.boolean(),
        fc.constantFrom(...BOXES),
        fc.constantFrom(...HOSTS),
        fc.uniqueArray(fc.constantFrom(...LINKS), { minLength: 3, maxLength: 5 }),
        fc.array(fc.nat({ max: 1 }), { minLength: 8, maxLength: 8 }),
        (player, isBeside, through, [host, app, ...usual], links, counts) => {
          const catalogue = [...new Set([...links, ...usual, 'lead-xlr'])];
          const request: RouteRequest = {
            format: 'symplex-request',
            version: 1,
            sources: [{ part: player }, ...(isBeside ? [{ part: 'dynamic-xlr' }] : [])],
            through,
            destinations: [{ part: host, ...(app !== undefined && { app }) }],
            wishes: {},
            drawer: Object.fromEntries(catalogue.map((id, n) => [id, counts[n] ?? 0])),
            catalogue,
          };
          const parts = CATALOGUE.filter(({ id }) => catalogue.includes(id));
          const all = exhaustiveJoins(request, parts, 2);
          if (!all) return;
          tried += 1;
          if (all.length > 0) answered += 1;
          if (all.some(playsByNumbers)) byNumbers += 1;
          expect({ request, found: told(searchWhole(request, 2)) }).toEqual({ request, found: told(all) });
        },
      ),
      { seed: 20261129, numRuns: 100 },
    );
    expect(tried).toBeGreaterThan(60);
    expect(answered).toBeGreaterThan(20);
    expect(byNumbers).toBeGreaterThan(10);
  });
});
