import { outcomeOf, type Outcome } from '../../judge';
import { applyEdit, laidParts, partsFor, swapEdits, type Rig, type RigEdit } from '../../rig';
import { moves } from './at-hand';

/** Something that can be done at a part, with what the rig would then do. */
export interface Option {
  readonly edit: RigEdit;
  readonly part?: string;
  readonly outcome: Outcome;
}

/** Each edit with what the rig would then do. */
export const outcomesOf = (rig: Rig, edits: readonly RigEdit[]): Option[] =>
  edits.map((edit) => {
    const part = 'to' in edit && edit.kind === 'swap' ? edit.to : edit.kind === 'add' ? edit.part : undefined;
    return { edit, ...(part !== undefined && { part }), outcome: outcomeOf(applyEdit(rig, edit)) };
  });

/** Parts that fit in the place of a placed part, each with its outcome; the one that is there is left out. */
export function swapOptions(rig: Rig, placedId: string): Option[] {
  const current = rig.parts.find((p) => p.id === placedId)?.part;
  return partsFor(rig)
    .filter((part) => part.id !== current)
    .flatMap((part) =>
      swapEdits(rig, placedId, part).map((edit) => ({
        edit,
        part: part.id,
        outcome: outcomeOf(applyEdit(rig, edit)),
      })),
    );
}

/** Other free sockets of a placed part for the leads that are in it. */
export function moveOptions(rig: Rig, placedId: string): Option[] {
  const laid = laidParts(rig).find((l) => l.placed.id === placedId);
  if (!laid) return [];
  return moves(rig, laid).map((edit) => ({ edit, outcome: outcomeOf(applyEdit(rig, edit)) }));
}
