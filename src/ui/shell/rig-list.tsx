'use client';
import { FilePlus2, Upload } from 'lucide-react';
import { useRef } from 'react';
import { nameOfRig, showRig, type RigName } from '../shared/use-rigs';
import { openDialog } from './dialogs';

/** The stored rigs: a list on a wide screen, a picker on a phone; and the two ways to get another one. */
export function RigList({ rigs, current }: { rigs: readonly RigName[]; current: string | undefined }) {
  const picker = useRef<HTMLInputElement>(null);
  return (
    <section aria-label="Rigs" className="flex gap-2 px-2 pb-2 lg:min-h-0 lg:flex-1 lg:flex-col lg:px-3">
      <h2 className="text-soft px-2 text-sm font-semibold max-lg:hidden">Rigs</h2>
      <ul className="overflow-y-auto max-lg:hidden">
        {rigs.map((rig) => (
          <li key={rig.id}>
            <button
              type="button"
              onClick={() => showRig(rig.id)}
              aria-current={rig.id === current ? 'true' : undefined}
              className="hover:bg-card aria-[current=true]:bg-card min-h-10 w-full rounded-lg px-2 text-left aria-[current=true]:font-semibold"
            >
              {nameOfRig(rig)}
            </button>
          </li>
        ))}
      </ul>
      {rigs.length > 0 && (
        <select
          aria-label="Rig"
          className="field min-w-0 flex-1 lg:hidden"
          value={current}
          onChange={(event) => showRig(event.target.value)}
        >
          {rigs.map((rig) => (
            <option key={rig.id} value={rig.id}>
              {nameOfRig(rig)}
            </option>
          ))}
        </select>
      )}
      <div className="flex gap-2 lg:mt-2 lg:flex-col">
        <button type="button" className="button lg:justify-start" onClick={() => openDialog('start')}>
          <FilePlus2 size={18} aria-hidden /> New<span className="max-sm:sr-only"> rig</span>
        </button>
        <button type="button" className="button lg:justify-start" onClick={() => picker.current?.click()}>
          <Upload size={18} aria-hidden /> Import
        </button>
      </div>
      <input
        ref={picker}
        type="file"
        accept=".json,application/json"
        aria-label="Rig file to import"
        className="sr-only"
        tabIndex={-1}
        onChange={(event) => {
          const file = event.target.files?.[0];
          if (file) void import('../shared/import-rig').then((m) => m.importRigFile(file));
          event.target.value = '';
        }}
      />
    </section>
  );
}
