import { findPart } from '../src/core/parts';
import { withJoint, type Layout } from '../src/core/search/route/layout';

/** A layout from "id" or "id:part", the source first and the recorder last, and "a.port b.port". */
export function layLayout(pieces: readonly string[], joints: readonly string[]): Layout {
  const begun: Layout = {
    pieces: pieces.map((piece) => {
      const [id = '', of = id] = piece.split(':');
      return { id, part: findPart(of)! };
    }),
    joints: [],
    sources: [pieces[0]!.split(':')[0]!],
    recorders: [pieces.at(-1)!.split(':')[0]!],
    kind: '',
  };
  const ref = (text: string) => ({ part: text.split('.')[0]!, port: text.split('.')[1]! });
  return joints.reduce((layout, joint) => {
    const [a = '', b = ''] = joint.split(' ');
    return withJoint(layout, ref(a), ref(b));
  }, begun);
}
