import { describe, expect, it } from 'vitest';
import { desk } from '../../../../testing/desk';
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
