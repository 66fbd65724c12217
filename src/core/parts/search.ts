import { contactsOf, connectorName, isPhoneConnector } from '../plugs';
import type { Part } from './model/types.generated';
import { wantsPhantom } from './model/wants-phantom';

const NUMBERS = ['no', 'one', 'two', 'three', 'four'];

/** "two bands": how a person counts a plug; dark bands are contacts less one. */
function bandsOf(part: Part): string[] {
  return part.ports.flatMap((port) => {
    if (!isPhoneConnector(port.connector)) return [];
    const bands = contactsOf(port.connector).length - 1;
    return [`${NUMBERS[bands] ?? bands} bands`, `${bands} bands`, bands === 1 ? 'one band' : ''];
  });
}

/** Families that anybody would call a box. */
const BOXES: readonly Part['family'][] = ['interface', 'dongle', 'hub', 'mixer', 'splitter', 'receiver'];

/** What else people call it; what wants phantom power answers to its voltage. */
const calledToo = (part: Part): string[] => [
  ...(BOXES.includes(part.family) ? ['box'] : []),
  ...(part.family === 'lead' ? ['cable'] : []),
  ...(wantsPhantom(part) ? ['48 v'] : []),
];

const texts = new WeakMap<Part, string>();

/** Everything by which a part may be looked for, in lower case: name, what it is, its sockets, its counted bands. */
function textOf(part: Part): string {
  const known = texts.get(part);
  if (known !== undefined) return known;
  const ports = part.ports.flatMap((port) => [port.name, connectorName(port.connector), port.gender]);
  const settings = (part.settings ?? []).map((setting) => setting.name);
  const words = [part.name, part.family, part.summary, ...calledToo(part), ...ports, ...settings];
  const text = [...words, ...bandsOf(part)].join(' ').toLowerCase();
  texts.set(part, text);
  return text;
}

/** Words that say nothing about a part: "two bands at one end and three at the other". */
const FILLERS = new Set([
  'a',
  'an',
  'and',
  'at',
  'the',
  'with',
  'to',
  'of',
  'end',
  'other',
  'into',
  'on',
  'dark',
  'in',
  'out',
  'has',
  'wants',
  'needs',
]);

/** A number word followed, sooner or later, by "bands" counts bands. */
function wanted(query: string): string[] {
  const words = query
    .toLowerCase()
    .replace(/[,;:.]/g, ' ')
    .split(/\s+/)
    .filter(Boolean);
  const counts = words.some((word) => word.startsWith('band'));
  const counted = /^(?:one|two|three|[123])$/;
  return words
    .filter((word) => !FILLERS.has(word) && !word.startsWith('band'))
    .filter(
      (word, index, all) => !(counts && word === 'one' && all.some((w, i) => i !== index && counted.test(w))),
    )
    .map((word) => (counts && counted.test(word) ? `${word} band` : word));
}

/** Whether a part answers to every word of a query: its name, a socket ("XLR"), or counted bands ("two bands three"). */
export function answersTo(part: Part, query: string): boolean {
  const text = textOf(part);
  return wanted(query).every((word) => text.includes(word));
}

/** 0 for a part whose name begins so, 1 for one whose name has every word, 2 for the rest. */
export function searchRank(part: Part, query: string): number {
  const name = part.name.toLowerCase();
  const asked = query.trim().toLowerCase();
  if (asked && name.startsWith(asked)) return 0;
  return wanted(query).every((word) => name.includes(word)) ? 1 : 2;
}
