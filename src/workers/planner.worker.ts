import { expose } from 'comlink';
import { LIMITS, planSteps } from '../core/search/route';
import type { PlannerProtocol } from './planner-protocol';

/** Told no oftener than this, ms; the first way at once. */
const TELL_EVERY = 80;

const planner: PlannerProtocol = {
  plan(request, milliseconds = LIMITS.milliseconds, tell) {
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
};

expose(planner);
