'use client';
import { Ellipsis } from 'lucide-react';
import { useRouter } from 'next/navigation';
import { DropdownMenu } from 'radix-ui';
import type { Rig } from '../../core/rig';
import { withPolicies } from '../../store/policies';
import { duplicateRig } from '../../store/rigs';
import { MENU_ITEM } from '../shared/menu-item';
import { exportRig, keeping } from '../shared/report-trouble';
import { usePolicies } from '../shared/use-policies';
import { showRig } from '../shared/use-rigs';
import { removeWithUndo } from './remove-rig';

/** What else can be done with the whole rig; opened at once, for it is fetched when first asked for. */
export function RigMenu({ rig, rename, write }: { rig: Rig; rename: () => void; write: () => void }) {
  const known = usePolicies();
  const router = useRouter();
  return (
    <DropdownMenu.Root defaultOpen modal={false}>
      <DropdownMenu.Trigger className="button" aria-label="More for this rig">
        <Ellipsis size={18} aria-hidden /> More
      </DropdownMenu.Trigger>
      <DropdownMenu.Portal>
        <DropdownMenu.Content
          align="end"
          sideOffset={6}
          className="border-line bg-card text-ink z-20 min-w-44 rounded-xl border p-1 shadow-lg"
        >
          <DropdownMenu.Item className={MENU_ITEM} onSelect={rename}>
            Rename
          </DropdownMenu.Item>
          <DropdownMenu.Item className={MENU_ITEM} onSelect={write}>
            Note
          </DropdownMenu.Item>
          <DropdownMenu.Item
            className={MENU_ITEM}
            onSelect={() => router.push(`/compare?one=${encodeURIComponent(rig.id)}`)}
          >
            Compare with another
          </DropdownMenu.Item>
          <DropdownMenu.Item
            className={MENU_ITEM}
            onSelect={() =>
              void keeping(
                duplicateRig(rig).then((id) => showRig(id)),
                rig,
              )
            }
          >
            Duplicate
          </DropdownMenu.Item>
          <DropdownMenu.Item className={MENU_ITEM} onSelect={() => exportRig(withPolicies(rig, known))}>
            Export as a file
          </DropdownMenu.Item>
          <DropdownMenu.Item
            className={`${MENU_ITEM} text-vermilion`}
            onSelect={() => void keeping(removeWithUndo(rig), rig)}
          >
            Delete
          </DropdownMenu.Item>
        </DropdownMenu.Content>
      </DropdownMenu.Portal>
    </DropdownMenu.Root>
  );
}
