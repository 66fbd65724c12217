import { ladder } from '../../core/views/ladder';
import { nameOf } from '../../core/words';
import { partOf, portOf, type Rig } from '../../core/rig';
import { PartIcon } from '../bench/part-icon';
import { PlugGlyph } from '../shared/plug-glyph';

/** The chain of a route in small, as the lead is followed by hand: source at the top, recorder at the foot. */
export function RouteLadder({ rig }: { rig: Rig }) {
  const rungs = ladder(rig);
  return (
    <ol aria-label="From source to recorder" className="relative space-y-1 pl-4">
      <span aria-hidden className="absolute inset-y-3 left-1 border-l-4 border-[var(--sea)]" />
      {rungs.map((rung) => {
        const part = partOf(rig, rung.placed);
        const joint = rig.joints.find((j) => j.id === rung.joint);
        const plug = joint && portOf(rig, joint.plug);
        return (
          <li key={rung.placed} style={{ marginLeft: `${rung.depth * 1.25}rem` }}>
            {plug && (
              <span className="text-soft flex items-center gap-2 py-0.5 text-xs">
                <PlugGlyph connector={plug.connector} />
                {rung.depth > 0 && <span>at {nameOf(rig, rung.from)}</span>}
              </span>
            )}
            <span className="flex items-center gap-2 leading-tight">
              {part && (
                <span className="text-soft [&>svg]:size-5">
                  <PartIcon family={part.family} />
                </span>
              )}
              {nameOf(rig, rung.placed)}
            </span>
          </li>
        );
      })}
    </ol>
  );
}
