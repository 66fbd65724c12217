'use client';
import { takeReport } from '../../core/files/take-report';
import type { Measures } from '../../core/signal/measure';
import type { TakeRecord } from '../../store/records';
import { changeTake, deleteTake, dropSound } from '../../store/takes';
import { keeping } from '../shared/report-trouble';
import { saveBlob, saveFile } from '../shared/save-file';
import { wavOf } from './keep-take';

const megabytes = (bytes: number): string => `${(bytes / 1e6).toFixed(1)} MB`;
const fileName = (name: string): string =>
  name
    .replace(/\.[a-z0-9]{2,4}$/i, '')
    .replace(/[^\p{L}\p{N}]+/gu, '-')
    .toLowerCase();

/** Name, export and what is kept of a take. */
export function TakeTools({
  take,
  picture,
}: {
  take: TakeRecord & { readonly measures: Measures };
  /** Saves what is drawn under that name. */
  picture: (name: string) => Promise<void>;
}) {
  const name = fileName(take.name);
  return (
    <section
      aria-label="This take"
      className="border-line mt-4 flex flex-wrap items-center gap-2 border-t pt-3"
    >
      <label className="flex min-w-0 flex-1 items-center gap-2">
        Name
        <input
          key={take.id}
          className="field min-w-0 flex-1"
          defaultValue={take.name}
          maxLength={120}
          onBlur={(event) => {
            const next = event.target.value.trim();
            if (next && next !== take.name) void keeping(changeTake(take.id, { name: next }));
          }}
        />
      </label>
      {take.bytes > 0 && (
        <button
          type="button"
          className="button"
          onClick={() => void wavOf(take).then((wav) => wav && saveBlob(`${name}.wav`, wav))}
        >
          Save WAV, {megabytes(take.bytes)}
        </button>
      )}
      <button
        type="button"
        className="button"
        onClick={() => saveFile(`${name}.json`, JSON.stringify(takeReport(take.measures), null, 2))}
      >
        Save report
      </button>
      <button type="button" className="button" onClick={() => void keeping(picture(`${name}.png`))}>
        Save picture
      </button>
      {take.bytes > 0 && (
        <button type="button" className="button" onClick={() => void keeping(dropSound(take.id))}>
          Forget the sound
        </button>
      )}
      <button type="button" className="button" onClick={() => void keeping(deleteTake(take.id))}>
        Delete
      </button>
    </section>
  );
}
