'use client';
import { useCallback, useEffect, useMemo, useState } from 'react';
import { applyEdit, withOwnParts, type Rig, type RigEdit } from '../../core/rig';
import type { RigRecord } from '../../store/database';
import { withPolicies } from '../../store/policies';
import { editRig } from '../../store/rigs';
import { keeping } from '../shared/report-trouble';
import { useDrawer } from '../shared/use-drawer';
import { useOwnParts } from '../shared/use-own-parts';
import { usePolicies } from '../shared/use-policies';
import { ArrivesPanel } from './arrives-panel';
import { askToAdd, askedOf } from './asked-add';
import { BenchHeader } from './bench-header';
import { Ladder } from './ladder';
import { useAnalysis, useFixes } from './use-analysis';
import { lazily } from '../shared/lazily';

const AddDialog = lazily(() => import('./add-dialog').then((m) => m.AddDialog));

/** A change of a rig, and the same while a knob is still being turned: nothing is stored until it is let go. */
export interface Editing {
  readonly edit: (change: RigEdit) => void;
  readonly preview: (change: RigEdit) => void;
  /** Opens the list of what can be plugged into a part. */
  readonly add: (placed: string) => void;
}

function useEditing(rig: Rig): Omit<Editing, 'add'> & { readonly shown: Rig } {
  const [turned, setTurned] = useState<{ of: Rig; rig: Rig }>();
  const edit = useCallback((change: RigEdit) => void keeping(editRig(rig.id, change), rig), [rig]);
  const preview = useCallback(
    (change: RigEdit) => setTurned({ of: rig, rig: applyEdit(rig, change) }),
    [rig],
  );
  return { edit, preview, shown: turned?.of === rig ? turned.rig : rig };
}

/** Ladder and verdict of one rig. */
export function Bench({ record }: { record: RigRecord }) {
  const drawer = useDrawer();
  const known = usePolicies();
  const { edit, preview, shown } = useEditing(record.doc);
  const own = useOwnParts();
  const rig = useMemo(() => withOwnParts(withPolicies(shown, known), own), [shown, known, own]);
  const [adding, setAdding] = useState(() => askedOf(record.doc));
  useEffect(() => askToAdd(undefined), []);
  const analysed = useAnalysis(rig);
  const fixes = useFixes(analysed, drawer);
  return (
    <div className="lg:grid lg:h-dvh lg:grid-cols-[minmax(0,1fr)_minmax(320px,24rem)]">
      <div data-scrolls className="px-3 pt-3 pb-6 lg:overflow-y-auto lg:px-6">
        <BenchHeader record={record} edit={edit} />
        {analysed && <Ladder {...analysed} edit={edit} preview={preview} add={setAdding} drawer={drawer} />}
        {adding !== undefined && (
          <AddDialog key={adding} rig={rig} placed={adding} drawer={drawer} edit={edit} goOn={setAdding} />
        )}
      </div>
      {analysed && <ArrivesPanel {...analysed} fixes={fixes} edit={edit} />}
    </div>
  );
}
