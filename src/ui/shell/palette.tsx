'use client';
import { Command as Commands } from 'cmdk';
import { useState } from 'react';
import { allCommands } from '../commands/commands';
import { KEYS } from '../commands/keys';
import { Sheet } from '../shared/sheet';

/** Groups in the order of the work; others follow as they come. */
const ORDER = ['Begin', 'This rig', 'Fixes', 'Switches', 'Parts', 'Rigs', 'Views'];
const placeOf = (group: string): number => (ORDER.includes(group) ? ORDER.indexOf(group) : ORDER.length);

/** Everything that can be done here, by its name. */
export function Palette({ close }: { close: () => void }) {
  // As it was when the palette was opened: what runs is what was read.
  const [commands] = useState(() => allCommands().filter((command) => command.key !== 'palette'));
  const groups = [...new Set(commands.map((command) => command.group))].sort(
    (a, b) => placeOf(a) - placeOf(b),
  );
  return (
    <Sheet title="What next?" open onOpenChange={(open) => !open && close()}>
      <Commands label="Commands" className="flex min-h-0 flex-1 flex-col">
        <Commands.Input autoFocus placeholder="A command, a rig or a part" className="field w-full" />
        <Commands.List className="mt-2 min-h-0 flex-1 overflow-y-auto">
          <Commands.Empty className="text-soft p-3">Nothing is called that here.</Commands.Empty>
          {groups.map((group) => (
            <Commands.Group key={group} heading={group} className="text-soft text-sm">
              {commands
                .filter((command) => command.group === group)
                .map((command, index) => (
                  <Commands.Item
                    key={`${index} ${command.says}`}
                    value={`${group} ${command.says} ${index}`}
                    className="option text-ink flex items-center gap-3 text-base"
                    onSelect={() => {
                      close();
                      command.run();
                    }}
                  >
                    <span className="mr-auto">{command.says}</span>
                    {command.key && <kbd className="figure">{KEYS[command.key].written}</kbd>}
                  </Commands.Item>
                ))}
            </Commands.Group>
          ))}
        </Commands.List>
      </Commands>
    </Sheet>
  );
}
