'use client';
import { Ellipsis } from 'lucide-react';
import { useRouter } from 'next/navigation';
import { DropdownMenu } from 'radix-ui';
import type { Rig } from '../../core/rig';
import { withPolicies } from '../../store/policies';
import { MENU_ITEM } from '../shared/menu-item';
import { usePolicies } from '../shared/use-policies';
import { wholeRigCommands } from './rig-commands';

/** What else can be done with the whole rig; opened at once, for it is fetched when first asked for. */
export function RigMenu({ rig, rename, write }: { rig: Rig; rename: () => void; write: () => void }) {
  const known = usePolicies();
  const router = useRouter();
  const commands = [
    { says: 'Rename', run: rename },
    { says: 'Note', run: write },
    ...wholeRigCommands(withPolicies(rig, known), (path) => router.push(path)),
  ];
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
          {commands.map(({ says, run }) => (
            <DropdownMenu.Item
              key={says}
              className={`${MENU_ITEM} ${says === 'Delete' ? 'text-vermilion' : ''}`}
              onSelect={run}
            >
              {says}
            </DropdownMenu.Item>
          ))}
        </DropdownMenu.Content>
      </DropdownMenu.Portal>
    </DropdownMenu.Root>
  );
}
