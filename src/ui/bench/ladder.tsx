'use client';
import { memo, useState } from 'react';
import type { Drawer } from '../../core/search/fixes';
import type { Lane, Rung } from '../../core/views';
import { nameOf } from '../../core/words';
import { endsOf } from '../../core/rig';
import type { Editing } from './editing';
import { FoldedRung } from './folded-rung';
import { rungInAddress, type Folding } from './folding';
import { aliveRungs, findingAt, findingOn, weighs } from './joint-status';
import { JointRow } from './joint-row';
import { RungCard } from './rung-card';
import { SocketChips } from './socket-chips';
import type { Analysed } from './use-analysis';

interface LadderProps extends Analysed, Editing {
  readonly drawer: Drawer;
  readonly folding: Folding;
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

const LANE: Record<Lane, string> = {
  supply: 'Supply',
  joins: 'Joins here',
  monitoring: 'Monitoring',
  records: 'Records too',
  beside: 'Beside the chain',
};

/** Supply leans to the left, returns and monitoring to the right; what joins or records is indented. */
const LEAN: Record<Lane, string> = {
  supply: 'mr-6 sm:mr-28',
  joins: 'ml-4',
  monitoring: 'ml-6 sm:ml-28',
  records: 'ml-4',
  beside: 'ml-4',
};

/** The rung of the chain on which a branch hangs, however deep. */
function anchorOf(rungs: readonly Rung[], rung: Rung): Rung | undefined {
  let at: Rung | undefined = rung;
  while (at && at.depth > 0) at = rungs.find((r) => r.placed === at?.from);
  return at;
}

interface RungProps extends LadderProps {
  readonly rung: Rung;
  readonly carry: (joint: string | undefined) => void;
}

/** The joints of a rung: the one by which it hangs, and those that close a loop. */
const jointsOfRung = (rung: Rung): string[] => [
  ...(rung.joint === undefined ? [] : [rung.joint]),
  ...(rung.also ?? []),
];

/** Whether a rung is drawn in full: touched so, or wrong, or the ladder is not folded. */
const isOpen = ({ analysis, folding }: LadderProps, { placed }: Rung): boolean =>
  folding.touched(placed) ?? (!folding.folded || weighs(findingOn(analysis, placed)));

/** Of a folded rung those joints alone at which something is wrong. */
const jointsShown = (props: LadderProps, rung: Rung): string[] =>
  jointsOfRung(rung).filter((id) => isOpen(props, rung) || weighs(findingAt(props.analysis, id)));

function Joints({ ids, rung, rig, analysis, edit, carry }: RungProps & { ids: readonly string[] }) {
  return ids.map((id) => {
    const joint = analysis.joints.find((j) => j.id === id);
    const own = rig.joints.find((j) => j.id === id);
    if (!joint || !own) return null;
    const far = endsOf(own, rung.placed)?.far.part;
    return (
      <JointRow
        key={id}
        rig={rig}
        joint={joint}
        own={own}
        edit={edit}
        carry={carry}
        finding={findingAt(analysis, id)}
        above={id === rung.joint ? rung.from : far}
        leadsTo={id === rung.joint ? undefined : nameOf(rig, far)}
        floating={analysis.nets.floating}
      />
    );
  });
}

const toMiddle = (element: HTMLElement | null): void => element?.scrollIntoView({ block: 'center' });

/** The rig as the lead is followed by hand: the source at the top, the recorder at the foot. */
export const Ladder = memo(function Ladder(props: LadderProps) {
  const { rig, analysis, drawer, edit, preview, add, folding } = props;
  const [carried, carry] = useState<string>();
  const alive = aliveRungs(analysis);
  const { rungs } = analysis;
  const spine = rungs.filter((rung) => rung.depth === 0);
  const asked = rungInAddress();
  return (
    <ol aria-label="The rig, from source to recorder" className="mx-auto mt-4 max-w-3xl">
      {rungs.map((rung) => {
        const place = spine.indexOf(rung);
        const anchor = anchorOf(rungs, rung);
        const at = anchor ? spine.indexOf(anchor) : -1;
        const lives = place >= 0 ? place < alive : at >= 0 && at + 1 < alive;
        const last = at === spine.length - 1;
        const hasCord = place >= 0 || !last;
        const lean = rung.lane ? LEAN[rung.lane] : '';
        const open = isOpen(props, rung);
        const joints = jointsShown(props, rung);
        return (
          <li key={rung.placed} ref={rung.placed === asked ? toMiddle : null}>
            {rung.lane && rung.depth === 1 && open && (
              <p className={`text-soft relative pt-2 pl-8 text-sm font-semibold`}>
                {hasCord && <Cord alive={lives} />}
                <span className={`block ${lean}`}>
                  {LANE[rung.lane]}
                  <span className="font-normal"> at {nameOf(rig, rung.from)}</span>
                </span>
              </p>
            )}
            {joints.length > 0 && (
              <div className="relative pl-8">
                {hasCord && <Cord alive={lives} />}
                <div className={lean}>
                  <Joints {...props} ids={joints} rung={rung} carry={carry} />
                </div>
              </div>
            )}
            {rung.joint === undefined && place > 0 && (
              <p className="relative py-3 pl-8 font-semibold text-[var(--vermilion)]">
                <Cord alive={false} />
                nothing joins these two
              </p>
            )}
            <div className={`relative pl-8 ${open ? '' : 'py-0.5'}`}>
              {hasCord && <Cord alive={lives} first={place === 0} last={place === spine.length - 1} />}
              <div className={`relative ${lean}`}>
                {carried !== undefined && <SocketChips rig={rig} placed={rung.placed} carried={carried} />}
                {open ? (
                  <RungCard
                    rig={rig}
                    placed={rung.placed}
                    analysis={analysis}
                    drawer={drawer}
                    edit={edit}
                    preview={preview}
                    add={add}
                    {...(folding.folded && { fold: () => folding.touch(rung.placed, false) })}
                  />
                ) : (
                  <FoldedRung
                    rig={rig}
                    analysis={analysis}
                    placed={rung.placed}
                    lane={rung.lane && rung.depth === 1 ? LANE[rung.lane] : undefined}
                    finding={findingOn(analysis, rung.placed)}
                    open={() => folding.touch(rung.placed, true)}
                  />
                )}
              </div>
            </div>
          </li>
        );
      })}
    </ol>
  );
});
