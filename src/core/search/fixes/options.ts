import { allFacts } from '../../engine';
import { bareOutcomeFrom, type Outcome } from '../../judge';
import { servesLike, type Part } from '../../parts';
import {
  applyEdit,
  directionsAt,
  goesSo,
  laidParts,
  likest,
  partsFor,
  swapEdits,
  type Rig,
  type RigEdit,
} from '../../rig';
import { moves } from './at-hand';

/** Something that can be done at a part, with what the rig would then do. */
export interface Option {
  readonly edit: RigEdit;
  readonly part?: string;
  readonly outcome: Outcome;
  /** Further ways of plugging the same part that were not tried. */
  readonly untried?: number;
}

/** What a list says of a rig: what comes of it, whatever is whose consequence. */
const shownOf = (rig: Rig): Outcome => bareOutcomeFrom(allFacts(rig));

/** Each edit with what the rig would then do. */
export const outcomesOf = (rig: Rig, edits: readonly RigEdit[]): Option[] =>
  edits.map((edit) => {
    const part = 'to' in edit && edit.kind === 'swap' ? edit.to : edit.kind === 'add' ? edit.part : undefined;
    return { edit, ...(part !== undefined && { part }), outcome: shownOf(applyEdit(rig, edit)) };
  });

/** A part with more ways of being plugged shows so many of them: a desk in the place of a coupler has seventy. */
const MOST_WAYS = 2;

const portsIn = (edit: RigEdit): readonly string[] => (edit.kind === 'swap' ? edit.ports : []);

/** Whether sound goes by each lead as it did: in by an input, out by an output. */
const keepsDirections = (wanted: ReturnType<typeof directionsAt>, to: Part, edit: RigEdit): boolean =>
  portsIn(edit).every((id, index) => {
    const port = to.ports.find((one) => one.id === id);
    return port !== undefined && goesSo(port, wanted[index]);
  });

/**
 * The ways that are looked at: of those in which sound goes on as it did, where there are any, that in which every lead keeps its role,
 * and then as they come.
 */
function waysShown(
  rig: Rig,
  placedId: string,
  wanted: ReturnType<typeof directionsAt>,
  to: Part,
): { edits: readonly RigEdit[]; untried: number } {
  const all = swapEdits(rig, placedId, to);
  if (all.length < 2) return { edits: all, untried: 0 };
  const leading = all.filter((edit) => keepsDirections(wanted, to, edit));
  const likely = leading.length > 0 ? leading : all;
  const kept = likest(rig, placedId, to);
  const isKept = (edit: RigEdit) => JSON.stringify(edit) === JSON.stringify(kept);
  const edits = [...likely.filter(isKept), ...likely.filter((edit) => !isKept(edit))].slice(0, MOST_WAYS);
  return { edits, untried: all.length - edits.length };
}

/** What of an outcome is said in a list: ways alike in it are one, such as an isolator either way round. */
const saidOf = ({ verdict, arrives, findings }: Outcome): string =>
  JSON.stringify([
    verdict,
    arrives.map(({ state, channels, peak }) => [state, channels, peak.toFixed(1)]),
    findings.map(({ code }) => code),
  ]);

const unlike = (options: readonly Option[]): Option[] =>
  options.filter(
    (option, index) => options.findIndex((one) => saidOf(one.outcome) === saidOf(option.outcome)) === index,
  );

/** Parts for the same use that fit in the place of a placed part, each with its outcome; the one that is there is left out. */
export function swapOptions(rig: Rig, placedId: string): Option[] {
  const laid = laidParts(rig).find((one) => one.placed.id === placedId);
  if (!laid) return [];
  const wanted = directionsAt(rig, placedId);
  return partsFor(rig)
    .filter((part) => part.id !== laid.part.id && servesLike(part, laid.part))
    .flatMap((part) => {
      const { edits, untried } = waysShown(rig, placedId, wanted, part);
      const differing = unlike(outcomesOf(rig, edits));
      return differing.map((option, index) =>
        untried > 0 && index === differing.length - 1 ? { ...option, untried } : option,
      );
    });
}

/** Other free sockets of a placed part for the leads that are in it. */
export function moveOptions(rig: Rig, placedId: string): Option[] {
  const laid = laidParts(rig).find((l) => l.placed.id === placedId);
  if (!laid) return [];
  return moves(rig, laid).map((edit) => ({ edit, outcome: shownOf(applyEdit(rig, edit)) }));
}
