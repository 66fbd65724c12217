import { expose } from 'comlink';
import { LIMITS, planSteps } from '../core/search/route';
import type { PlannerProtocol } from './planner-protocol';

/** Told no oftener than this, ms; the first way at once. */
const TELL_EVERY = 80;

/** So much time each question has that is asked to make ready, ms. */
const READY_EACH = 300;

/** Somebody has asked: nothing is made ready any more. */
let isAsked = false;

/** Lets what was asked meanwhile come first. */
const breath = (): Promise<void> => new Promise((resolve) => setTimeout(resolve, 0));

const planner: PlannerProtocol = {
  plan(request, milliseconds = LIMITS.milliseconds, tell) {
    isAsked = true;
    const steps = planSteps(request, { ...LIMITS, milliseconds });
    let told = performance.now();
    let known = 0;
    for (;;) {
      const step = steps.next();
      if (step.done) return step.value;
      const { soFar, ...progress } = step.value;
      const isNew = progress.found !== known;
      if (!(isNew && known === 0) && performance.now() - told < TELL_EVERY) continue;
      known = progress.found;
      tell({ ...progress, ...(isNew && soFar && { routes: soFar() }) });
      told = performance.now();
    }
  },

  async makeReady(requests) {
    for (const request of requests) {
      const steps = planSteps(request, { ...LIMITS, milliseconds: READY_EACH });
      while (!isAsked && !steps.next().done) await breath();
    }
  },
};

expose(planner);
