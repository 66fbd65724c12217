'use client';
import { useMemo } from 'react';
import { connectorName } from '../../core/plugs';
import { nameOf } from '../../core/words';
import { freeSocketsFor, portOf, type Joint, type Rig, type RigEdit } from '../../core/rig';
import { Sheet } from '../shared/sheet';
import { Outcome, useOutcomes } from './outcomes';

interface MoveDialogProps {
  readonly rig: Rig;
  readonly joint: Joint;
  readonly edit: (change: RigEdit) => void;
  readonly close: () => void;
}

/** Where else a plug could go, each with what would come of it: what dragging it does, for keys and thumbs. */
export function MoveDialog({ rig, joint, edit, close }: MoveDialogProps) {
  const sockets = useMemo(() => freeSocketsFor(rig, joint.id), [rig, joint.id]);
  const edits = useMemo(
    () => sockets.map((to) => ({ kind: 'move', joint: joint.id, from: joint.jack, to }) as const),
    [sockets, joint],
  );
  const outcomes = useOutcomes(rig, edits);
  const choose = (change: RigEdit) => {
    close();
    edit(change);
  };
  return (
    <Sheet
      title={`Where does the plug of ${nameOf(rig, joint.plug.part)} go?`}
      open
      onOpenChange={(open) => !open && close()}
    >
      {sockets.length === 0 && <p className="mb-3">No other free socket of this rig takes this plug.</p>}
      <ul className="space-y-2 overflow-y-auto">
        {edits.map((change, index) => {
          const port = portOf(rig, change.to);
          return (
            <li key={`${change.to.part} ${change.to.port}`}>
              <button
                type="button"
                className="border-line bg-card min-h-11 w-full rounded-xl border p-3 text-left hover:border-[var(--sea)]"
                onClick={() => choose(change)}
              >
                <span className="block font-semibold">
                  {nameOf(rig, change.to.part)}: {port?.name}
                </span>
                {port && (
                  <span className="text-soft block text-sm">{connectorName(port.connector)} socket</span>
                )}
                <Outcome rig={rig} option={outcomes[index]} />
              </button>
            </li>
          );
        })}
        <li>
          <button
            type="button"
            className="button min-h-11 w-full"
            onClick={() => choose({ kind: 'unplug', joint: joint.id })}
          >
            Pull it out and leave it loose
          </button>
        </li>
      </ul>
    </Sheet>
  );
}
