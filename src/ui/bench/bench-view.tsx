'use client';
import { useEffect, useState } from 'react';
import type { ReadProblem } from '../../core/files';
import type { Rig } from '../../core/rig';
import { getEngine } from '../../workers/engine';
import { sayThreadTrouble } from '../shared/thread-trouble';
import { nameShownRig, useShownRig } from '../shared/use-rigs';
import { Bench } from './bench';
import { lazily } from '../shared/lazily';
import { isReadable } from './is-readable';

const EmptyBench = lazily(() => import('./empty-bench').then((m) => m.EmptyBench));
const UnreadableRig = lazily(() => import('./unreadable-rig').then((m) => m.UnreadableRig));

type Check = { readonly of: string; readonly problem: ReadProblem | null } | undefined;

/**
 * Whether what is stored is a rig: asked of the engine once for each rig that is opened. What becomes of it on this page
 * afterwards comes from edits, and those lead from rigs to rigs.
 */
function useCheck(id: string | undefined, doc: Rig | undefined): Check {
  const [check, setCheck] = useState<Check>();
  const checked = check?.of === id;
  useEffect(() => {
    if (id === undefined || doc === undefined || checked) return undefined;
    let current = true;
    getEngine()
      .problemOf(doc)
      .catch((error: unknown): ReadProblem => ({ code: 'not-json', at: '', detail: sayThreadTrouble(error) }))
      .then((problem) => current && setCheck({ of: id, problem }))
      .catch(() => undefined);
    return () => {
      current = false;
    };
  }, [id, doc, checked]);
  return checked ? check : undefined;
}

/** The Bench of the current rig, or the ways to begin where there is none. */
export function BenchView() {
  const shown = useShownRig();
  const record = 'record' in shown ? shown.record : undefined;
  const id = record?.id;
  useEffect(() => {
    if (id !== undefined && !new URLSearchParams(window.location.search).has('rig')) nameShownRig(id);
  }, [id]);
  const check = useCheck(id, record?.doc);
  if (shown.state === 'none') return <EmptyBench />;
  if (!record) return <p className="text-soft p-6">Opening the rigs…</p>;
  if (!isReadable(record.doc)) return <UnreadableRig id={record.id} doc={record.doc} />;
  if (!check) return <p className="text-soft p-6">Opening {record.doc.name}…</p>;
  if (check.problem) return <UnreadableRig id={record.id} doc={record.doc} problem={check.problem} />;
  return <Bench key={record.id} record={record} gone={shown.state === 'gone'} />;
}
