'use client';
import { useEffect, useState } from 'react';
import { listInputs } from './recorder';

/** In place of a device: the sound that the chosen rig would give. */
export const STAND_IN = 'stand-in';

/** The inputs as the browser sees them, and a stand-in for one. */
export function InputChoice({
  device,
  hasRig,
  choose,
}: {
  device: string | undefined;
  hasRig: boolean;
  choose: (id: string | undefined) => void;
}) {
  const [inputs, setInputs] = useState<readonly MediaDeviceInfo[]>([]);
  useEffect(() => {
    if (!('mediaDevices' in navigator)) return undefined;
    const look = () => void listInputs().then(setInputs, () => setInputs([]));
    look();
    navigator.mediaDevices.addEventListener('devicechange', look);
    return () => navigator.mediaDevices.removeEventListener('devicechange', look);
  }, []);
  const named = inputs.filter(({ deviceId, label }) => deviceId !== '' && label !== '');
  return (
    <label className="mt-2 flex min-w-0 flex-wrap items-center gap-2">
      Input
      <select
        className="field min-w-0"
        value={device ?? ''}
        onChange={(event) => choose(event.target.value || undefined)}
      >
        <option value="">the browser’s usual</option>
        {named.map(({ deviceId, label }) => (
          <option key={deviceId} value={deviceId}>
            {label}
          </option>
        ))}
        {hasRig && <option value={STAND_IN}>stand-in: what this rig would give, no gear</option>}
      </select>
      {named.length === 0 && (
        <span className="text-soft text-sm">
          Inputs get their names once the browser was allowed to listen.
        </span>
      )}
    </label>
  );
}
