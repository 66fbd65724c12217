import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import type { AppId } from '../../apps';
import { CATALOGUE, findPart } from '../../parts';
import { exhaustive } from '../../../../testing/exhaustive';
import { searchWhole, told } from '../../../../testing/search-whole';
import type { RouteRequest } from './request';

const QUESTIONS = [
  ['receiver-trs', 'phone-ctia', 'camera-app'],
  ['receiver-trs', 'phone-8-pin', 'browser-studio'],
  ['receiver-both', 'phone-usb-c', 'recorder-app'],
  ['receiver-tip-only', 'camera-trs', undefined],
  ['dynamic-xlr', 'phone-usb-c', 'recorder-app'],
  ['condenser-xlr', 'tablet-usb-c', 'recorder-app'],
  ['condenser-xlr', 'phone-ctia', 'voice-room'],
  ['usb-mic-big', 'tablet-8-pin', 'recorder-app'],
  ['clip-on-trs', 'phone-ctia', 'camera-app'],
  ['deck', 'phone-ctia', 'camera-app'],
] as const;

const SOURCES = [
  ...['guitar', 'guitar', 'bass-active', 'keyboard', 'player-portable', 'deck', 'dynamic-xlr', 'ribbon-xlr'],
  ...['condenser-xlr', 'clip-on-trs', 'receiver-trs', 'usb-mic-big'],
];
const HOSTS: readonly (readonly [string, AppId?])[] = [
  ['recorder-xlr'],
  ['recorder-small'],
  ['recorder-line'],
  ['camera-trs'],
  ['laptop-combo', 'recorder-app'],
  ['phone-ctia', 'recorder-app'],
  ['phone-8-pin', 'recorder-app'],
  ['phone-usb-c', 'live-stream'],
];
/**
 * What goes between them. Left out is what the search leaves out by design: headset leads in sockets of three contacts, where it hangs on
 * a spring; pads and transformers the wrong way round; and a box behind another like it.
 */
const WIDE = [
  ...['lead-jack-ts', 'di-passive', 'di-active', 'lead-xlr', 'lead-breakout-jacks', 'lead-rca-pair-trs'],
  ...['lead-rca', 'lead-jack-rca', 'lead-jack-xlr', 'lead-xlr-jack', 'lead-trs-xlr', 'adapter-trs-xlr'],
  ...['lead-xlr-trs-camera', 'lead-xlr-trrs', 'lead-line-headset-pad', 'lead-breakout-headset'],
  ...['lead-trs-trs', 'patch-trs-trrs', 'splitter-trs', 'dongle-usb-c-headset', 'dongle-8-pin-headset'],
  ...['usb-sound-trs', 'cable-converter-usb-c', 'line-streamer', 'interface-small', 'booster-inline'],
  ...['adapter-usb-a-c', 'adapter-8-pin-usb', 'lead-usb-a-b', 'lead-usb-a-c'],
];

/** What stood in the catalogue when the seeds were chosen: a part more would draw other samples. What those show is pinned below. */
const isLater = (id: string): boolean =>
  ['isolator-usb', 'loudspeaker-portable', 'loudspeaker-stage'].includes(id);

/** Parts with few ports: whatever can be tried exhaustively. */
const SMALL = CATALOGUE.filter(
  (part) =>
    !part.host &&
    !isLater(part.id) &&
    part.ports.length <= 4 &&
    ['lead', 'adapter', 'splitter', 'dongle', 'box', 'interface', 'hub'].includes(part.family),
);

