import { settle } from '../src/core/search/settings';
import type { Part, PartPort } from '../src/core/parts';
import { mate } from '../src/core/plugs';
import { kindOfChain } from '../src/core/search/route/chains';
import { completed } from '../src/core/search/route/complete';
import { layoutCost, rigOf, withJoint, withPiece, type Layout } from '../src/core/search/route/layout';
import { bestOf, type Found } from '../src/core/search/route/rank';
import { repairsOf } from '../src/core/search/route/repairs';
import type { RouteRequest } from '../src/core/search/route/request';
import { meets } from '../src/core/search/route/wishes';

interface Step {
  readonly part: Part;
  readonly entry: PartPort;
  readonly exit: PartPort;
}

/** Every chain of at most `longest` parts whose connectors fit, whatever lies on their contacts; no order, no bounds. */
function* chains(source: Part, parts: readonly Part[], host: Part, longest: number) {
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

function layoutsOf(request: RouteRequest, source: Part, host: Part, parts: readonly Part[], longest: number) {
  const layouts: Layout[] = [];
  for (const { from, steps, to } of chains(source, parts, host, longest)) {
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
  if (!begun) return undefined;
  const wishes = request.wishes ?? {};
  const found: Found[] = [];
  const stock = { parts, drawer: request.drawer ?? {} };
  const queue = begun.flatMap((layout) => completed(layout, wishes, stock));
  for (const layout of queue) {
    const { rig, judged } = settle(rigOf(layout, request));
    const cost = layoutCost(layout, request.drawer ?? {});
    if (meets(layout, judged, wishes)) found.push({ layout, rig, judged, cost, kind: layout.kind });
    else if (judged.verdict !== 'clean' && layout.pieces.length < longest + 4) {
      queue.push(...repairsOf(layout, judged, stock));
    }
  }
  return bestOf(found, 5);
}
