import { describe, expect, it } from 'vitest';
import { findPart } from '../../parts';
import { ownCopy } from '../../parts/own-part';
import { planReport } from '../../files/plan-report';
import { sayPlan } from '../../words/say-route';
import { plan } from '../../../../testing/by-steps';
import { LIMITS, planSteps, sayRequestProblem, type Route, type RouteRequest, type Wishes } from '.';
import { analyse } from '../../judge';
import { checkRequest, readRequest } from '../../files/read-request';

const request = (wishes: Wishes = {}, more: Partial<RouteRequest> = {}): RouteRequest => ({
  format: 'symplex-request',
  version: 1,
  sources: [{ part: 'receiver-trs' }],
  destinations: [{ part: 'phone-8-pin', app: 'camera-app' }],
  wishes,
  ...more,
});

describe('what is owned comes first', { timeout: 120_000 }, () => {
  const drawer = { 'lead-trs-trs': 1, 'splitter-trs': 1, 'dongle-8-pin-headset': 1 };

  it('a longer way from the drawer stands before a shorter one that must be bought', () => {
    const [first, second] = plan(request({}, { drawer })).routes;
    expect(first).toMatchObject({ cost: 0, buy: [] });
    expect(first?.own.map((item) => item.part).sort()).toEqual(Object.keys(drawer).sort());
    // The patch cable would be another of the same kind, and has no socket for headphones: it is no second answer.
    expect(second).toBeUndefined();
  });

  it('one that is owned serves once', () => {
    const two = plan({
      ...request({ channels: 'stereo' }, { drawer: { 'lead-rca': 1, 'line-streamer': 1 } }),
      sources: [{ part: 'deck' }],
      destinations: [{ part: 'phone-usb-c', app: 'camera-app' }],
    });
    const streamer = two.routes.find((route) => route.parts.includes('line-streamer'));
    expect(streamer?.own.map((item) => item.part).sort()).toEqual(['lead-rca', 'line-streamer']);
    expect(streamer?.buy.map((item) => item.part)).toEqual(['lead-rca']);
    expect(streamer?.cost).toBe(findPart('lead-rca')!.price);
  });

  it('“buy nothing” gives ways from the drawer alone', () => {
    const { routes } = plan(request({ buyNothing: true }, { drawer }));
    expect(routes.length).toBeGreaterThan(0);
    expect(routes.every((route) => route.buy.length === 0 && route.cost === 0)).toBe(true);
  });
});

describe('wishes', { timeout: 120_000 }, () => {
  it('who wants the best sound is never told that all was seen', () => {
    const asked = plan(request({}, { prefer: 'sound' }));
    expect(asked.routes.length).toBeGreaterThan(0);
    expect(asked.complete).toBe(false);
    expect(asked.ruledOut).toBeGreaterThan(0);
    const noises = asked.routes.map((route) => Math.round(route.overNoise));
    expect(noises).toEqual([...noises].sort((a, b) => b - a));
  });

  it('a budget is kept', () => {
    const dear = plan(request({}, { sources: [{ part: 'condenser-xlr' }] })).routes;
    const limit = (dear.at(-1)?.cost ?? 0) - 1;
    const cheap = plan(request({ budget: limit }, { sources: [{ part: 'condenser-xlr' }] })).routes;
    expect(cheap.length).toBeGreaterThan(0);
    expect(cheap.every((route) => route.cost <= limit)).toBe(true);
  });

  it('a phone that keeps charging has a supply on the way to its port', () => {
    const usb = { destinations: [{ part: 'phone-usb-c', app: 'camera-app' }] };
    const { routes } = plan(request({ charge: true }, usb));
    expect(routes.length).toBeGreaterThan(0);
    for (const route of routes) {
      expect(
        route.parts.some((id) => /charger|power-bank/.test(id)),
        route.parts.join(),
      ).toBe(true);
    }
  });

  it('what is worn has no mixer, hub or mains unit in it', () => {
    const { routes } = plan(request({ worn: true }, { sources: [{ part: 'condenser-xlr' }] }));
    expect(routes.length).toBeGreaterThan(0);
    for (const route of routes) {
      const families = route.parts.map((id) => findPart(id)?.family);
      expect(families).not.toContain('mixer');
      expect(families).not.toContain('hub');
    }
  });

  it('“only what is proven” leaves out what rests on no test or practice', () => {
    const call = {
      sources: [{ part: 'condenser-xlr' }],
      destinations: [{ part: 'phone-usb-c', app: 'video-call' }],
    };
    const any = plan(request({}, call)).routes;
    const proven = plan(request({ risk: 'proven' }, call)).routes;
    expect(any.length).toBeGreaterThan(0);
    expect(proven.length).toBeGreaterThan(0);
    expect(proven.every((route) => route.evidence === 'common practice')).toBe(true);
  });

  it('what the user tested stands before common practice, whatever it costs', () => {
    const policies = [
      { app: 'video-call', way: 'usb', takes: true, kind: 'tested by you', date: '2026-11-20' },
    ] as const;
    const call = {
      sources: [{ part: 'receiver-both' }],
      destinations: [{ part: 'phone-usb-c', app: 'video-call' }],
      drawer: { 'patch-trs-trrs': 1, 'dongle-usb-c-headset': 1 },
      policies,
    };
    const [first] = plan(request({}, call)).routes;
    expect(first?.evidence).toBe('tested by you');
    expect(first?.parts).toContain('lead-usb-c-c');
  });

  it('the same gear for a second phone: the patch cable serves both, one of them with its dongle', () => {
    const asked = request(
      { also: { part: 'phone-8-pin', app: 'camera-app' } },
      { destinations: [{ part: 'phone-ctia', app: 'camera-app' }] },
    );
    const [first] = plan(asked).routes;
    expect(first?.buy.map((item) => item.part)).toEqual(['patch-trs-trrs']);
    expect(first?.also?.buy.map((item) => item.part)).toEqual(['dongle-8-pin-headset']);
    expect(first?.cost).toBe(findPart('patch-trs-trrs')!.price + findPart('dongle-8-pin-headset')!.price);
  });
});

