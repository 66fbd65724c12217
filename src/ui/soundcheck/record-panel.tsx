'use client';
import { Square } from 'lucide-react';
import { formatClock } from './format-clock';
import type { RecordingState } from './use-recording';

const LEAST_DB = -60;

/** Peaks of a side now and held, −60 to 0 dBFS. */
function Meter({ peak, held, name }: { peak: number; held: number; name: string }) {
  const share = (v: number) => Math.max(0, Math.min(1, 1 - (v > 0 ? 20 * Math.log10(v) : -200) / LEAST_DB));
  const db = held > 0 ? 20 * Math.log10(held) : -Infinity;
  const says = Number.isFinite(db) ? `${db.toFixed(0).replace('-', '−')} dBFS held` : 'nothing yet';
  return (
    <div className="flex items-center gap-2">
      <span className="w-12 text-sm">{name}</span>
      <div
        className="bg-line relative h-4 min-w-0 flex-1 overflow-hidden rounded"
        role="img"
        aria-label={`${name}: ${says}`}
      >
        <div
          className={`h-full ${held >= 0.999 ? 'bg-vermilion' : held > 0.5 ? 'bg-brass' : 'bg-sea'}`}
          style={{ width: `${share(peak) * 100}%` }}
        />
        <div className="bg-ink absolute top-0 h-full w-0.5" style={{ left: `${share(held) * 100}%` }} />
      </div>
      <span className="w-32 text-right text-sm whitespace-nowrap">{says}</span>
    </div>
  );
}

/** What is being recorded: the clock, the meters, what is asked for now. */
export function RecordPanel({ state, stop }: { state: RecordingState; stop: () => void }) {
  const { recording, peaks, held, seconds, step, steps } = state;
  const asked = step === undefined ? undefined : steps[step];
  const next = step === undefined ? undefined : steps[step + 1];
  return (
    <section aria-label="Recording" className="border-line bg-card mt-4 rounded-xl border p-4" data-recording>
      <p className="flex flex-wrap items-baseline justify-between gap-2">
        <span className="text-xl font-bold">{formatClock(seconds)}</span>
        <span className="text-soft">
          {recording.device || 'The usual input'}, {recording.channels === 1 ? 'one channel' : 'stereo'},{' '}
          {recording.sampleRate / 1000} kHz
        </span>
      </p>
      {recording.processed.length > 0 && (
        <p className="text-brass mt-1 font-semibold">
          This browser leaves on: {recording.processed.join(', ')}. What is measured is what comes after it.
        </p>
      )}
      {asked && (
        <div className="mt-2" aria-live="polite">
          <p className="text-xl font-semibold">{asked.asked}</p>
          <p className="text-soft">
            {Math.max(0, Math.ceil(state.left))} s left{next ? `, then: ${next.asked}` : ', then it ends'}
          </p>
        </div>
      )}
      <div className="mt-2 grid gap-1">
        {peaks.map((peak, i) => (
          <Meter
            key={i}
            peak={peak}
            held={held[i] ?? 0}
            name={peaks.length === 1 ? 'Level' : i === 0 ? 'Left' : 'Right'}
          />
        ))}
      </div>
      <button type="button" className="button button-main mt-3" onClick={stop}>
        <Square size={16} aria-hidden /> Stop and read
      </button>
    </section>
  );
}
