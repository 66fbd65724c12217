import type { ContactRole, PartFamily } from '../parts';
import { displayName, laidParts, type Rig } from '../rig';

const NUMBERS = ['no', 'one', 'two', 'three', 'four'];

/** A small number in letters, as in "three contacts". */
export const numberWord = (n: number): string => NUMBERS[n] ?? String(n);

export const capital = (text: string): string => text.charAt(0).toUpperCase() + text.slice(1);

/** "left, right and ground". */
export const list = (words: readonly string[]): string =>
  words.length < 2 ? (words[0] ?? '') : `${words.slice(0, -1).join(', ')} and ${words.at(-1)}`;

/** "a plug", "an 8-pin plug". */
export const withArticle = (words: string): string => `${/^[aeiou8]/i.test(words) ? 'an' : 'a'} ${words}`;

const SOURCE_NOUN: Partial<Record<PartFamily, string>> = {
  receiver: 'the pack',
  microphone: 'the microphone',
  headphones: 'the headset’s microphone',
  pack: 'the pack',
};

/** How a sentence calls a placed part: by its label, else by a plain word for what it is. */
export function noun(rig: Rig, placed: string | undefined): string {
  const laid = laidParts(rig).find((l) => l.placed.id === placed);
  if (!laid) return 'the part';
  const { host } = laid.part;
  if (host) {
    const alike = laidParts(rig).filter((l) => l.part.host?.word === host.word).length > 1;
    return alike && laid.placed.label ? laid.placed.label : `the ${host.word}`;
  }
  if (laid.placed.label) return laid.placed.label;
  return SOURCE_NOUN[laid.part.family] ?? `the ${laid.part.family}`;
}

/** The name of a placed part as its card bears it. */
export function nameOf(rig: Rig, placed: string | undefined): string {
  const laid = laidParts(rig).find((l) => l.placed.id === placed);
  return laid ? displayName(laid) : (placed ?? '');
}

/** Letter and word of what lies on a contact. */
export const ROLE: Record<ContactRole, { readonly letter: string; readonly word: string }> = {
  left: { letter: 'L', word: 'left' },
  right: { letter: 'R', word: 'right' },
  microphone: { letter: 'M', word: 'microphone' },
  ground: { letter: 'G', word: 'ground' },
  hot: { letter: '+', word: 'hot' },
  cold: { letter: '−', word: 'cold' },
  bias: { letter: 'B', word: 'bias' },
  data: { letter: 'D', word: 'data' },
  supply: { letter: 'V', word: 'supply' },
  authentication: { letter: 'A', word: 'authentication' },
};
