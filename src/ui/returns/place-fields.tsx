'use client';

/** Where something is to a microphone, as people say it. */
const DEGREES = [
  [0, 'straight ahead of it'],
  [60, 'ahead, to the side'],
  [90, 'at its side'],
  [126, 'behind, to the side'],
  [180, 'straight behind it'],
] as const;

interface PlaceFieldsProps {
  /** Of what to what, for who does not see the heading. */
  readonly label: string;
  readonly metres: number;
  /** Off a microphone’s axis; a loudspeaker has no question of it. */
  readonly degrees?: number;
  readonly put: (change: { readonly metres?: number; readonly degrees?: number }) => void;
}

/** How far, and how far off its axis. */
export function PlaceFields({ label, metres, degrees, put }: PlaceFieldsProps) {
  const known = DEGREES.some(([one]) => one === degrees);
  return (
    <div className="mt-1 flex flex-wrap items-center gap-2">
      <label className="flex items-center gap-2">
        <span className="sr-only">{label}: distance, metres</span>
        <input
          key={metres}
          type="number"
          className="field w-20"
          min={0.01}
          max={200}
          step="any"
          defaultValue={metres}
          onBlur={(event) => {
            const next = Number(event.target.value);
            if (next >= 0.01 && next <= 200 && next !== metres) put({ metres: next });
            else event.target.value = String(metres);
          }}
        />
        m
      </label>
      {degrees !== undefined && (
        <label className="flex min-w-0 items-center gap-2">
          <span className="sr-only">{label}: where it stands to the microphone</span>
          <select
            className="field min-w-0"
            value={degrees}
            onChange={(event) => put({ degrees: Number(event.target.value) })}
          >
            {!known && <option value={degrees}>{degrees}° off its axis</option>}
            {DEGREES.map(([one, name]) => (
              <option key={one} value={one}>
                {name}
              </option>
            ))}
          </select>
        </label>
      )}
    </div>
  );
}