describe('what cannot be met', { timeout: 120_000 }, () => {
  it('names each wish that stands in the way, and what giving it up would allow', () => {
    const none = plan(request({ budget: 5 }));
    expect(none.routes).toEqual([]);
    expect(none.hindrances.map(({ wish }) => wish)).toEqual(['budget']);
    expect(none.hindrances[0]?.route.cost).toBe(
      findPart('patch-trs-trrs')!.price + findPart('dongle-8-pin-headset')!.price,
    );
    expect(sayPlan(none)).toContain('the budget');
  });

  it('says so where no two wishes help', () => {
    const none = plan(request({ buyNothing: true, channels: 'mono' }, { catalogue: ['lead-trs-trs'] }));
    expect(none).toMatchObject({ routes: [], hindrances: [] });
    expect(sayPlan(none)).toContain('giving up any two wishes would not help');
  });

  it.each<[string, object, string]>([
    [
      'an unknown part',
      { sources: [{ part: 'no-such' }] },
      '/sources/0/part is "no-such"; the catalogue has no such part.',
    ],
    ['a source that is none', { sources: [{ part: 'lead-trs-trs' }] }, 'which gives no sound of its own.'],
    [
      'a receiver whose packs are the sources',
      { sources: [{ part: 'receiver-two-channel' }] },
      'what it gets its sound from is the source, and it is named under “drawer” or “through”.',
    ],
    ['keys that are no sound', { sources: [{ part: 'midi-keyboard' }] }, 'is named under “carried”'],
    ['a recorder that is none', { destinations: [{ part: 'lead-trs-trs' }] }, 'which records nothing'],
    ['an unknown app', { destinations: [{ part: 'phone-ctia', app: 'x' }] }, 'there is no such app class'],
    ['a mixer that is none', { through: 'phone-ctia' }, 'into which no source can be plugged'],
    ['a drawer of unknown things', { drawer: { nothing: 1 } }, '/drawer/nothing is "nothing"'],
    ['no source', { sources: [] }, '/sources is []'],
    ['half a thing', { drawer: { 'lead-trs-trs': 0.5 } }, '/drawer/lead-trs-trs is 0.5; it must be integer'],
    [
      'a setting that it has not',
      { sources: [{ part: 'receiver-trs', settings: { output: 'mid' } }] },
      '/sources/0/settings/output is "mid"',
    ],
    [
      'stereo of an app that sums',
      { destinations: [{ part: 'phone-ctia', app: 'voice-room' }], wishes: { channels: 'stereo' } },
      'sums both sides to one',
    ],
    ['one source apart', { wishes: { channels: 'apart' } }, 'nothing to keep it apart from'],
    ['guests of a camera', { wishes: { guests: true } }, 'nobody speaks at the far end'],
    ['a budget for nothing', { wishes: { buyNothing: true, budget: 10 } }, 'nothing is to be bought'],
    [
      'a second phone that is the first',
      { wishes: { also: { part: 'phone-8-pin', app: 'camera-app' } } },
      'it is the destination already',
    ],
  ])('%s gets one clear reason, and nothing is searched', (_, change, says) => {
    const result = checkRequest({ ...request(), ...change });
    expect(result.ok ? '' : sayRequestProblem(result.problem)).toContain(says);
  });

  it.each([
    ['', 'complete JSON'],
    ['{"format": "symplex-request"', 'complete JSON'],
    ['[]', 'must be object'],
    ['"x"'.repeat(900_000), 'at most 2 MB'],
  ])('a file that is none is refused: %.20j', (text, says) => {
    const result = readRequest(text);
    expect(result.ok ? '' : sayRequestProblem(result.problem)).toContain(says);
  });
});

