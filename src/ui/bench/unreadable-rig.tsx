'use client';
import { RIG_VERSION, type Rig } from '../../core/rig';
import { saveFile } from '../shared/save-file';

/** Whether this Symplex can lay out a stored document; another version's, or one that was damaged, it leaves alone. */
export const isReadable = (doc: Rig): boolean =>
  (doc.version as number) === RIG_VERSION &&
  Array.isArray(doc.parts) &&
  Array.isArray(doc.joints) &&
  typeof doc.purpose === 'object' &&
  typeof doc.surroundings === 'object';

/** What stands in place of the ladder for a rig of another version: why, and the document as a file. */
export function UnreadableRig({ doc }: { doc: Rig }) {
  const version: unknown = (doc as { version?: unknown }).version;
  const age = typeof version === 'number' && version > RIG_VERSION ? 'a newer' : 'an older';
  return (
    <div className="mx-auto max-w-xl p-6 pt-16" data-ready>
      <h1 className="text-3xl font-bold">{String(doc.name ?? 'This rig')} cannot be laid out</h1>
      <p className="mt-3" role="alert">
        {version === RIG_VERSION
          ? 'What is stored of it is damaged.'
          : `It was stored by ${age} Symplex: its version is ${JSON.stringify(version) ?? 'missing'}, and this one reads version ${RIG_VERSION}.`}{' '}
        Nothing was changed. Keep it as a file, whatever comes of it here.
      </p>
      <button
        type="button"
        className="button button-main mt-6"
        onClick={() => saveFile(`${doc.id}.symplex-rig.json`, `${JSON.stringify(doc, null, 2)}\n`)}
      >
        Export it as it is
      </button>
    </div>
  );
}
