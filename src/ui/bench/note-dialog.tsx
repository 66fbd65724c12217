'use client';
import { useState } from 'react';
import { nameOf } from '../../core/words';
import type { Rig, RigEdit } from '../../core/rig';
import { Sheet } from '../shared/sheet';

interface NoteDialogProps {
  readonly rig: Rig;
  /** A placed part; absent: the whole rig. */
  readonly placed?: string;
  readonly edit: (change: RigEdit) => void;
  readonly close: () => void;
}

/** A name of one's own for a part, and a note on it or on the whole rig. */
export function NoteDialog({ rig, placed, edit, close }: NoteDialogProps) {
  const part = rig.parts.find((p) => p.id === placed);
  const [label, setLabel] = useState(part?.label ?? '');
  const [text, setText] = useState((placed === undefined ? rig.note : part?.note) ?? '');
  const keep = () => {
    if (placed !== undefined && label.trim() !== (part?.label ?? ''))
      edit({ kind: 'label', part: placed, label });
    if (text !== ((placed === undefined ? rig.note : part?.note) ?? ''))
      edit({ kind: 'note', ...(placed !== undefined && { part: placed }), text });
    close();
  };
  const title = placed === undefined ? `Note on ${rig.name}` : `Name and note: ${nameOf(rig, placed)}`;
  return (
    <Sheet title={title} open onOpenChange={(open) => !open && close()}>
      <form
        className="grid gap-3"
        onSubmit={(event) => {
          event.preventDefault();
          keep();
        }}
      >
        {placed !== undefined && (
          <label className="grid gap-1">
            What you call it
            <input
              className="field"
              value={label}
              maxLength={120}
              onChange={(event) => setLabel(event.target.value)}
            />
          </label>
        )}
        <label className="grid gap-1">
          Note
          <textarea
            className="field min-h-28 py-2"
            value={text}
            maxLength={4000}
            onChange={(event) => setText(event.target.value)}
          />
        </label>
        <button type="submit" className="button button-main">
          Keep
        </button>
      </form>
    </Sheet>
  );
}