describe('a distance that an unbalanced source has to bridge', { timeout: 120_000 }, () => {
  const far = (catalogue: readonly string[]) =>
    plan(
      request(
        { channels: 'mono' },
        {
          sources: [{ part: 'keyboard', place: 'stage' }],
          destinations: [{ part: 'phone-ctia', app: 'live-stream', place: 'desk' }],
          distances: [{ from: 'stage', to: 'desk', metres: 10 }],
          catalogue,
        },
      ),
    ).routes;
  const AT_HAND = [
    'lead-jack-ts',
    'di-passive',
    'mobile-preamp',
    'pad-xlr-20',
    'lead-xlr-trrs',
    'extension-trrs',
  ];

  // Common practice: the DI box stands at its source, the long lead is the balanced one.
  it('goes by a DI box at the source and a long XLR lead into a balanced input', () => {
    const [first] = far([...AT_HAND, 'lead-xlr']);
    expect(first?.parts).toEqual(expect.arrayContaining(['di-passive', 'lead-xlr', 'mobile-preamp']));
    const metres = (id: string) => first?.rig.parts.find(({ part }) => part === id)?.length ?? 0;
    expect(metres('lead-xlr')).toBeGreaterThan(metres('lead-jack-ts'));
  });

  it('is not pieced together of unbalanced leads with a box on the way while that can be helped', () => {
    expect(far(AT_HAND).length).toBeGreaterThan(0);
    const routes = far([...AT_HAND, 'lead-xlr']);
    expect(routes.length).toBeGreaterThan(0);
    for (const { parts } of routes) expect(parts).toContain('lead-xlr');
  });
});

describe('a search', { timeout: 120_000 }, () => {
  it('can be let go at any step', () => {
    const steps = planSteps(request({}, { sources: [{ part: 'condenser-xlr' }] }));
    expect(steps.next().done).toBe(false);
    expect(steps.return({ routes: [], hindrances: [], searched: 0, complete: false }).done).toBe(true);
    expect(steps.next().done).toBe(true);
  });

  /** Every list of ways that a search told before its end, and its answer. */
  function told(asked: RouteRequest) {
    const lists: Route[][] = [];
    const steps = planSteps(asked, { ...LIMITS, milliseconds: 60_000 });
    for (;;) {
      const step = steps.next();
      if (step.done) return { lists, plan: step.value };
      const routes = step.value.soFar?.();
      if (routes && routes.length > 0) lists.push([...routes]);
    }
  }

  it('tells what it has proved so far: each way clean by the whole pipeline, and the one that stays first before the end', () => {
    const { lists, plan: answer } = told(
      request({}, { sources: [{ part: 'condenser-xlr' }], destinations: [{ part: 'tablet-usb-c' }] }),
    );
    expect(answer.routes.length).toBeGreaterThan(0);
    expect(lists.length).toBeGreaterThan(0);
    for (const { rig } of lists.flat()) expect(analyse(rig).verdict).toBe('clean');
    const joints = (route: Route | undefined) => JSON.stringify(route?.rig.joints);
    const heads = lists.map(([first]) => joints(first));
    const settled = heads.indexOf(joints(answer.routes[0]));
    expect(settled).toBeGreaterThanOrEqual(0);
    expect(new Set(heads.slice(settled)).size).toBe(1);
  });

  it('tells nothing on the way that answers another question: one recorder less, a wish given up', () => {
    const two = [{ part: 'camera-trs' }, { part: 'phone-ctia', app: 'camera-app', under: 1 }];
    expect(told(request({}, { destinations: two })).lists).toEqual([]);
    const no = told(request({ buyNothing: true, charge: true }));
    expect(no.lists).toEqual([]);
    expect(no.plan.hindrances.length).toBeGreaterThan(0);
  });

  it('gives the same answer twice, and says how much it tried', () => {
    const [one, two] = [plan(request()), plan(request())];
    expect(JSON.stringify(one)).toBe(JSON.stringify(two));
    expect(one.searched).toBeGreaterThan(0);
    expect(one.complete).toBe(true);
  });

  it('uses parts of the user’s own, and their figures', () => {
    const own = { ...ownCopy(findPart('patch-trs-trrs')!, 'Tarred patch', new Set()), price: 1 };
    const asked = { ownParts: [own], destinations: [{ part: 'phone-ctia', app: 'camera-app' }] };
    const [first] = plan(request({}, asked)).routes;
    expect(first?.buy.map((item) => item.part)).toEqual(['own-tarred-patch']);
    expect(first?.rig.ownParts).toEqual([own]);
  });

  it('is reported as JSON that keeps every rig whole', () => {
    const report = planReport(plan(request()));
    const back = JSON.parse(JSON.stringify(report)) as typeof report;
    expect(back).toEqual(report);
    expect(back.routes[0]).toMatchObject({ rank: 1, verdict: 'clean', evidence: 'common practice' });
    expect(back.routes[0]?.arrives[0]?.state).toBe('recorded');
  });
});

