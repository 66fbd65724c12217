import type { RouteRequest } from '../core/search/route';

const ask = (
  name: string,
  sources: readonly string[],
  [recorder, app]: readonly [part: string, app: NonNullable<RouteRequest['destinations'][number]['app']>],
  wishes: RouteRequest['wishes'] = {},
): RouteRequest => ({
  format: 'symplex-request',
  version: 1,
  name,
  sources: sources.map((part) => ({ part })),
  destinations: [{ part: recorder, app }],
  wishes,
});

/**
 * What a new thread asks itself while nobody asks it anything. What is worked out once of each part, and the machine's own making ready,
 * would else be waited for with the first question: most of what that takes. Made up.
 */
export const WARMING: readonly RouteRequest[] = [
  ask('A receiver to a phone', ['receiver-trs'], ['phone-8-pin', 'camera-app']),
  ask('A condenser to a tablet that charges', ['condenser-xlr'], ['tablet-usb-c', 'live-stream'], {
    charge: true,
  }),
  ask('A voice and a guitar on a tablet', ['dynamic-xlr', 'guitar'], ['tablet-usb-c', 'recorder-app']),
];

/** So much time each of them has, ms. */
export const WARMING_EACH = 300;
