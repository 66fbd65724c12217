import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { channelsOf, desk, deskWith, type DeskPlan } from '../../../../testing/desk';
import { allFacts } from '../../engine';
import { hearing } from '../../engine/hearing';
import { applyEdit, type Rig } from '../../rig';
import { planReturns } from './plan';

const MOST = 4;

/** Wants that are met at the far ends, from the definition: the microphone and every other caller heard, nothing of oneself. */
const met = (rig: Rig): number =>
  hearing(allFacts(rig)[0]).cells.filter(({ listener, voice, state }) => {
    if (!listener.startsWith('phone-')) return false;
    return listener === voice ? state === 'alone' : state === 'hears';
  }).length;

describe('a send and a way back for each of several callers', () => {
  const cases = Array.from({ length: MOST }, (_, n) => n + 1).flatMap((callers) =>
    [1, 2, 3].map((seed) => [callers, seed] as const),
  );

  it.each(cases)('%d callers, sends as seed %d leaves them: every want is met', (callers, seed) => {
    const rig = desk(callers, 100 * callers + seed);
    const plan = planReturns(rig);
    const all = callers * (callers + 1);
    expect(plan?.proved).toBe(true);
    expect(met((plan?.edits ?? []).reduce(applyEdit, rig))).toBe(all);
  });
});

/** Every way to set some knobs, each out or at 0 dB; one knob is turned from way to way (Gray, from memory). */
function* everyWay(rig: Rig, knobs: readonly string[]): Generator<Rig> {
  const set = (at: Rig, setting: string, option: number) =>
    applyEdit(at, { kind: 'set', part: 'mixer', setting, option });
  let at = knobs.reduce((one, knob) => set(one, knob, -60), rig);
  yield at;
  for (let n = 1; n < 2 ** knobs.length; n += 1) {
    const bit = Math.round(Math.log2(n & -n));
    const isOpen = ((n >> bit) & 3) === 1;
    at = set(at, knobs[bit] ?? '', isOpen ? 0 : -60);
    yield at;
  }
}

/** Wants of one caller that are met. */
const metAt = (rig: Rig, caller: string): number =>
  hearing(allFacts(rig)[0]).cells.filter(
    ({ listener, voice, state }) =>
      listener === caller && (listener === voice ? state === 'alone' : state === 'hears'),
  ).length;

const most = (rig: Rig, knobs: readonly string[], by: (rig: Rig) => number): number => {
  let best = 0;
  for (const one of everyWay(rig, knobs)) best = Math.max(best, by(one));
  return best;
};

/** A caller hears by what leads to them, so the best of each is that of the knobs of their own send. */
const bestOf = (rig: Rig, plan: DeskPlan): number =>
  plan.feeds.reduce((sum, output, caller) => {
    const knobs = output.startsWith('send-') ? channelsOf(plan).map((channel) => `${output}-${channel}`) : [];
    return sum + most(rig, knobs, (one) => metAt(one, `phone-${caller}`));
  }, 0);

const drawn = fc
  .record({
    mics: fc.integer({ min: 1, max: 2 }),
    callers: fc.integer({ min: 1, max: 3 }),
    seed: fc.nat(9999),
  })
  .chain(({ mics, callers, seed }) =>
    fc
      .shuffledSubarray(['send-0', 'send-1', 'send-2', 'main-left'], {
        minLength: callers,
        maxLength: callers,
      })
      .map((feeds) => [{ mics, sends: 3, feeds } satisfies DeskPlan, seed] as const),
  );

describe('the plan against every setting of every send', () => {
  it(
    'three callers, four channels: all 4,096 ways, and each caller by their own send alone comes to the same',
    { timeout: 240_000 },
    () => {
      const plan: DeskPlan = { mics: 1, sends: 3, feeds: ['send-1', 'main-left', 'send-0'] };
      const rig = deskWith(plan, 7);
      const knobs = [0, 1, 2].flatMap((send) => channelsOf(plan).map((channel) => `send-${send}-${channel}`));
      const best = most(rig, knobs, met);
      expect(bestOf(rig, plan)).toBe(best);
      expect(met((planReturns(rig)?.edits ?? []).reduce(applyEdit, rig))).toBe(best);
      expect(best).toBeLessThan(12);
    },
  );

  it(
    'up to three sends and five channels, one to three callers: as many wants met',
    { timeout: 240_000 },
    () => {
      let proved = 0;
      fc.assert(
        fc.property(drawn, ([plan, seed]) => {
          const rig = deskWith(plan, seed);
          const found = planReturns(rig);
          const best = bestOf(rig, plan);
          expect([plan.feeds, met((found?.edits ?? []).reduce(applyEdit, rig))]).toEqual([plan.feeds, best]);
          const all = plan.feeds.length * (plan.mics + plan.feeds.length);
          expect(found?.proved).toBe(best === all);
          if (found?.proved) proved += 1;
        }),
        { seed: 20261127, numRuns: 120 },
      );
      expect(proved).toBeGreaterThan(5);
      expect(proved).toBeLessThan(120);
    },
  );
});
