import { proxy } from 'comlink';
import type { Plan, Progress, RouteRequest } from '../core/search/route';
import type { PlannerProtocol } from './planner-protocol';
import { Thread } from './thread';

/** A search that takes longer than this is stuck, ms. */
const PATIENCE = 180_000;

const planner = new Thread<PlannerProtocol>(
  () => new Worker(new URL('./planner.worker.ts', import.meta.url), { type: 'module' }),
  PATIENCE,
);

/** A search under way: its answer, and how to end it at once. */
export interface Search {
  readonly answer: Promise<Plan>;
  /** Ends the thread: nothing goes on behind. The answer is then never given. */
  readonly cancel: () => void;
}

/** Searches in a thread of its own, which is kept warm until a search is broken off. The answer rejects with `ThreadDied`. */
export const startSearch = (request: RouteRequest, tell: (progress: Progress) => void): Search => ({
  answer: planner.calls.plan(request, proxy(tell)),
  cancel: () => planner.stop(),
});
