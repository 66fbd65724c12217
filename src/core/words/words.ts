import { sourcesOf, type Finding } from '../checks/finding';
import { isWornToListen, type ContactRole, type PartFamily } from '../parts';
import { displayName, isSpoken, laidParts, portOf, type LaidPart, type PortRef, type Rig } from '../rig';

const NUMBERS = ['no', 'one', 'two', 'three', 'four', 'five', 'six', 'seven', 'eight'];
const ORDINALS = ['first', 'second', 'third', 'fourth', 'fifth', 'sixth', 'seventh', 'eighth'];

/** A small number in letters, as in "three contacts". */
export const numberWord = (n: number): string => NUMBERS[n] ?? String(n);

export const capital = (text: string): string => text.charAt(0).toUpperCase() + text.slice(1);

/** "left, right and ground". */
export const list = (words: readonly string[]): string =>
  words.length < 2 ? (words[0] ?? '') : `${words.slice(0, -1).join(', ')} and ${words.at(-1)}`;

/** Said with a vowel though written with a consonant, or the other way round: "an XLR", "a USB". */
const AN = /^(?:[aeio8]|u(?!sb\b)|(?:xlr|rca)\b)/i;

/** "a plug", "an 8-pin plug", "a USB-C plug", "an XLR plug". */
export const withArticle = (words: string): string => `${AN.test(words) ? 'an' : 'a'} ${words}`;

const SOURCE_WORD: Partial<Record<PartFamily, string>> = {
  receiver: 'pack',
  microphone: 'microphone',
  headphones: 'headset’s microphone',
  pack: 'pack',
};

/** Families whose parts are called by their own names: a guitar, a keyboard, a cassette deck. */
const BY_NAME: readonly PartFamily[] = ['instrument', 'player', 'supply', 'box'];

/** "keyboard" of "Keyboard, two outputs". */
const ownWord = (name: string): string => (name.split(',')[0] ?? name).toLowerCase();

/** A plain word for what a part is. */
const wordOf = ({ part }: LaidPart): string =>
  part.host?.word ??
  SOURCE_WORD[part.family] ??
  (BY_NAME.includes(part.family) ? ownWord(part.name) : part.family);

/** How a sentence calls a placed part: by its label, else by a plain word for what it is; of several alike "the second pack". */
export function noun(rig: Rig, placed: string | undefined): string {
  const parts = laidParts(rig);
  const laid = parts.find((l) => l.placed.id === placed);
  if (!laid) return 'the part';
  const word = wordOf(laid);
  const alike = parts.filter((l) => wordOf(l) === word);
  if (laid.placed.label && (!laid.part.host || alike.length > 1)) return laid.placed.label;
  if (alike.length === 1) return `the ${word}`;
  // What is meant to be recorded or to record is what a sentence is about: it is counted among its like alone.
  const { sources, recorders } = rig.purpose;
  const meant = [...sources, ...recorders];
  // One that has a label is called by it and not counted.
  const unlabelled = laid.placed.label ? alike : alike.filter((l) => !l.placed.label);
  const counted = meant.includes(laid.placed.id)
    ? unlabelled.filter((l) => meant.includes(l.placed.id))
    : unlabelled;
  const place = counted.indexOf(laid);
  return counted.length === 1 ? `the ${word}` : `the ${ORDINALS[place] ?? `${place + 1}th`} ${word}`;
}

/** "the headphones", as those that hear are called; by their label where they have one, counted where there are several. */
export function ears(rig: Rig, placed: string | undefined): string {
  const worn = laidParts(rig).filter(({ part }) => isWornToListen(part));
  const place = worn.findIndex((l) => l.placed.id === placed);
  const label = worn[place]?.placed.label;
  if (label || place < 0) return nameOf(rig, placed);
  return worn.length === 1 ? 'the headphones' : `the ${ORDINALS[place] ?? `${place + 1}th`} headphones`;
}

/** The name of a placed part as its card bears it; of several alike the later ones are numbered. */
export function nameOf(rig: Rig, placed: string | undefined): string {
  const parts = laidParts(rig);
  const laid = parts.find((l) => l.placed.id === placed);
  if (!laid) return placed ?? '';
  const name = displayName(laid);
  const alike = parts.filter((l) => displayName(l) === name);
  return alike.length === 1 ? name : `${name} (${alike.indexOf(laid) + 1})`;
}

/** The sources of which a finding speaks: "the microphone and the guitar". */
export const who = (rig: Rig, finding: Finding): string => {
  const sources = sourcesOf(finding);
  return sources.length === 0 ? noun(rig, finding.where.part) : list(sources.map((id) => noun(rig, id)));
};

const many = (finding: Finding): boolean => sourcesOf(finding).length > 1;

/** The verb that goes with `who`. */
export const are = (finding: Finding, one: string, several: string): string =>
  many(finding) ? several : one;
export const is = (finding: Finding): string => are(finding, 'is', 'are');

/** What a socket or plug is called. */
export const socketName = (rig: Rig, ref: PortRef | undefined): string =>
  (ref && portOf(rig, ref)?.name) ?? 'socket';

/** Whether a mouth speaks into a placed part. */
export const isSpokenInto = (rig: Rig, placed: string | undefined): boolean =>
  laidParts(rig).some((laid) => laid.placed.id === placed && isSpoken(laid.part));

/** "Speech peaks" of what a mouth speaks into, "Peaks" of all else. */
export const peaksWord = (rig: Rig, placed: string): string =>
  isSpokenInto(rig, placed) ? 'Speech peaks' : 'Peaks';

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
