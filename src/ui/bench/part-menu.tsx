'use client';
import { DropdownMenu } from 'radix-ui';
import { Ellipsis } from 'lucide-react';
import { jointsOf, portOf, endsOf, isFree, partOf, type Rig, type RigEdit } from '../../core/rig';
import { mate } from '../../core/plugs';
import { nameOf } from '../../core/words';
import { MENU_ITEM } from '../shared/menu-item';

interface PartMenuProps {
  readonly rig: Rig;
  readonly placed: string;
  readonly edit: (change: RigEdit) => void;
  readonly write: () => void;
  /** Opens the part's figures. */
  readonly figures: () => void;
}

/** Every other free socket of the same part for each plug in it, and pulling it. */
function jointEdits(rig: Rig, placed: string): { says: string; edit: RigEdit }[] {
  return jointsOf(rig, placed).flatMap((joint) => {
    const ends = endsOf(joint, placed);
    const far = ends && portOf(rig, ends.far);
    const near = ends && portOf(rig, ends.near);
    if (!ends || !far || !near) return [];
    const other = nameOf(rig, ends.far.part);
    const moves = (partOf(rig, placed)?.ports ?? [])
      .filter((port) => isFree(rig, { part: placed, port: port.id }) && mate(port, far).fits)
      .map((port) => ({
        says: `Move ${other} from ${near.name} to ${port.name}`,
        edit: {
          kind: 'move',
          joint: joint.id,
          from: ends.near,
          to: { part: placed, port: port.id },
        } as const,
      }));
    return [...moves, { says: `Unplug ${other}`, edit: { kind: 'unplug', joint: joint.id } as const }];
  });
}

/** What else can be done with a part: by keyboard or thumb what dragging does, and what it is meant for. */
export function PartMenu({ rig, placed, edit, write, figures }: PartMenuProps) {
  const source = rig.purpose.sources.includes(placed);
  const recorder = rig.purpose.recorders.includes(placed);
  const part = partOf(rig, placed);
  return (
    <DropdownMenu.Root defaultOpen modal={false}>
      <DropdownMenu.Trigger className="button" aria-label={`More for ${nameOf(rig, placed)}`}>
        <Ellipsis size={16} aria-hidden />
      </DropdownMenu.Trigger>
      <DropdownMenu.Portal>
        <DropdownMenu.Content
          align="end"
          sideOffset={6}
          className="border-line bg-card text-ink z-20 max-h-[70dvh] max-w-[90vw] min-w-44 overflow-y-auto rounded-xl border p-1 shadow-lg"
        >
          <DropdownMenu.Item className={MENU_ITEM} onSelect={write}>
            Name and note
          </DropdownMenu.Item>
          <DropdownMenu.Item className={MENU_ITEM} onSelect={figures}>
            Change its figures
          </DropdownMenu.Item>
          {part && !part.host && (
            <DropdownMenu.Item
              className={MENU_ITEM}
              onSelect={() => edit({ kind: 'mean', part: placed, as: 'sources', meant: !source })}
            >
              {source ? 'Not meant to be recorded' : 'Is meant to be recorded'}
            </DropdownMenu.Item>
          )}
          {part?.host && (
            <DropdownMenu.Item
              className={MENU_ITEM}
              onSelect={() => edit({ kind: 'mean', part: placed, as: 'recorders', meant: !recorder })}
            >
              {recorder ? 'Does not record' : 'Records'}
            </DropdownMenu.Item>
          )}
          {jointEdits(rig, placed).map((one) => (
            <DropdownMenu.Item key={one.says} className={MENU_ITEM} onSelect={() => edit(one.edit)}>
              {one.says}
            </DropdownMenu.Item>
          ))}
          <DropdownMenu.Item
            className={`${MENU_ITEM} text-vermilion`}
            onSelect={() => edit({ kind: 'remove', part: placed })}
          >
            Take out of the rig
          </DropdownMenu.Item>
        </DropdownMenu.Content>
      </DropdownMenu.Portal>
    </DropdownMenu.Root>
  );
}
