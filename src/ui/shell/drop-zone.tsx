'use client';
import { useEffect, useState } from 'react';
import { dropReceiver } from '../shared/dropped-file';

const bringsFile = (event: DragEvent) => event.dataTransfer?.types.includes('Files') ?? false;

/** Takes a file dropped anywhere on the page: a rig, or what the view shown takes. */
export function DropZone() {
  const [over, setOver] = useState(false);
  useEffect(() => {
    const drag = (event: DragEvent) => {
      if (!bringsFile(event)) return;
      event.preventDefault();
      setOver(true);
    };
    const leave = (event: DragEvent) => {
      if (event.relatedTarget === null) setOver(false);
    };
    const drop = (event: DragEvent) => {
      if (!bringsFile(event)) return;
      event.preventDefault();
      setOver(false);
      const file = event.dataTransfer?.files[0];
      if (!file) return;
      const receive = dropReceiver();
      if (receive) receive(file);
      else void import('../shared/import-rig').then((m) => m.importRigFile(file));
    };
    window.addEventListener('dragover', drag);
    window.addEventListener('dragleave', leave);
    window.addEventListener('drop', drop);
    return () => {
      window.removeEventListener('dragover', drag);
      window.removeEventListener('dragleave', leave);
      window.removeEventListener('drop', drop);
    };
  }, []);
  if (!over) return null;
  return (
    <div className="bg-paper/90 pointer-events-none fixed inset-3 z-30 grid place-items-center rounded-2xl border-4 border-dashed border-[var(--sea)] text-2xl font-bold">
      {dropReceiver() ? 'Drop the sound here' : 'Drop the rig file here'}
    </div>
  );
}
