'use client';
import { LARGEST_RIG_BYTES, sayProblem } from '../../core/files';
import { addRig } from '../../store/rigs';
import { getEngine } from '../../workers/engine';
import { keeping } from './report-trouble';
import { showRig } from './use-rigs';
import { toast } from './toast';

/** Reads a chosen or dropped file as a rig; a bad one changes nothing and gets one message. */
export async function importRigFile(file: File): Promise<void> {
  const refuse = (message: string) =>
    toast.error(`${file.name}: ${message} Nothing was changed.`, { duration: 15_000 });
  if (file.size > LARGEST_RIG_BYTES) {
    refuse(sayProblem({ code: 'too-large', at: '', bytes: file.size, limit: LARGEST_RIG_BYTES }));
    return;
  }
  const result = await getEngine().read(await file.text());
  if (!result.ok) {
    refuse(sayProblem(result.problem));
    return;
  }
  await keeping(
    addRig(result.rig).then((id) => {
      showRig(id);
      toast.success(`${result.rig.name} is on the Bench.`);
    }),
  );
}
