'use client';
import { Ellipsis, FoldVertical, Redo2, Undo2, UnfoldVertical } from 'lucide-react';
import { useState } from 'react';
import { LIMITS, type Rig, type RigEdit } from '../../core/rig';
import type { RigRecord } from '../../store/records';
import { canRedo, canUndo } from '../../store/rigs';
import type { Folding } from './folding';
import { LazyMenu } from '../shared/lazy-menu';
import { redo, restoreSeen, undo } from '../shared/keep-edit';
import { exportRig } from '../shared/report-trouble';
import { lazily } from '../shared/lazily';

const RigMenu = lazily(() => import('./rig-menu').then((m) => m.RigMenu));
const NoteDialog = lazily(() => import('./note-dialog').then((m) => m.NoteDialog));

function NameField({ rig, done, edit }: { rig: Rig; done: () => void; edit: (change: RigEdit) => void }) {
  const [name, setName] = useState(rig.name);
  const keep = () => {
    const trimmed = name.trim();
    if (trimmed && trimmed !== rig.name) edit({ kind: 'rename', name: trimmed });
    done();
  };
  return (
    <input
      autoFocus
      aria-label="Name of the rig"
      className="field min-w-0 flex-1 text-xl font-bold"
      value={name}
      maxLength={LIMITS.name}
      onChange={(event) => setName(event.target.value)}
      onBlur={keep}
      onKeyDown={(event) => {
        if (event.key === 'Enter') keep();
        if (event.key === 'Escape') done();
      }}
    />
  );
}

/** Name, note and the controls that belong to the whole rig. */
export function BenchHeader(props: {
  record: RigRecord;
  gone: boolean;
  edit: (change: RigEdit) => void;
  /** Absent in a lens that has nothing to fold. */
  folding?: Folding;
}) {
  const { record, gone, edit, folding } = props;
  const rig = record.doc;
  const [naming, setNaming] = useState(false);
  const [writing, setWriting] = useState(false);
  return (
    <header className="mx-auto max-w-3xl">
      <div className="flex flex-wrap items-center gap-2">
        {naming ? (
          <NameField rig={rig} edit={edit} done={() => setNaming(false)} />
        ) : (
          <h1 className="mr-auto text-2xl font-bold max-lg:sr-only">{rig.name}</h1>
        )}
        <button type="button" className="button" disabled={!canUndo(record)} onClick={() => void undo(rig)}>
          <Undo2 size={18} aria-hidden /> Undo
        </button>
        <button type="button" className="button" disabled={!canRedo(record)} onClick={() => void redo(rig)}>
          <Redo2 size={18} aria-hidden /> Redo
        </button>
        {folding && rig.parts.length > 1 && (
          <button type="button" className="button" onClick={() => folding.foldAll(!folding.folded)}>
            {folding.folded ? (
              <UnfoldVertical size={18} aria-hidden />
            ) : (
              <FoldVertical size={18} aria-hidden />
            )}
            {folding.folded ? 'Open all' : 'Fold'}
          </button>
        )}
        <LazyMenu
          label="More for this rig"
          content={
            <>
              <Ellipsis size={18} aria-hidden /> More
            </>
          }
        >
          <RigMenu rig={rig} rename={() => setNaming(true)} write={() => setWriting(true)} />
        </LazyMenu>
        {writing && <NoteDialog rig={rig} edit={edit} close={() => setWriting(false)} />}
      </div>
      {gone && (
        <div
          role="alert"
          className="border-line bg-card mt-3 flex flex-wrap items-center gap-3 rounded-xl border p-3"
        >
          <p className="mr-auto font-semibold">Deleted in another tab. What you see is on this page alone.</p>
          <button type="button" className="button button-main" onClick={() => void restoreSeen(rig)}>
            Restore it
          </button>
          <button type="button" className="button" onClick={() => exportRig(rig)}>
            Export
          </button>
        </div>
      )}
      {rig.note && <p className="text-soft mt-1">{rig.note}</p>}
      {rig.purpose.sources.length > 1 && (
        <label className="mt-2 flex flex-wrap items-center gap-2">
          Each source
          <select
            className="field"
            value={rig.purpose.tracks ?? 'together'}
            onChange={(event) => edit({ kind: 'tracks', apart: event.target.value === 'apart' })}
          >
            <option value="together">on every side, for going live</option>
            <option value="apart">on a side or track of its own</option>
          </select>
        </label>
      )}
    </header>
  );
}
