'use client';
import { useEffect, useState } from 'react';
import type { RigRecord } from '../../store/database';
import { lazily } from '../shared/lazily';

const Palette = lazily(() => import('./palette').then((m) => m.Palette));
const Shortcuts = lazily(() => import('./shortcuts').then((m) => m.Shortcuts));
const StartDialog = lazily(() => import('../bench/start-dialog').then((m) => m.StartDialog));

export type DialogName = 'palette' | 'shortcuts' | 'start';

/** What opens a dialog of the frame from elsewhere on the page. */
export const openDialog = (name: DialogName): void => {
  window.dispatchEvent(new CustomEvent<DialogName>('symplex-open', { detail: name }));
};

const isTyping = (target: EventTarget | null): boolean =>
  (target instanceof HTMLInputElement && target.type !== 'file') || target instanceof HTMLTextAreaElement;

/** The dialogs that belong to the whole page, each fetched when first opened, and the keys that open them. */
export function Dialogs({ rigs, current }: { rigs: readonly RigRecord[]; current: RigRecord | undefined }) {
  const [open, setOpen] = useState<DialogName>();
  useEffect(() => {
    const press = (event: KeyboardEvent) => {
      if ((event.ctrlKey || event.metaKey) && event.key.toLowerCase() === 'k') {
        event.preventDefault();
        setOpen('palette');
      } else if (isTyping(event.target) || event.ctrlKey || event.metaKey || event.altKey) return;
      else if (event.key === '?') setOpen('shortcuts');
      else if (event.key === 'n') setOpen('start');
    };
    const asked = (event: Event) => setOpen((event as CustomEvent<DialogName>).detail);
    window.addEventListener('keydown', press);
    window.addEventListener('symplex-open', asked);
    return () => {
      window.removeEventListener('keydown', press);
      window.removeEventListener('symplex-open', asked);
    };
  }, []);
  const close = () => setOpen(undefined);
  switch (open) {
    case undefined:
      return null;
    case 'palette':
      return (
        <Palette
          rigs={rigs}
          current={current}
          close={close}
          start={() => setOpen('start')}
          help={() => setOpen('shortcuts')}
        />
      );
    case 'shortcuts':
      return <Shortcuts close={close} />;
    case 'start':
      return <StartDialog close={close} />;
  }
}
