'use client';
import { Sheet } from '../shared/sheet';

const SHORTCUTS: readonly (readonly [keys: string, does: string])[] = [
  ['Ctrl K', 'everything that can be done here, by name'],
  ['Ctrl Z', 'undo'],
  ['Ctrl Shift Z, Ctrl Y', 'redo'],
  ['N', 'a new rig'],
  ['?', 'this sheet'],
  ['Tab, Shift Tab', 'from one control to the next'],
  ['Enter, Space', 'press, open, choose'],
  ['Arrow keys', 'turn a knob; go through a list or a menu'],
  ['Page Up, Page Down', 'turn a knob in larger steps'],
  ['Home, End', 'a knob to its lowest, to its highest place'],
  ['Esc', 'close what is open'],
];

/** The keys, on one sheet. On a Mac, Cmd stands for Ctrl. */
export function Shortcuts({ close }: { close: () => void }) {
  return (
    <Sheet title="Keyboard shortcuts" open onOpenChange={(open) => !open && close()}>
      <dl className="grid grid-cols-[auto_1fr] gap-x-4 gap-y-2 overflow-y-auto">
        {SHORTCUTS.map(([keys, does]) => (
          <div key={keys} className="contents">
            <dt>
              <kbd className="figure">{keys}</kbd>
            </dt>
            <dd>{does}</dd>
          </div>
        ))}
      </dl>
      <p className="text-soft mt-3">On a Mac, Cmd stands for Ctrl.</p>
    </Sheet>
  );
}
