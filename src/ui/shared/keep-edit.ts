'use client';
import { whyNot, withOwnParts, type Rig } from '../../core/rig';
import type { Part } from '../../core/parts';
import {
  addRig,
  edited,
  editRig,
  leaveStepOut,
  redoRig,
  RigGone,
  StepDamaged,
  undoRig,
  type Edits,
} from '../../store/rigs';
import { exportRig, keeping } from './report-trouble';
import { toast } from './toast';
import { showRig } from './use-rigs';

/** Says that another tab has deleted a rig, and offers it back as it was meant to be. */
function offerBack(rig: Rig, what: string): void {
  toast.error(`“${rig.name}” was deleted in another tab. ${what}`, {
    duration: Infinity,
    action: { label: 'Restore it', onClick: () => void restoreSeen(rig) },
    cancel: { label: 'Export', onClick: () => exportRig(rig) },
  });
}

/** Stores again what this page still holds of a rig that another tab has deleted. */
export const restoreSeen = (rig: Rig): Promise<void> => keeping(addRig(rig).then(showRig), rig);

async function unlessGone(work: Promise<void>, rig: Rig, what: string): Promise<void> {
  await keeping(
    work.catch((error: unknown) => {
      if (!(error instanceof RigGone)) throw error;
      offerBack(rig, what);
    }),
    rig,
  );
}

/** Keeps an edit of the rig that is shown. What cannot be kept is said, with the rig as it was to be as a file. */
export function keepEdit(rig: Rig, edit: Edits, own: readonly Part[]): Promise<void> {
  const refusal = 'kind' in edit ? whyNot(withOwnParts(rig, own), edit) : undefined;
  if (refusal !== undefined) {
    toast.error(`${refusal} The change was not made.`);
    return Promise.resolve();
  }
  return unlessGone(editRig(rig.id, edit), edited(rig, edit, own), 'Your change is not lost yet.');
}

/** Says that a step of the history is damaged, and offers to go on without it. */
function offerLeavingOut({ rig, n }: StepDamaged, what: string, goOn: () => Promise<void>): void {
  toast.error(`Step ${n} of this rig’s history is damaged. ${what}`, {
    duration: Infinity,
    action: { label: 'Leave it out', onClick: () => void leaveStepOut(rig, n).then(goOn) },
  });
}

/** Walks the history of a rig one step; a damaged one is named and can be left out. */
function walking(rig: Rig, walk: (id: string) => Promise<void>, what: string): Promise<void> {
  const step = walk(rig.id).catch((error: unknown) => {
    if (!(error instanceof StepDamaged)) throw error;
    offerLeavingOut(error, what, () => walking(rig, walk, what));
  });
  return unlessGone(step, rig, what);
}

export const undo = (rig: Rig): Promise<void> => walking(rig, undoRig, 'Nothing was undone.');
export const redo = (rig: Rig): Promise<void> => walking(rig, redoRig, 'Nothing was redone.');
