import { isCharged } from '../../engine/power';
import { isHopeless, isSoundButLow } from '../settings';
import type { Outcome } from '../../judge';
import type { Rig } from '../../rig';
import type { Stock } from './attach';
import { isCallIn } from './call-in';
import { LostHeads } from './heads';
import { rigOf, type Layout } from './layout';
import { exchangedIn, repairsOf } from './repairs';
import type { RouteRequest } from './request';
import { isFaint, settledFor } from './settled';
import { Shapes } from './shape';
import { lostOf } from './lost';
import { roughnessOf } from './rough';
import { isTouchy } from './touchy';
import { goesWhereAsked, keepsWishes, meets } from './wishes';

/** What the pipeline said of a layout: that it answers, or what with one thing more may. */
export type Verdict =
  | {
      readonly answers: true;
      readonly layout: Layout;
      readonly rig: Rig;
      readonly judged: Outcome;
      readonly touchy: boolean;
      readonly rough: number;
      readonly lost: number;
    }
  | { readonly answers: false; readonly repaired: readonly Layout[] };

const NO: Verdict = { answers: false, repaired: [] };

/** Every layout of a request that was settled and judged, once each whatever pass or search asks, and whatever its pieces are called. */
export class Verdicts {
  private readonly known = new Map<string, Verdict>();
  private readonly shapes: Shapes;
  private readonly lost = new LostHeads();

  constructor(
    private readonly request: RouteRequest,
    private readonly stock: Stock,
  ) {
    this.shapes = new Shapes(request);
  }

  /** How many ways of sources are known to be lost. */
  readonly lostWays = (): number => this.lost.known;

  /** Whether a source is known to be lost by its way in a layout, whole or not. */
  readonly isLost = (layout: Layout): boolean => this.lost.has(layout);

  readonly shapeOf = (layout: Layout): string => this.shapes.of(layout);

  /** `fresh`: nobody had asked about it. */
  of(layout: Layout, shape = this.shapeOf(layout)): { readonly verdict: Verdict; readonly fresh: boolean } {
    const known = this.known.get(shape);
    if (known) return { verdict: known, fresh: false };
    if (this.lost.has(layout)) return { verdict: NO, fresh: false };
    const verdict = this.judge(layout);
    this.known.set(shape, verdict);
    return { verdict, fresh: true };
  }

  /** The same with two plugs exchanged, where that is said of it and it then has less to be said of it. */
  private better(layout: Layout, rig: Rig, { findings }: Pick<Outcome, 'findings'>): Verdict | undefined {
    return exchangedIn(layout, rig, { findings })
      .map((other) => this.judge(other, false))
      .find((one) => one.answers && one.judged.findings.length < findings.length);
  }

  private judge(layout: Layout, mayExchange = true): Verdict {
    const { request } = this;
    const { wishes = {} } = request;
    const { rig, judged, facts } = settledFor(rigOf(layout, request), request, (settled) =>
      goesWhereAsked(layout, settled, request),
    );
    const isMeant = !wishes.callers || isCallIn(facts);
    const charges = !wishes.charge || rig.purpose.recorders.every((host) => isCharged(facts, host));
    if (
      isMeant &&
      charges &&
      !isFaint(judged) &&
      meets(layout, judged, facts, request) &&
      keepsWishes(layout, wishes, this.stock.purse)
    ) {
      const plugged = mayExchange ? this.better(layout, rig, judged) : undefined;
      if (plugged) return plugged;
      return {
        answers: true,
        layout,
        rig,
        judged,
        touchy: isTouchy(facts),
        rough: roughnessOf(facts, layout),
        lost: lostOf(facts),
      };
    }
    this.lost.learn(layout, judged, facts);
    const isLost = isSoundButLow(judged) || isHopeless(judged);
    return { answers: false, repaired: isLost ? [] : repairsOf(layout, judged, request, this.stock) };
  }
}
