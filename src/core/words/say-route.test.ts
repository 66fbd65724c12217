import { describe, expect, it } from 'vitest';
import { findPart } from '../parts';
import { plan } from '../../../testing/by-steps';
import { WISH_NAMES, type Lost, type RouteRequest } from '../search/route';
import { sayHindrance, sayLost, sayPlan, sayRoute, wishName } from './say-route';

const request: RouteRequest = {
  format: 'symplex-request',
  version: 1,
  sources: [{ part: 'receiver-trs' }],
  destinations: [{ part: 'phone-ctia', app: 'camera-app' }],
};

describe('a route in words', () => {
  it('names what comes from the drawer and what must be bought', () => {
    const [first] = plan({ ...request, drawer: { 'patch-trs-trrs': 1 } }).routes;
    expect(sayRoute(first!)).toBe('From the drawer: TRS-to-TRRS patch cable, 0.2 m. 2 joints.');
    const [bought] = plan(request).routes;
    expect(sayRoute(bought!)).toBe('To buy: TRS-to-TRRS patch cable, 0.2 m. 2 joints.');
  });

  it('says so where nothing lies between', () => {
    const direct = { ...request, sources: [{ part: 'clip-on-trrs' }] };
    expect(sayRoute(plan(direct).routes[0]!)).toBe('Nothing between: it plugs straight in. 1 joint.');
  });

  it.each<[Lost, string]>([
    [{ by: 'evidence', here: 3, before: 1 }, 'untested, where the one before is common practice'],
    [{ by: 'overruns', here: 1, before: 0 }, '1 unbalanced run longer than practice allows'],
    [
      { by: 'weight', here: 21.4, before: 9 },
      'Weighs 21 in money, bother and hiss, where the one before weighs 9',
    ],
    [{ by: 'noise', here: 40, before: 61 }, '40.0 dB over the noise, with the one before 61.0 dB'],
    [{ by: 'joints', here: 4, before: 3 }, '4 joints to make'],
    [{ by: 'sides', here: 0, before: 1 }, 'On both sides: 0 recordings, with the one before 1'],
    [{ by: 'nothing', here: 0, before: 0 }, 'As good as the one before'],
  ])('%o', (lost, says) => expect(sayLost(lost)).toContain(says));

  it('of several that have no way together, whether each has one alone', () => {
    const none = { routes: [], hindrances: [], searched: 3, complete: true };
    expect(sayPlan({ ...none, alone: { of: 'sources', without: [] } })).toBe(
      'No way was found. Each source alone has a way: it is together that they have none.',
    );
    expect(sayPlan({ ...none, alone: { of: 'destinations', without: [1] } })).toBe(
      'No way was found. The second recorder has none even alone.',
    );
  });

  it('every wish has a name', () => {
    for (const wish of WISH_NAMES) expect(wishName(wish).length).toBeGreaterThan(4);
  });

  it('what stands in the way is said with what would then be had', () => {
    const none = plan({ ...request, wishes: { buyNothing: true } });
    expect(sayPlan(none)).toBe('No way meets all of it. What stands in the way: buying nothing.');
    expect(sayHindrance(none.hindrances[0]!)).toContain(findPart('patch-trs-trrs')!.name);
    expect(sayPlan({ ...none, hindrances: [], complete: false })).toContain('as far as was searched');
    expect(sayPlan({ ...none, hindrances: [], complete: false, ruledOut: 40.7 })).toContain(
      'weighs under 40,',
    );
    expect(sayPlan({ ...none, hindrances: [], complete: false, ruledOut: 0 })).not.toContain('weighs under');
  });

  it('what is sure of a search that was cut is said before the weight that was ruled out', () => {
    const cut = { ...plan(request), complete: false, late: true, ruledOut: 40.7 };
    expect(sayPlan({ ...cut, sure: 0 })).toContain('Cut short by time: nothing that weighs under 40,');
    expect(sayPlan({ ...cut, sure: 2 })).toContain(
      'Cut short by time. None better than the first 2 is left unseen, and nothing else that weighs under 40,',
    );
    const { ruledOut: _, ...stopped } = cut;
    expect(sayPlan({ ...stopped, sure: 1 })).toMatch(/None better than the first is left unseen\.$/);
  });
});
