'use client';
import { GripVertical } from 'lucide-react';
import { useRef, useState, type PointerEvent } from 'react';
import { nameOf } from '../../core/words';
import type { Joint, Rig, RigEdit } from '../../core/rig';
import { lazily } from '../shared/lazily';

const MoveDialog = lazily(() => import('./move-dialog').then((m) => m.MoveDialog));

interface PlugHandleProps {
  readonly rig: Rig;
  readonly joint: Joint;
  readonly edit: (change: RigEdit) => void;
  /** Tells which joint's plug is in the hand; undefined when it is let go. */
  readonly carry: (joint: string | undefined) => void;
}

/** Farther than this it is a drag, in CSS pixels. */
const DRAG_STARTS = 8;
const EDGE = 70;

/** Near the upper or lower edge the page follows the hand. */
function scrollWith(target: Element, y: number): void {
  const by = y < EDGE ? -18 : y > window.innerHeight - EDGE ? 18 : 0;
  if (by !== 0) (target.closest('[data-scrolls]') ?? document.scrollingElement)?.scrollBy(0, by);
  if (by !== 0) document.scrollingElement?.scrollBy(0, by);
}

/** The socket under a point, if one is offered there. */
function socketAt(x: number, y: number) {
  const found = document.elementFromPoint(x, y)?.closest<HTMLElement>('[data-socket-part]');
  const { socketPart: part, socketPort: port } = found?.dataset ?? {};
  return part !== undefined && port !== undefined ? { part, port } : undefined;
}

/** The plug of a joint by its grip: drag it to another socket, or press it for the list of sockets. */
export function PlugHandle({ rig, joint, edit, carry }: PlugHandleProps) {
  const dragged = useRef(false);
  const [asking, setAsking] = useState(false);
  const take = (down: PointerEvent<HTMLButtonElement>) => {
    const grip = down.currentTarget;
    const { clientX, clientY } = down;
    dragged.current = false;
    const follow = (event: globalThis.PointerEvent) => {
      const away = Math.hypot(event.clientX - clientX, event.clientY - clientY);
      if (!dragged.current && away > DRAG_STARTS) {
        dragged.current = true;
        carry(joint.id);
      }
      if (dragged.current) scrollWith(grip, event.clientY);
    };
    const letGo = (event: globalThis.PointerEvent) => {
      window.removeEventListener('pointermove', follow);
      window.removeEventListener('pointerup', letGo);
      window.removeEventListener('pointercancel', letGo);
      if (!dragged.current) return;
      const to = event.type === 'pointerup' ? socketAt(event.clientX, event.clientY) : undefined;
      carry(undefined);
      if (to) edit({ kind: 'move', joint: joint.id, from: joint.jack, to });
    };
    window.addEventListener('pointermove', follow);
    window.addEventListener('pointerup', letGo);
    window.addEventListener('pointercancel', letGo);
  };
  return (
    <>
      <button
        type="button"
        className="text-soft hover:text-ink grid min-h-11 w-9 flex-none cursor-grab touch-none place-items-center rounded-lg pointer-coarse:w-11"
        aria-label={`Move the plug of ${nameOf(rig, joint.plug.part)} out of ${nameOf(rig, joint.jack.part)}`}
        onPointerDown={take}
        onClick={() => {
          if (!dragged.current) setAsking(true);
          dragged.current = false;
        }}
      >
        <GripVertical size={18} aria-hidden />
      </button>
      {asking && <MoveDialog rig={rig} joint={joint} edit={edit} close={() => setAsking(false)} />}
    </>
  );
}
