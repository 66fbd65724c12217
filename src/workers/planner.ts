import { proxy, wrap, type Remote } from 'comlink';
import type { Plan, Progress, RouteRequest } from '../core/route';
import type { PlannerProtocol } from './planner-protocol';

interface Thread {
  readonly worker: Worker;
  readonly planner: Remote<PlannerProtocol>;
}

let thread: Thread | undefined;

function start(): Thread {
  const worker = new Worker(new URL('./planner.worker.ts', import.meta.url), { type: 'module' });
  return { worker, planner: wrap<PlannerProtocol>(worker) };
}

/** A search under way: its answer, and how to end it at once. */
export interface Search {
  readonly answer: Promise<Plan>;
  /** Ends the thread: nothing goes on behind. The answer is then never given. */
  readonly cancel: () => void;
}

/** Searches in a thread of its own, which is kept warm until a search is broken off. */
export function startSearch(request: RouteRequest, tell: (progress: Progress) => void): Search {
  thread ??= start();
  const own = thread;
  const cancel = () => {
    own.worker.terminate();
    if (thread === own) thread = undefined;
  };
  return { answer: own.planner.plan(request, proxy(tell)) as Promise<Plan>, cancel };
}
