import type { Rig } from '../../core/rig';
import { deleteRig, restoreRig } from '../../store/rigs';
import { keeping } from '../shared/report-trouble';
import { toast } from '../shared/toast';
import { showRig } from '../shared/use-rigs';

/** Deletes a rig, and offers it back for a while. */
export async function removeWithUndo(rig: Rig): Promise<void> {
  const gone = await deleteRig(rig.id);
  if (!gone) return;
  window.history.replaceState(null, '', '/');
  toast.say(`${rig.name} is deleted.`, {
    duration: 20_000,
    action: { label: 'Undo', onClick: () => void keeping(restoreRig(gone).then(showRig), rig) },
  });
}