describe('what cannot be had together', () => {
  const noisy: RouteRequest = {
    format: 'symplex-request',
    version: 1,
    sources: [{ part: 'condenser-xlr' }],
    destinations: [{ part: 'recorder-line' }],
    wishes: { worn: true, budget: 100, channels: 'mono' },
    catalogue: ['mixer-one-mic', 'lead-xlr', 'lead-jack-trs'],
  };
  it('names the fewest wishes that have to be given up together, and what they then allow', () => {
    const { routes, hindrances } = plan(noisy);
    expect(routes).toEqual([]);
    expect(hindrances.map(({ wish, others }) => [wish, ...others].sort())).toEqual([['budget', 'worn']]);
    expect(hindrances[0]?.route.parts).toContain('mixer-one-mic');
  });
  it('says how many were given up where nothing helps', () => {
    const { hindrances, givenUp } = plan({ ...noisy, catalogue: ['lead-xlr'] });
    expect({ hindrances, givenUp }).toEqual({ hindrances: [], givenUp: 3 });
  });
});

// Common practice: one sound device at a time.
describe('where several have no way together', () => {
  const asked = (...parts: readonly string[]): RouteRequest => ({
    format: 'symplex-request',
    version: 1,
    sources: parts.map((part) => ({ part })),
    destinations: [{ part: 'tablet-usb-c', app: 'multitrack' }],
    wishes: { channels: 'apart' },
    catalogue: ['lead-usb-a-c', 'lead-usb-c-b', 'lead-usb-a-micro', 'adapter-usb-c-a', 'lead-usb-a-b'],
  });
  it('two USB microphones: each alone has one', () => {
    const { routes, alone } = plan(asked('usb-mic-low', 'usb-mic-big'));
    expect({ routes, alone }).toEqual({ routes: [], alone: { of: 'sources', without: [] } });
  });
  it('a USB microphone and one with XLR for which there is no box: the second has none even alone', () => {
    const { alone } = plan(asked('usb-mic-low', 'dynamic-xlr'));
    expect(alone).toEqual({ of: 'sources', without: [1] });
  });
});

describe('a further recorder that is wanted only if cheap', () => {
  const also = (under: number): RouteRequest => ({
    format: 'symplex-request',
    version: 1,
    sources: [{ part: 'receiver-trs' }],
    destinations: [
      { part: 'phone-ctia', app: 'camera-app' },
      { part: 'camera-trs', under },
    ],
    catalogue: ['patch-trs-trrs', 'splitter-headphones', 'lead-trs-trs'],
  });
  it('is there where it costs little more', () => {
    const { routes, leftOut } = plan(also(20));
    expect(routes[0]?.parts).toContain('camera-trs');
    expect(leftOut).toBeUndefined();
  });
  it('is left out, with what it would cost, where it is not', () => {
    const { routes, leftOut } = plan(also(10));
    expect(routes[0]?.parts).not.toContain('camera-trs');
    // A splitter for 6 and a lead for 6.
    expect(leftOut).toEqual({ part: 'camera-trs', under: 10, more: 12 });
  });
});
