import { isPassiveLink, type Part, type PartPort } from '../src/core/parts';
import { mate } from '../src/core/plugs';
import { kindOfChain } from '../src/core/search/route/chain-kinds';
import { isCallIn } from '../src/core/search/route/call-in';
import { completed } from '../src/core/search/route/complete';
import { layoutCost, rigOf, withJoint, withPiece, type Layout } from '../src/core/search/route/layout';
import { bestOf, type Found } from '../src/core/search/route/rank';
import { repairsOf } from '../src/core/search/route/repairs';
import type { RouteRequest } from '../src/core/search/route/request';
import { lostOf } from '../src/core/search/route/lost';
import { roughnessOf } from '../src/core/search/route/rough';
import { isTouchy } from '../src/core/search/route/touchy';
import { overruns } from '../src/core/search/route/runs';
import { settledFor } from '../src/core/search/route/settled';
import { purseOf } from '../src/core/search/route/search';
import { meets } from '../src/core/search/route/wishes';

export interface Step {
  readonly part: Part;
  readonly entry: PartPort;
  readonly exit: PartPort;
}

/** Every chain of at most `longest` parts whose connectors fit, whatever lies on their contacts; no order, no bounds. */
export function* chains(source: Part, parts: readonly Part[], host: Part, longest: number) {
  function* grow(
    from: PartPort,
    open: PartPort,
    steps: readonly Step[],
  ): Generator<{
    from: PartPort;
    steps: readonly Step[];
    to: PartPort;
  }> {
    for (const to of host.ports) if (mate(open, to).fits) yield { from, steps, to };
    if (steps.length === longest) return;
    for (const part of parts) {
      for (const entry of part.ports) {
        if (!mate(open, entry).fits) continue;
        for (const exit of part.ports) {
          if (exit !== entry) yield* grow(from, exit, [...steps, { part, entry, exit }]);
        }
      }
    }
  }
  for (const port of source.ports) yield* grow(port, port, []);
}

/** Two things that stand in places of their own, with nothing between that gives way: no lead, no plug on a lead of its own, no radio. */
export function isRigid(
  source: Part,
  from: PartPort,
  steps: readonly Step[],
  host: Part,
  to: PartPort,
): boolean {
  const stands = (part: Part) => part.host !== undefined || (part.stands ?? 'inline') !== 'inline';
  const gives = (port: PartPort) => port.ownLead !== undefined || port.connector === 'radio';
  const row = [
    { part: source, ports: [from] },
    ...steps.map(({ part, entry, exit }) => ({ part, ports: [entry, exit] })),
    { part: host, ports: [to] },
  ];
  return row.some((one, a) =>
    row.some((other, b) => {
      if (a >= b || !stands(one.part) || !stands(other.part)) return false;
      const between = row.slice(a + 1, b);
      const ports = [one.ports.at(-1), ...between.flatMap(({ ports: all }) => all), other.ports[0]];
      return (
        between.every(({ part }) => part.length === undefined && !stands(part)) &&
        !ports.some((port) => port && gives(port))
      );
    }),
  );
}

function layoutsOf(request: RouteRequest, source: Part, host: Part, parts: readonly Part[], longest: number) {
  const layouts: Layout[] = [];
  for (const { from, steps, to } of chains(source, parts, host, longest)) {
    if (isRigid(source, from, steps, host, to) || hangsLong(steps, request.drawer)) continue;
    const app = request.destinations[0]?.app;
    let layout: Layout = {
      pieces: [
        { id: 'source', part: source },
        { id: 'host', part: host, ...(app !== undefined && { app }) },
      ],
      joints: [],
      sources: ['source'],
      recorders: ['host'],
      kind: ` ${kindOfChain(from, steps, to)}`,
    };
    let at = { part: 'source', port: from.id };
    for (const step of steps) {
      const added = withPiece(layout, step.part);
      layout = withJoint(added.layout, at, { part: added.id, port: step.entry.id });
      at = { part: added.id, port: step.exit.id };
    }
    layouts.push(withJoint(layout, at, { part: 'host', port: to.id }));
    if (layouts.length > 4000) return undefined;
  }
  return layouts;
}

/** More than three leads and adapters to buy hang one in another, between two boxes. */
export function hangsLong(steps: readonly Step[], drawer: Readonly<Record<string, number>> = {}): boolean {
  const left = new Map(Object.entries(drawer));
  let row = 0;
  return steps.some(({ part }) => {
    const owned = (left.get(part.id) ?? 0) > 0;
    if (owned) left.set(part.id, (left.get(part.id) ?? 0) - 1);
    row = isPassiveLink(part) ? row + (owned ? 0 : 1) : 0;
    return row > 3;
  });
}

/** The best of some layouts, each with all that completes and repairs it, judged by the pipeline. */
export function bestOfAll(
  request: RouteRequest,
  begun: readonly Layout[],
  parts: readonly Part[],
  longest: number,
): Found[] {
  const found: Found[] = [];
  const stock = { parts, purse: purseOf(request) };
  const queue = begun.flatMap((layout) => completed(layout, request, stock));
  for (const layout of queue) {
    const isCall = request.wishes?.callers === true;
    const { rig, judged, facts } = settledFor(rigOf(layout, request), request);
    const cost = layoutCost(layout, stock.purse);
    if (meets(layout, judged, facts, request) && (!isCall || isCallIn(facts)))
      found.push({
        layout,
        rig,
        judged,
        cost,
        kind: layout.kind,
        overruns: overruns(layout, request),
        touchy: isTouchy(facts),
        rough: roughnessOf(facts),
        lost: lostOf(facts),
        apart: request.wishes?.channels === 'apart',
      });
    else if (judged.verdict !== 'clean' && layout.pieces.length < longest + 4) {
      queue.push(...repairsOf(layout, judged, request, stock));
    }
  }
  return bestOf(found, 5);
}

/**
 * The best routes by trying everything: each chain that fits together is judged by the pipeline. Undefined where there are too
 * many to try. The reference for the search.
 */
export function exhaustive(
  request: RouteRequest,
  source: Part,
  host: Part,
  parts: readonly Part[],
  longest: number,
): Found[] | undefined {
  const begun = layoutsOf(request, source, host, parts, longest);
  return begun && bestOfAll(request, begun, parts, longest);
}
