'use client';
import { useEffect } from 'react';
import { tinykeys } from 'tinykeys';
import { commandFor } from './commands';
import { belongsToFocus, isSingle, KEYS, type KeyName } from './keys';

const NAMES = Object.keys(KEYS) as KeyName[];

/** Lets the keys do what the commands on the page do; `single`: also those that are one letter. */
export function useKeys(single: boolean): void {
  useEffect(() => {
    const handle = (name: KeyName) => (event: KeyboardEvent) => {
      if (event.defaultPrevented || (isSingle(name) && !single)) return;
      if (belongsToFocus(event.target, name)) return;
      const command = commandFor(name);
      if (!command) return;
      event.preventDefault();
      command.run();
    };
    const bindings = NAMES.flatMap((name) => KEYS[name].press.map((press) => [press, handle(name)] as const));
    return tinykeys(window, Object.fromEntries(bindings), { ignore: () => false });
  }, [single]);
}
