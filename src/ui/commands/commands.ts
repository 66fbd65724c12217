'use client';
import { useEffect } from 'react';
import type { KeyName } from './keys';

/** Something that can be done here: the palette, the menus and the keys all do it by this. */
export interface Command {
  readonly group: string;
  readonly says: string;
  /** The key that does it too. */
  readonly key?: KeyName;
  readonly run: () => void;
}

type Offer = () => readonly Command[];

const offers = new Set<{ readonly current: Offer }>();

/** Everything that can be done now, in the order in which views came on the page; worked out when asked. */
export const allCommands = (): readonly Command[] => [...offers].flatMap((offer) => offer.current());

export const commandFor = (key: KeyName): Command | undefined =>
  allCommands().find((command) => command.key === key);

/** Offers commands while a view is on the page. */
export function useCommands(offer: Offer): void {
  useEffect(() => {
    const held = { current: offer };
    offers.add(held);
    return () => {
      offers.delete(held);
    };
  }, [offer]);
}
