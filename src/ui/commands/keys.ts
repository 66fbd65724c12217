/** Every key of Symplex, once: what it is called in code, how it is pressed, how it is written, what it does. */
export const KEYS = {
  palette: { press: ['$mod+KeyK'], written: 'Ctrl K', does: 'everything that can be done here, by name' },
  undo: { press: ['$mod+KeyZ'], written: 'Ctrl Z', does: 'undo' },
  redo: { press: ['$mod+Shift+KeyZ', '$mod+KeyY'], written: 'Ctrl Shift Z, Ctrl Y', does: 'redo' },
  newRig: { press: ['n'], written: 'N', does: 'a new rig' },
  fold: { press: ['f'], written: 'F', does: 'fold the ladder, or open it' },
  lensWiring: { press: ['1'], written: '1', does: 'look at the wiring' },
  lensLevels: { press: ['2'], written: '2', does: 'look at the levels' },
  lensPower: { press: ['3'], written: '3', does: 'look at supply and earths' },
  lensReturns: { press: ['4'], written: '4', does: 'look at who hears whom' },
  shortcuts: { press: ['Shift+?', '?'], written: '?', does: 'this sheet' },
} as const satisfies Readonly<Record<string, KeyPlan>>;

interface KeyPlan {
  readonly press: readonly string[];
  readonly written: string;
  readonly does: string;
}

export type KeyName = keyof typeof KEYS;

/** Without Ctrl or the like: such a key can be turned off (WCAG 2.2, 2.1.4). */
export const isSingle = (name: KeyName): boolean =>
  !KEYS[name].press.some((press) => press.startsWith('$mod'));

const TEXT =
  'input:not([type=checkbox],[type=radio],[type=file],[type=button],[type=range]), textarea, [contenteditable=true]';
/** What goes by letters itself, or stands before the rest of the page. */
const LISTS = 'select, [role=listbox], [role=menu], [role=combobox], [role=dialog], [role=tree], [role=grid]';

/** Whether a key is for what has the focus and not for the page: a text takes all, a list and what is open its letters. */
export function belongsToFocus(target: EventTarget | null, name: KeyName): boolean {
  if (!(target instanceof Element)) return false;
  if (target.closest(TEXT)) return true;
  if (target.closest('[role=dialog]')) return true;
  return isSingle(name) && target.closest(LISTS) !== null;
}
