'use client';
import { useId, useState } from 'react';
import { mouthDistance } from '../../core/engine/flow';
import type { LaidPart, Rig, RigEdit } from '../../core/rig';

const NEAREST = 0.01;
const FARTHEST = 100;

/** "0,2" and "0.2" alike; undefined for what is no distance. */
function readMetres(text: string): number | undefined {
  const value = Number(text.trim().replace(',', '.'));
  return text.trim() !== '' && value >= NEAREST && value <= FARTHEST ? value : undefined;
}

interface DistanceFieldProps {
  readonly rig: Rig;
  readonly laid: LaidPart;
  readonly edit: (change: RigEdit) => void;
}

/** How far the mouth is from this microphone; kept when the field is left or Enter pressed. */
export function DistanceField({ rig, laid, edit }: DistanceFieldProps) {
  const stored = mouthDistance(rig, laid.placed.id, laid.part.host !== undefined);
  return <MetresField key={stored} stored={stored} laid={laid} edit={edit} />;
}

function MetresField({ stored, laid, edit }: Omit<DistanceFieldProps, 'rig'> & { stored: number }) {
  const [text, setText] = useState(String(stored));
  const error = useId();
  const metres = readMetres(text);
  const keep = () => {
    if (metres !== undefined && metres !== stored) edit({ kind: 'distance', part: laid.placed.id, metres });
  };
  return (
    <span className="flex flex-wrap items-center gap-x-1.5">
      <label className="flex items-center gap-1.5">
        Mouth at
        <input
          className="field w-16 text-right"
          inputMode="decimal"
          value={text}
          aria-invalid={metres === undefined}
          aria-describedby={metres === undefined ? error : undefined}
          onChange={(event) => setText(event.target.value)}
          onBlur={keep}
          onKeyDown={(event) => event.key === 'Enter' && keep()}
        />
        m
      </label>
      {metres === undefined && (
        <span id={error} role="alert" className="text-sm text-[var(--vermilion)]">
          “{text}” is no distance from {NEAREST} to {FARTHEST} m
        </span>
      )}
    </span>
  );
}