describe('the search against trying everything', () => {
  it('finds the same best five among up to 12 parts and chains of up to 5', { timeout: 600_000 }, () => {
    let [tried, answered] = [0, 0];
    const ids = fc.uniqueArray(fc.constantFrom(...SMALL.map((part) => part.id)), {
      minLength: 6,
      maxLength: 12,
    });
    fc.assert(
      fc.property(
        ids,
        fc.constantFrom(...QUESTIONS),
        fc.array(fc.nat({ max: 2 }), { minLength: 12, maxLength: 12 }),
        fc.integer({ min: 3, max: 5 }),
        (chosen, [source, host, app], counts, longest) => {
          // A link that most questions need, so that not all of them are without an answer.
          const catalogue = [...new Set([...chosen.slice(0, 11), 'patch-trs-trrs'])];
          const drawer = Object.fromEntries(catalogue.map((id, n) => [id, counts[n] ?? 0]));
          const request: RouteRequest = {
            format: 'symplex-request',
            version: 1,
            sources: [{ part: source }],
            destinations: [{ part: host, ...(app !== undefined && { app }) }],
            drawer,
            catalogue,
          };
          const parts = CATALOGUE.filter((part) => catalogue.includes(part.id));
          const all = exhaustive(request, findPart(source)!, findPart(host)!, parts, longest);
          if (!all) return;
          tried += 1;
          if (all.length > 0) answered += 1;
          expect(told(searchWhole(request, longest))).toEqual(told(all));
        },
      ),
      { seed: 20261124, numRuns: 100 },
    );
    expect(tried).toBeGreaterThan(25);
    expect(answered).toBeGreaterThan(10);
  });

  it(
    'finds the same over distances, of coils, of what has two sides and of what is owned nowhere',
    { timeout: 600_000 },
    () => {
      let [tried, answered, far] = [0, 0, 0];
      fc.assert(
        fc.property(
          fc.uniqueArray(fc.constantFrom(...WIDE), { minLength: 5, maxLength: 9 }),
          fc.constantFrom(...SOURCES),
          fc.constantFrom<readonly [string, AppId?]>(...HOSTS),
          fc.constantFrom(undefined, 8, 12),
          fc.constantFrom(undefined, 'mono' as const, 'stereo' as const),
          (catalogue, source, [host, app], length, channels) => {
            const request: RouteRequest = {
              format: 'symplex-request',
              version: 1,
              sources: [{ part: source }],
              destinations: [{ part: host, ...(app !== undefined && { app }) }],
              wishes: { ...(length !== undefined && { length }), ...(channels && { channels }) },
              catalogue,
            };
            const parts = CATALOGUE.filter(({ id }) => catalogue.includes(id));
            const all = exhaustive(request, findPart(source)!, findPart(host)!, parts, 4);
            if (!all) return;
            tried += 1;
            if (all.length > 0) answered += 1;
            if (all.length > 0 && length !== undefined) far += 1;
            expect(told(searchWhole(request, 4))).toEqual(told(all));
          },
        ),
        { seed: 20261128, numRuns: 900 },
      );
      expect(tried).toBeGreaterThan(600);
      expect(answered).toBeGreaterThan(60);
      expect(far).toBeGreaterThan(20);
    },
  );

  // Found by other samples; not mended. The pack is led back into the phone’s headphone output, and its ground to the
  // microphone contact: the pipeline lets it pass, the search does not come upon it, and nobody would do it.
  it.fails('known fault: sound led back through a headphone output', () => {
    const catalogue = ['lead-trs-trs', 'lead-breakout-headset', 'adapter-ctia-omtp'];
    const request: RouteRequest = {
      format: 'symplex-request',
      version: 1,
      sources: [{ part: 'receiver-trs' }],
      destinations: [{ part: 'phone-ctia', app: 'camera-app' }],
      drawer: Object.fromEntries(catalogue.map((id) => [id, 1])),
      catalogue,
    };
    const parts = CATALOGUE.filter((part) => catalogue.includes(part.id));
    const all = exhaustive(request, findPart('receiver-trs')!, findPart('phone-ctia')!, parts, 3);
    expect(all?.length).toBeGreaterThan(0);
    expect(told(searchWhole(request, 3))).toEqual(told(all ?? []));
  });

  // Found by other samples: a TS plug of 3.5 mm led nowhere, and a way by another socket counted as padding of the first.
  it.each<readonly [string, readonly string[], readonly [string, string, AppId?], Record<string, number>]>([
    [
      'a mono lead and an adapter to both sides',
      ['isolator-jack', 'adapter-mono-stereo', 'lead-trrs-trrs', 'lead-true-mono', 'splitter-left-right'],
      ['receiver-tip-only', 'camera-trs'],
      {},
    ],
    [
      'by USB, and by the jack with a dongle',
      ['dongle-usb-c-headset', 'lead-trs-trs', 'patch-trs-trrs', 'adapter-trrs-trs', 'lead-usb-c-c'],
      ['receiver-both', 'phone-usb-c', 'recorder-app'],
      { 'patch-trs-trrs': 1 },
    ],
  ])('%s', (_, catalogue, [source, host, app], drawer) => {
    const request: RouteRequest = {
      format: 'symplex-request',
      version: 1,
      sources: [{ part: source }],
      destinations: [{ part: host, ...(app !== undefined && { app }) }],
      wishes: {},
      drawer,
      catalogue,
    };
    const parts = CATALOGUE.filter(({ id }) => catalogue.includes(id));
    const all = exhaustive(request, findPart(source)!, findPart(host)!, parts, 3);
    expect(all?.length).toBeGreaterThan(0);
    expect(told(searchWhole(request, 3))).toEqual(told(all ?? []));
  });
});
