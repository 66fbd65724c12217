'use client';
import { useEffect, useState } from 'react';
import { useCommands, type Command } from '../commands/commands';
import { useKeys } from '../commands/use-keys';
import { lazily } from '../shared/lazily';
import { useSingleKeys } from './use-single-keys';

const Palette = lazily(() => import('./palette').then((m) => m.Palette));
const Shortcuts = lazily(() => import('./shortcuts').then((m) => m.Shortcuts));
const StartDialog = lazily(() => import('../bench/start-dialog').then((m) => m.StartDialog));

export type DialogName = 'palette' | 'shortcuts' | 'start';

/** What opens a dialog of the frame from elsewhere on the page. */
export const openDialog = (name: DialogName): void => {
  window.dispatchEvent(new CustomEvent<DialogName>('symplex-open', { detail: name }));
};

const COMMANDS: readonly Command[] = [
  { group: 'Begin', says: 'New rig: what do you have?', key: 'newRig', run: () => openDialog('start') },
  {
    group: 'Views',
    says: 'What can be done here, by name',
    key: 'palette',
    run: () => openDialog('palette'),
  },
  { group: 'Views', says: 'Keyboard shortcuts', key: 'shortcuts', run: () => openDialog('shortcuts') },
];
const offer = () => COMMANDS;

/** The dialogs that belong to the whole page, each fetched when first opened. */
export function Dialogs() {
  const [open, setOpen] = useState<DialogName>();
  useCommands(offer);
  useKeys(useSingleKeys());
  useEffect(() => {
    const asked = (event: Event) => setOpen((event as CustomEvent<DialogName>).detail);
    window.addEventListener('symplex-open', asked);
    return () => window.removeEventListener('symplex-open', asked);
  }, []);
  const close = () => setOpen(undefined);
  switch (open) {
    case undefined:
      return null;
    case 'palette':
      return <Palette close={close} />;
    case 'shortcuts':
      return <Shortcuts close={close} />;
    case 'start':
      return <StartDialog close={close} />;
  }
}
