'use client';
import { writeRig } from '../../core/files';
import { type Rig } from '../../core/rig';
import { sayStoreTrouble } from '../../store/trouble';
import { saveFile } from './save-file';
import { toast } from './toast';

/** Hands a rig to the user as a file. */
export const exportRig = (rig: Rig): void => saveFile(`${rig.id}.symplex-rig.json`, writeRig(rig));

/** Runs a change of the store; a failure is told once, with the rig offered as a file so that nothing is lost. */
export async function keeping(work: Promise<unknown>, rig?: Rig): Promise<void> {
  try {
    await work;
  } catch (error) {
    toast.error(sayStoreTrouble(error), {
      duration: Infinity,
      ...(rig && { action: { label: 'Export', onClick: () => exportRig(rig) } }),
    });
  }
}
