'use client';
import { RIG_VERSION } from '../../core/rig';
import { sayProblem, type ReadProblem } from '../../core/files';
import { deleteRig } from '../../store/rigs';
import { keeping } from '../shared/report-trouble';
import { saveFile } from '../shared/save-file';

function reason(doc: unknown, problem: ReadProblem | undefined): string {
  if (problem) return `What is stored of it is damaged: ${sayProblem(problem)}`;
  const version: unknown = (doc as { version?: unknown } | null)?.version;
  if (version === RIG_VERSION || typeof version !== 'number') return 'What is stored of it is damaged.';
  const age = version > RIG_VERSION ? 'a newer' : 'an older';
  return `It was stored by ${age} Symplex: its version is ${version}, and this one reads version ${RIG_VERSION}.`;
}

interface UnreadableRigProps {
  readonly id: string;
  readonly doc: unknown;
  readonly problem?: ReadProblem;
}

/** What stands in place of the ladder for a rig that cannot be laid out: why, and the document as a file. */
export function UnreadableRig({ id, doc, problem }: UnreadableRigProps) {
  const name: unknown = (doc as { name?: unknown } | null)?.name;
  return (
    <div className="mx-auto max-w-xl p-6 pt-16" data-ready>
      <h1 className="text-3xl font-bold">{typeof name === 'string' ? name : `“${id}”`} cannot be laid out</h1>
      <p className="mt-3" role="alert">
        {reason(doc, problem)} Nothing was changed, and the other rigs are as they were. Keep it as a file,
        whatever comes of it here.
      </p>
      <div className="mt-6 flex flex-wrap gap-3">
        <button
          type="button"
          className="button button-main"
          onClick={() => saveFile(`${id}.symplex-rig.json`, `${JSON.stringify(doc, null, 2) ?? 'null'}\n`)}
        >
          Export it as it is
        </button>
        <button
          type="button"
          className="button text-vermilion"
          onClick={() => {
            window.history.replaceState(null, '', '/');
            void keeping(deleteRig(id));
          }}
        >
          Delete it here
        </button>
      </div>
    </div>
  );
}
