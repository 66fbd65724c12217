'use client';
import { Collapsible } from 'radix-ui';
import { ChevronDown } from 'lucide-react';
import { useState } from 'react';
import type { Finding } from '../../core/checks';
import type { JointView } from '../../core/views';
import { isPhoneConnector } from '../../core/plugs';
import { sayBracket, sayJoint, sayTitle } from '../../core/words';
import type { Joint, Rig, RigEdit } from '../../core/rig';
import { weighs } from './joint-status';
import { PlugHandle } from './plug-handle';
import { lazily } from '../shared/lazily';

const JointDrawing = lazily(() => import('./joint-drawing').then((m) => m.JointDrawing));
const ContactTable = lazily(() => import('./contact-table').then((m) => m.ContactTable));

/** The drawing is fetched when a joint is first opened; its place is kept until then. */
const PLACE = { round: 'aspect-[440/222]', pinned: 'aspect-[440/170]' };

interface JointRowProps {
  readonly rig: Rig;
  readonly joint: JointView;
  readonly own: Joint;
  readonly finding: Finding | undefined;
  /** The part on the rung above. */
  readonly above: string | undefined;
  /** The rung above to which it leads back, where it is not the one it hangs on. */
  readonly leadsTo: string | undefined;
  /** Contacts on which nothing lies. */
  readonly floating: readonly string[];
  readonly edit: (change: RigEdit) => void;
  readonly carry: (joint: string | undefined) => void;
}

function Marker({ bad }: { bad: boolean }) {
  const shape = bad
    ? 'rotate-45 rounded-[2px] border-[var(--vermilion)]'
    : 'rounded-full border-[var(--sea)]';
  return (
    <span aria-hidden className={`bg-paper absolute top-3.5 left-[1px] size-[17px] border-4 ${shape}`} />
  );
}

/** A joint: one quiet line when good, open and large when bad; opens to its contacts either way. */
export function JointRow({ rig, joint, finding, above, leadsTo, floating, ...rest }: JointRowProps) {
  const bad = weighs(finding);
  const [opened, setOpened] = useState<boolean>();
  const open = opened ?? bad;
  const title = bad ? sayTitle(rig, finding) : sayJoint(joint);
  return (
    <Collapsible.Root
      open={open}
      onOpenChange={setOpened}
      className={bad ? 'border-l-4 border-[var(--vermilion)] bg-[var(--vermilion-wash)]' : ''}
    >
      <Marker bad={bad} />
      <div className="flex items-start">
        <Collapsible.Trigger
          className={`flex min-h-11 min-w-0 flex-1 items-center gap-2 px-3 text-left ${
            bad ? 'text-vermilion text-lg font-bold' : 'text-soft'
          }`}
        >
          <ChevronDown
            size={18}
            aria-hidden
            className={`flex-none transition-transform ${open ? '' : '-rotate-90'}`}
          />
          {title}
          {leadsTo && <span className="font-normal"> back to {leadsTo}</span>}
          {finding && !bad && <span className="text-brass font-semibold">: {sayBracket(rig, finding)}</span>}
        </Collapsible.Trigger>
        <PlugHandle rig={rig} joint={rest.own} edit={rest.edit} carry={rest.carry} />
      </div>
      <Collapsible.Content className="px-3 pb-3">
        <div
          className={`w-full max-w-md ${PLACE[isPhoneConnector(joint.plugPort.connector) ? 'round' : 'pinned']}`}
        >
          <JointDrawing
            rig={rig}
            joint={joint}
            finding={finding}
            brings={joint.plug.part === above ? 'plug' : 'jack'}
          />
        </div>
        <details className="fold mt-1">
          <summary className="font-semibold">Contact by contact</summary>
          <ContactTable joint={joint} floating={floating} />
        </details>
      </Collapsible.Content>
    </Collapsible.Root>
  );
}
