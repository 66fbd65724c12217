'use client';
import { useCallback } from 'react';
import type { RigEdit } from '../../core/rig';
import type { RigRecord } from '../../store/database';
import { editRig } from '../../store/rigs';
import { keeping } from '../shared/report-trouble';
import { useDrawer } from '../shared/use-drawer';
import { ArrivesPanel } from './arrives-panel';
import { BenchHeader } from './bench-header';
import { Ladder } from './ladder';
import { useAnalysis, useFixes } from './use-analysis';

/** Ladder and verdict of one rig. */
export function Bench({ record }: { record: RigRecord }) {
  const rig = record.doc;
  const drawer = useDrawer();
  const analysed = useAnalysis(rig);
  const fixes = useFixes(analysed, drawer);
  const edit = useCallback((change: RigEdit) => void keeping(editRig(rig.id, change), rig), [rig]);
  return (
    <div className="lg:grid lg:h-dvh lg:grid-cols-[minmax(0,1fr)_minmax(320px,24rem)]">
      <div className="px-3 pt-3 pb-6 lg:overflow-y-auto lg:px-6">
        <BenchHeader record={record} edit={edit} />
        {analysed && <Ladder {...analysed} edit={edit} drawer={drawer} />}
      </div>
      {analysed && <ArrivesPanel {...analysed} fixes={fixes} edit={edit} />}
    </div>
  );
}
