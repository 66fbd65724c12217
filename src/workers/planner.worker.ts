import { expose } from 'comlink';
import { planSteps } from '../core/search/route';
import type { PlannerProtocol } from './planner-protocol';

/** Told no oftener than this, ms. */
const TELL_EVERY = 80;

const planner: PlannerProtocol = {
  plan(request, tell) {
    const steps = planSteps(request);
    let told = performance.now();
    for (;;) {
      const step = steps.next();
      if (step.done) return step.value;
      if (performance.now() - told < TELL_EVERY) continue;
      told = performance.now();
      tell(step.value);
    }
  },
};

expose(planner);
