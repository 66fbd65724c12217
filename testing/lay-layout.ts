import { findPart, type Part } from '../src/core/parts';
import { withJoint, type Layout } from '../src/core/search/route/layout';

function partOf(id: string): Part {
  const part = findPart(id);
  if (!part) throw new Error(`no part "${id}"`);
  return part;
}

/** What stands before and behind a mark. */
function halves(text: string, mark: string): [string, string] {
  const [first = '', second = first] = text.split(mark);
  return [first, second];
}

/** A layout from "id" or "id:part", the source first and the recorder last, and "a.port b.port". */
export function layLayout(pieces: readonly string[], joints: readonly string[]): Layout {
  const placed = pieces.map((piece) => {
    const [id, of] = halves(piece, ':');
    return { id, part: partOf(of) };
  });
  const ids = placed.map(({ id }) => id);
  const begun: Layout = {
    pieces: placed,
    joints: [],
    sources: ids.slice(0, 1),
    recorders: ids.slice(-1),
    kind: '',
  };
  const ref = (text: string) => {
    const [part, port] = halves(text, '.');
    return { part, port };
  };
  return joints.reduce((layout, joint) => {
    const [a, b] = halves(joint, ' ');
    return withJoint(layout, ref(a), ref(b));
  }, begun);
}
