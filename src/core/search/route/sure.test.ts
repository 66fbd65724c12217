import { describe, expect, it } from 'vitest';
import { PRACTICE, requestOf } from '../../../../testing/practice';
import { BY_STEPS } from '../../../../testing/by-steps';
import { keyOfRoute, plan, type Plan, type RouteRequest } from '.';

const waysOf = ({ routes }: Plan): string[] => routes.map(keyOfRoute);

const answers = (request: RouteRequest, steps: number): Plan => plan(request, { ...BY_STEPS, steps });

/** Cut after so much work, from next to nothing on. */
const CUTS = [50, 200, 800, 3000];
/** What has not ended after so much work says nothing of what is sure. */
const WHOLE = 6000;

describe(
  'what a search that was cut says is sure is what the whole search says',
  { timeout: 300_000 },
  () => {
    let held = 0;

    // Every fourth, and all callers: what is put in for them differs from way to way.
    const some = PRACTICE.filter(({ wishes }, index) => index % 4 === 0 || wishes?.callers);
    it.each(some)('$name', (one) => {
      const request = requestOf(one);
      const whole = answers(request, WHOLE);
      // What is not searched to its end says nothing of it.
      if (!whole.complete) return;
      expect(whole.sure ?? whole.routes.length).toBe(whole.routes.length);
      for (const steps of CUTS) {
        const cut = answers(request, steps);
        const sure = cut.sure ?? 0;
        expect(waysOf(cut).slice(0, sure)).toEqual(waysOf(whole).slice(0, sure));
        if (!cut.complete) held += sure;
      }
    });

    it('is said often enough to have been tried', () => expect(held).toBeGreaterThan(20));
  },
);
