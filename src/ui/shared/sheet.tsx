'use client';
import { X } from 'lucide-react';
import { Dialog } from 'radix-ui';
import type { ReactNode } from 'react';

interface SheetProps {
  readonly title: string;
  readonly open: boolean;
  readonly onOpenChange: (open: boolean) => void;
  readonly children: ReactNode;
}

/** A dialog: from the foot of a phone, in the middle of a wide screen. */
export function Sheet({ title, open, onOpenChange, children }: SheetProps) {
  return (
    <Dialog.Root open={open} onOpenChange={onOpenChange}>
      <Dialog.Portal>
        <Dialog.Overlay className="fixed inset-0 z-10 bg-black/50" />
        <Dialog.Content
          aria-describedby={undefined}
          className="bg-panel text-ink fixed inset-x-0 bottom-0 z-20 flex max-h-[85dvh] flex-col rounded-t-2xl p-4 sm:inset-x-auto sm:top-1/2 sm:bottom-auto sm:left-1/2 sm:max-h-[80dvh] sm:w-[38rem] sm:-translate-1/2 sm:rounded-2xl"
        >
          <div className="mb-3 flex items-center gap-2">
            <Dialog.Title className="mr-auto text-xl font-bold">{title}</Dialog.Title>
            <Dialog.Close className="button">
              <X size={18} aria-hidden /> Close
            </Dialog.Close>
          </div>
          {children}
        </Dialog.Content>
      </Dialog.Portal>
    </Dialog.Root>
  );
}
