'use client';
import type { Listener } from '../../core/engine/returns';
import type { Analysis } from '../../core/judge';
import type { Rig } from '../../core/rig';
import { nameOf, noun } from '../../core/words';

/** "Loft tablet, both sides; the microphone, directly". */
function sayHears(rig: Rig, { hears, sources }: Listener): string {
  const sides = (heard: 'both' | 'left' | 'right') => (heard === 'both' ? 'both sides' : `${heard} only`);
  const words = [
    ...hears.map((h) => `${nameOf(rig, h.device)}, ${sides(h.sides)}`),
    ...sources.map(
      (s) =>
        `${noun(rig, s.source)} ${s.by === 'direct' ? 'directly' : 'through the app'}, ${sides(s.sides)}`,
    ),
  ];
  return words.length === 0 ? 'nothing' : words.join('; ');
}

/** Every pair of ears, and what comes to it. */
export function WhoHears({ rig, analysis }: { rig: Rig; analysis: Analysis }) {
  return (
    <section aria-label="Who hears what" className="mt-5">
      <h3 className="text-soft text-sm font-semibold">Who hears what</h3>
      <dl className="mt-1 grid grid-cols-[auto_1fr] gap-x-4 gap-y-1">
        {analysis.listeners.map((listener) => (
          <div key={listener.listener} className="contents">
            <dt className="text-soft">{nameOf(rig, listener.listener)}</dt>
            <dd>{sayHears(rig, listener)}</dd>
          </div>
        ))}
        {analysis.listeners.length === 0 && (
          <>
            <dt className="text-soft">Your ears</dt>
            <dd>nothing: no headphones in this rig</dd>
          </>
        )}
      </dl>
    </section>
  );
}
