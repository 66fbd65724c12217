'use client';
import { useRouter } from 'next/navigation';
import { useCallback, useEffect, useLayoutEffect, useMemo, useRef, useState } from 'react';
import { applyEdit, withOwnParts, type Rig, type RigEdit } from '../../core/rig';
import type { Part } from '../../core/parts';
import type { RigRecord } from '../../store/records';
import { withPolicies } from '../../store/policies';
import { useCommands, type Command } from '../commands/commands';
import type { Edits } from '../../store/rigs';
import { keepEdit } from '../shared/keep-edit';
import { lazily } from '../shared/lazily';
import { useDrawer } from '../shared/use-drawer';
import { useSame } from '../shared/use-same';
import { useOwnParts } from '../shared/use-own-parts';
import { usePolicies } from '../shared/use-policies';
import { ArrivesPanel } from './arrives-panel';
import { askToAdd, askedOf } from './asked-add';
import { BenchHeader } from './bench-header';
import type { Editing } from './editing';
import { useFolding } from './folding';
import { Ladder } from './ladder';
import { LensChoice } from './lens-choice';
import { LensFrame } from './lens-frame';
import {
  addCommands,
  foldCommand,
  historyCommands,
  lensCommands,
  switchCommands,
  wholeRigCommands,
} from './rig-commands';
import { useAnalysis, useFixes } from './use-analysis';
import { useLens } from './use-lens';

const LevelsLens = lazily(() => import('../levels/levels-lens').then((m) => m.LevelsLens));
const PowerLens = lazily(() => import('../power/power-lens').then((m) => m.PowerLens));
const ReturnsLens = lazily(() => import('../returns/returns-lens').then((m) => m.ReturnsLens));
const AddDialog = lazily(() => import('./add-dialog').then((m) => m.AddDialog));

function useEditing(rig: Rig, own: readonly Part[]): Omit<Editing, 'add'> & { readonly shown: Rig } {
  const [turned, setTurned] = useState<{ of: Rig; rig: Rig }>();
  // What is handed down stays the same from edit to edit, so that nothing is drawn anew for its sake.
  const latest = useRef({ rig, own });
  useLayoutEffect(() => {
    latest.current = { rig, own };
  }, [rig, own]);
  const edit = useCallback(
    (change: Edits) => void keepEdit(latest.current.rig, change, latest.current.own),
    [],
  );
  const preview = useCallback((change: RigEdit) => {
    const now = latest.current.rig;
    setTurned({ of: now, rig: applyEdit(now, change) });
  }, []);
  return { edit, preview, shown: turned?.of === rig ? turned.rig : rig };
}

/** Ladder and verdict of one rig. `gone`: another tab has deleted it, and it lives on this page alone. */
export function Bench({ record, gone }: { record: RigRecord; gone: boolean }) {
  const drawer = useDrawer();
  const known = usePolicies();
  const own = useOwnParts();
  const router = useRouter();
  const { edit, preview, shown } = useEditing(record.doc, own);
  const rig = useSame(useMemo(() => withOwnParts(withPolicies(shown, known), own), [shown, known, own]));
  const [adding, setAdding] = useState(() => askedOf(record.doc));
  useEffect(() => askToAdd(undefined), []);
  const { analysed, trouble, again } = useAnalysis(rig);
  const proved = useFixes(analysed, drawer);
  const folding = useFolding(record.doc.parts.length);
  const [lens, choose] = useLens();
  const offer = useCallback((): readonly Command[] => {
    const way = proved.out?.way;
    const wayOut = way && {
      group: 'Fixes',
      says: `Make it clean: ${way.steps.length} ${way.steps.length === 1 ? 'step' : 'steps'}`,
      run: () => edit(way.steps.map((step) => step.edit)),
    };
    const { first } = proved;
    const fix = first && {
      group: 'Fixes',
      says: `Apply the first fix: ${first.says}`,
      run: () => edit(first.edits),
    };
    return [
      ...historyCommands(record.doc),
      ...wholeRigCommands(record.doc, (path) => router.push(path)),
      ...(lens === 'wiring' ? [foldCommand(folding)] : []),
      ...lensCommands(choose),
      ...(wayOut ? [wayOut] : []),
      ...(fix ? [fix] : []),
      ...switchCommands(rig, edit),
      ...addCommands(rig, setAdding),
    ];
  }, [record.doc, rig, proved, edit, router, folding, lens, choose]);
  useCommands(offer);
  const shared = { edit, preview, add: setAdding, drawer, folding, proved };
  const head = (
    <>
      <BenchHeader record={record} gone={gone} edit={edit} {...(lens === 'wiring' && { folding })} />
      <div className="mx-auto max-w-3xl">
        <LensChoice lens={lens} choose={choose} marked={analysed?.analysis.marks ?? []} />
      </div>
      {trouble !== undefined && (
        <p role="alert" className="text-vermilion mx-auto mt-4 flex max-w-3xl flex-wrap items-center gap-3">
          {trouble}
          <button type="button" className="button" onClick={again}>
            Try again
          </button>
        </p>
      )}
    </>
  );
  return (
    <div className="lg:grid lg:h-dvh lg:grid-cols-[minmax(0,1fr)_minmax(320px,24rem)]">
      {analysed && lens === 'levels' ? (
        <LevelsLens {...shared} {...analysed} head={head} />
      ) : analysed && lens === 'power' ? (
        <PowerLens {...shared} {...analysed} head={head} />
      ) : analysed && lens === 'returns' ? (
        <ReturnsLens {...shared} {...analysed} head={head} />
      ) : (
        <LensFrame
          head={head}
          ladder={analysed && <Ladder {...shared} {...analysed} />}
          panel={analysed && <ArrivesPanel {...analysed} proved={proved} edit={edit} />}
        />
      )}
      {adding !== undefined && (
        <AddDialog key={adding} rig={rig} placed={adding} drawer={drawer} edit={edit} goOn={setAdding} />
      )}
    </div>
  );
}
