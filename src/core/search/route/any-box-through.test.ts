import { describe, expect, it } from 'vitest';
import type { AppId } from '../../apps';
import { BY_STEPS } from '../../../../testing/by-steps';
import { leadsOver } from '../../../../testing/leads-over';
import { CATALOGUE, isPassiveLink, type Part } from '../../parts';
import type { Rig } from '../../rig';
import type { RouteRequest } from './request';
import { search } from './search';
import { entriesOf } from './sockets';

/** One source of each kind: by radio, at microphone level balanced and not, from a coil, at line level in mono and in stereo. */
const SOURCES = ['pack-clip-on', 'dynamic-xlr', 'clip-on-trs', 'guitar', 'receiver-trs', 'keyboard'];
const HOSTS: readonly (readonly [host: string, app?: AppId])[] = [
  ['camera-trs'],
  ['phone-8-pin', 'camera-app'],
  ['phone-usb-c', 'camera-app'],
];
const isBox = (part: Part): boolean =>
  !part.host &&
  !isPassiveLink(part) &&
  entriesOf(part).length > 0 &&
  part.ports.some(({ direction }) => direction === 'in');
const BOXES = CATALOGUE.filter(isBox);
/** What a way over one box needs beside it: leads, adapters, dongles, hubs and supplies, and nothing else that joins or amplifies. */
const BESIDE = CATALOGUE.filter((part) => !isBox(part)).map(({ id }) => id);

/** The first way, as soon as there is one. */
function firstWay(request: RouteRequest): Rig | undefined {
  const steps = search(request, { ...BY_STEPS, count: 1, steps: 1000 });
  for (;;) {
    const step = steps.next();
    const [first] = step.done ? step.value.found : step.value.best();
    if (first ?? step.done) return first?.rig;
  }
}

/** One and two sources of a kind; packs into everything that records, the others into one of them by turns. */
function questionsOf(box: string, turn: number): RouteRequest[] {
  return SOURCES.flatMap((source, n) =>
    [1, 2].flatMap((count) => {
      const hosts = n === 0 ? HOSTS : [HOSTS[(turn + n + count) % HOSTS.length]];
      return hosts.map((host): RouteRequest => {
        const [part, app] = host ?? ['camera-trs'];
        return {
          format: 'symplex-request',
          version: 1,
          sources: Array.from({ length: count }, () => ({ part: source })),
          destinations: [{ part, ...(app && { app }) }],
          catalogue: [box, ...BESIDE],
        };
      });
    }),
  );
}

describe('what is found with a box in the drawer is found through it', () => {
  let compared = 0;

  it.each(BOXES.map(({ id }, turn) => [id, turn] as const))('%s', (box, turn) => {
    const lost = questionsOf(box, turn).filter((request) => {
      const owned = firstWay({ ...request, drawer: { [box]: 1 } });
      if (!owned || !leadsOver(owned, box)) return false;
      compared += 1;
      return !firstWay({ ...request, through: box });
    });
    expect(lost).toEqual([]);
  });

  it('and there was enough to compare', () => expect(compared).toBeGreaterThan(50));
});
