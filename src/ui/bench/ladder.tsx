'use client';
import type { Drawer } from '../../core/fixes';
import { aliveRungs, findingAt } from './joint-status';
import type { Editing } from './bench';
import { JointRow } from './joint-row';
import { RungCard } from './rung-card';
import type { Analysed } from './use-analysis';

interface LadderProps extends Analysed, Editing {
  readonly drawer: Drawer;
}

/** The cord beside a rung or joint: solid where the wanted sound is alive, broken where it is not. */
function Cord({ alive, first, last }: { alive: boolean; first?: boolean; last?: boolean }) {
  const place = `${first ? 'top-6' : 'top-0'} ${last ? 'h-6' : 'bottom-0'}`;
  return (
    <span
      aria-hidden
      className={`absolute left-[7px] w-0 ${place} ${
        alive
          ? 'border-l-[5px] border-[var(--sea)]'
          : 'border-l-[5px] border-dashed border-[var(--vermilion)]'
      }`}
    />
  );
}

/** The rig as the lead is followed by hand: the source at the top, the recorder at the foot. */
export function Ladder({ rig, analysis, drawer, edit, preview }: LadderProps) {
  const alive = aliveRungs(analysis);
  const spine = analysis.rungs.filter((rung) => rung.depth === 0);
  return (
    <ol aria-label="The rig, from source to recorder" className="mx-auto mt-4 max-w-3xl">
      {analysis.rungs.map((rung) => {
        const place = spine.indexOf(rung);
        const onSpine = place >= 0;
        const lives = onSpine && place < alive;
        const joint = analysis.joints.find((j) => j.id === rung.joint);
        const lastOnSpine = place === spine.length - 1;
        const hangsOn = spine.findIndex((s) => s.placed === rung.from);
        const beside = onSpine ? lives : hangsOn >= 0 && hangsOn + 1 < alive;
        const hasCord = onSpine || hangsOn < spine.length - 1;
        return (
          <li key={rung.placed}>
            {joint && (
              <div className="relative pl-8">
                {hasCord && <Cord alive={beside} />}
                <JointRow
                  rig={rig}
                  joint={joint}
                  finding={findingAt(analysis, joint.id)}
                  above={rung.from}
                  indent={rung.depth}
                  floating={analysis.nets.floating}
                />
              </div>
            )}
            {!joint && place > 0 && (
              <p className="relative py-3 pl-8 font-semibold text-[var(--vermilion)]">
                <Cord alive={false} />
                nothing joins these two
              </p>
            )}
            <div className="relative pl-8">
              {hasCord && <Cord alive={beside} first={place === 0} last={lastOnSpine} />}
              <RungCard
                rig={rig}
                placed={rung.placed}
                analysis={analysis}
                drawer={drawer}
                edit={edit}
                preview={preview}
                indent={rung.depth}
              />
            </div>
          </li>
        );
      })}
    </ol>
  );
}
