'use client';
import { useRigs, useCurrentRig } from '../shared/use-rigs';
import { Bench } from './bench';
import { EmptyBench } from './empty-bench';
import { UnreadableRig, isReadable } from './unreadable-rig';

/** The Bench of the current rig, or the ways to begin where there is none. */
export function BenchView() {
  const rigs = useRigs();
  const record = useCurrentRig(rigs);
  if (!rigs) return <p className="text-soft p-6">Opening the rigs…</p>;
  if (!record) return <EmptyBench />;
  if (!isReadable(record.doc)) return <UnreadableRig doc={record.doc} />;
  return <Bench key={record.id} record={record} />;
}
