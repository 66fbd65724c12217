import { proxy } from 'comlink';
import type { Plan, RouteRequest } from '../core/search/route';
import type { PlannerProtocol, Told } from './planner-protocol';
import { Thread } from './thread';

/** A search that takes longer than this is stuck, ms. */
const PATIENCE = 180_000;

const planner = (): Thread<PlannerProtocol> =>
  new Thread<PlannerProtocol>(
    () => new Worker(new URL('./planner.worker.ts', import.meta.url), { type: 'module' }),
    PATIENCE,
  );

/** One for the question that is asked, another for what is asked beside it: the end of the one leaves the other alone. */
const [asked, beside] = [planner(), planner()];

/** A search under way: its answer, and how to end it at once. */
export interface Search {
  readonly answer: Promise<Plan>;
  /** Ends the thread: nothing goes on behind. The answer is then never given. */
  readonly cancel: () => void;
}

/**
 * Lets the thread make itself ready by these while nobody asks it anything: what is worked out once of each part, and the machine's own making
 * ready, are most of what a first question takes. That it cannot will be told with that.
 */
export const makeReady = (requests: readonly RouteRequest[]): void =>
  void asked.calls.makeReady(requests).catch(() => undefined);

const startOn = (
  thread: Thread<PlannerProtocol>,
  request: RouteRequest,
  milliseconds: number | undefined,
  tell: (told: Told) => void,
): Search => ({
  answer: thread.calls.plan(request, milliseconds, proxy(tell)),
  cancel: () => thread.stop(),
});

/** Searches in a thread of its own, which is kept warm; `milliseconds`: for longer than is usual. The answer rejects with `ThreadDied`. */
export const startSearch = (
  request: RouteRequest,
  milliseconds: number | undefined,
  tell: (told: Told) => void,
): Search => startOn(asked, request, milliseconds, tell);

/** The same beside it, for what is only good to know. */
export const startBeside = (request: RouteRequest): Search =>
  startOn(beside, request, undefined, () => undefined);
