import { checkOf, sourcesOf, type Finding } from '../../checks';
import type { Facts } from '../../engine';
import type { Outcome } from '../../judge';
import { isPassiveLink, type Part } from '../../parts';
import { listens } from '../ends';
import type { Layout } from './layout';

/** The way of a source to the first thing that has stages, or hears: what it is, and its name in the layout. */
interface Head {
  readonly key: string;
  /** The same without what is copper alone. */
  readonly boxes: string;
  readonly end: string;
}

/** Nothing in it that a source could be held off by. */
const isBareCopper = (part: Part): boolean =>
  isPassiveLink(part) && part.circuit.every(({ kind }) => kind !== 'resistor');

/** Undefined where the way forks, or ends in nothing: what lies beside it would bear on it. */
function headOf({ pieces, joints }: Layout, source: string): Head | undefined {
  const words: unknown[] = [];
  const boxes: unknown[] = [];
  let [at, came, into] = [source, '', ''];
  for (;;) {
    const piece = pieces.find(({ id }) => id === at);
    if (!piece || words.length > 2 * pieces.length) return undefined;
    const word = [piece.part.id, piece.length, piece.settings];
    words.push(word);
    if (!isBareCopper(piece.part)) boxes.push(word, into);
    if (at !== source && listens(piece.part))
      return { key: JSON.stringify(words), boxes: JSON.stringify(boxes), end: at };
    const onward = joints.filter(
      ({ id, plug, jack }) => id !== came && (plug.part === at || jack.part === at),
    );
    const [next] = onward;
    if (!next || onward.length > 1) return undefined;
    const [near, far] = next.plug.part === at ? [next.plug, next.jack] : [next.jack, next.plug];
    words.push([near.port, far.port]);
    [at, came, into] = [far.part, next.id, far.port];
  }
}

/** What weighs, where nothing of it blocks: every switch that any of it names was tried. */
const troubles = ({ findings }: Outcome): readonly Finding[] => {
  const weighing = findings.filter(({ severity }) => severity !== 'note');
  return weighing.every(({ severity }) => severity === 'spoils') ? weighing : [];
};

/**
 * Ways of sources with which it was spoilt, though every switch that might have mended it was tried, before anything followed: what is
 * laid out with one of them needs not be judged.
 */
export class LostHeads {
  private readonly lost = new Set<string>();

  learn(layout: Layout, judged: Outcome, facts: Facts): void {
    for (const finding of troubles(judged)) {
      const lost = checkOf(finding.code)?.isLostAt?.(facts, finding);
      const [source, ...others] = sourcesOf(finding);
      if (lost === undefined || source === undefined || others.length > 0) continue;
      const head = headOf(layout, source);
      if (head?.end === lost.part) this.lost.add(lost.byFar ? head.boxes : head.key);
    }
  }

  /** How many ways are known: what was not lost before may be when there are more. */
  get known(): number {
    return this.lost.size;
  }

  has(layout: Layout): boolean {
    return (
      this.lost.size > 0 &&
      layout.sources.some((source) => {
        const head = headOf(layout, source);
        return head !== undefined && (this.lost.has(head.key) || this.lost.has(head.boxes));
      })
    );
  }
}
