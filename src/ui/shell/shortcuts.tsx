'use client';
import { keepValue } from '../../store/kept';
import { isSingle, KEYS, type KeyName } from '../commands/keys';
import { keeping } from '../shared/report-trouble';
import { Sheet } from '../shared/sheet';
import { SINGLE_KEYS, useSingleKeys } from './use-single-keys';

/** Keys that the browser and the controls themselves have. */
const USUAL: readonly (readonly [keys: string, does: string])[] = [
  ['Tab, Shift Tab', 'from one control to the next'],
  ['Enter, Space', 'press, open, choose'],
  ['Arrow keys', 'turn a knob; go through a list or a menu'],
  ['Page Up, Page Down', 'turn a knob in larger steps'],
  ['Home, End', 'a knob to its lowest, to its highest place'],
  ['Esc', 'close what is open'],
];

/** The keys, on one sheet. On a Mac, Cmd stands for Ctrl. */
export function Shortcuts({ close }: { close: () => void }) {
  const single = useSingleKeys();
  const own = (Object.keys(KEYS) as KeyName[])
    .filter((name) => single || !isSingle(name))
    .map((name) => [KEYS[name].written, KEYS[name].does] as const);
  return (
    <Sheet title="Keyboard shortcuts" open onOpenChange={(open) => !open && close()}>
      <dl className="grid grid-cols-[auto_1fr] gap-x-4 gap-y-2 overflow-y-auto">
        {[...own, ...USUAL].map(([keys, does]) => (
          <div key={keys} className="contents">
            <dt>
              <kbd className="figure">{keys}</kbd>
            </dt>
            <dd>{does}</dd>
          </div>
        ))}
      </dl>
      <p className="text-soft mt-3">On a Mac, Cmd stands for Ctrl.</p>
      <label className="mt-3 flex min-h-11 items-center gap-2">
        <input
          type="checkbox"
          className="size-5"
          checked={single}
          onChange={(event) => void keeping(keepValue(SINGLE_KEYS, event.target.checked))}
        />
        Keys that are a single letter
      </label>
    </Sheet>
  );
}
