import { connectorName, type Connector, type Gender } from '../plugs';
import type { Part, PartPort } from './model/types.generated';
import { wantsPhantom } from './model/wants-phantom';

/** An end of a thing as it is seen: a plug with so many bands, a socket, pins or holes. */
export interface SeenEnd {
  readonly connector: Connector;
  readonly gender: Gender;
}

/** What to look at next: an end, how many ends there are, a knob, or what it is for. */
export type Question =
  | { readonly ask: 'end'; readonly end: SeenEnd }
  | { readonly ask: 'ends'; readonly count: number }
  | { readonly ask: 'knob' }
  | { readonly ask: 'phantom' }
  | { readonly ask: 'battery' }
  | { readonly ask: 'family'; readonly family: Part['family'] };

/** A question with what was seen. */
export interface Answer {
  readonly question: Question;
  readonly yes: boolean;
}

const same = (port: PartPort, end: SeenEnd): boolean =>
  port.connector === end.connector && port.gender === end.gender;

const hasSwitch = (part: Part, words: RegExp): boolean =>
  (part.settings ?? []).some((setting) => words.test(`${setting.id} ${setting.name}`.toLowerCase()));

/** Whether a part answers a question with yes. */
export function answers(part: Part, question: Question): boolean {
  switch (question.ask) {
    case 'end':
      return part.ports.some((port) => same(port, question.end));
    case 'ends':
      return part.ports.filter((port) => port.connector !== 'radio').length === question.count;
    case 'knob':
      return (part.settings ?? []).some((setting) => setting.kind === 'knob');
    case 'phantom':
      return wantsPhantom(part);
    case 'battery':
      return hasSwitch(part, /batter|charged/);
    case 'family':
      return part.family === question.family;
  }
}

/** Whether the ends that were seen, each with one of its own, are on a part. */
function hasEnds(part: Part, seen: readonly SeenEnd[]): boolean {
  const left = [...part.ports];
  return seen.every((end) => {
    const at = left.findIndex((port) => same(port, end));
    if (at < 0) return false;
    left.splice(at, 1);
    return true;
  });
}

const keyOf = (question: Question): string => JSON.stringify(question);

/** Every question about parts like these. */
function questionsOf(parts: readonly Part[]): Question[] {
  const ends = parts.flatMap((part) =>
    part.ports
      .filter((port) => port.connector !== 'radio')
      .map(({ connector, gender }): Question => ({ ask: 'end', end: { connector, gender } })),
  );
  const counts = parts.map((part): Question => ({
    ask: 'ends',
    count: part.ports.filter((port) => port.connector !== 'radio').length,
  }));
  const families = parts.map((part): Question => ({ ask: 'family', family: part.family }));
  const rest: Question[] = [{ ask: 'knob' }, { ask: 'phantom' }, { ask: 'battery' }];
  return [...new Map([...ends, ...counts, ...rest, ...families].map((q) => [keyOf(q), q])).values()];
}

/** Ends can be counted with the thing in the hand; what it is called is asked last. */
const EFFORT: Record<Question['ask'], number> = {
  end: 0,
  ends: 0,
  knob: 1,
  phantom: 2,
  battery: 2,
  family: 3,
};

/** What is left after some ends were seen and some questions answered, and what to look at next to tell these apart. */
export interface Identified {
  readonly candidates: readonly Part[];
  readonly next?: Question;
}

/**
 * Narrows a catalogue by what is seen of a thing. The next question is the one that comes nearest to halving what is left; of
 * equals the one that is easier to look at. None where no question tells the candidates apart.
 */
export function identify(
  parts: readonly Part[],
  seen: readonly SeenEnd[],
  answered: readonly Answer[],
): Identified {
  const candidates = parts
    .filter((part) => hasEnds(part, seen))
    .filter((part) => answered.every(({ question, yes }) => answers(part, question) === yes));
  const asked = new Set(answered.map(({ question }) => keyOf(question)));
  const half = candidates.length / 2;
  const useful = questionsOf(candidates)
    .filter((question) => !asked.has(keyOf(question)))
    .map((question) => ({ question, yes: candidates.filter((part) => answers(part, question)).length }))
    .filter(({ yes }) => yes > 0 && yes < candidates.length)
    .sort(
      (a, b) =>
        Math.abs(a.yes - half) + EFFORT[a.question.ask] - (Math.abs(b.yes - half) + EFFORT[b.question.ask]),
    );
  const next = useful[0]?.question;
  return { candidates, ...(next && { next }) };
}

const BANDS: Partial<Record<Connector, string>> = {
  'ts-3.5': 'one dark band, 3.5 mm',
  'trs-3.5': 'two dark bands, 3.5 mm',
  'trrs-3.5': 'three dark bands, 3.5 mm',
  'ts-6.35': 'one dark band, 6.35 mm',
  'trs-6.35': 'two dark bands, 6.35 mm',
};

/** How a person names an end by looking at it. */
export function sayEnd({ connector, gender }: SeenEnd): string {
  if (connector === 'xlr-3') return gender === 'plug' ? 'XLR with pins' : 'XLR with holes';
  const bands = BANDS[connector];
  if (gender === 'plug') return bands ? `plug with ${bands}` : `${connectorName(connector)} plug`;
  return `${connectorName(connector)} socket`;
}

/** The question in words. */
export function sayQuestion(question: Question): string {
  switch (question.ask) {
    case 'end':
      return `Has it a ${sayEnd(question.end)}?`;
    case 'ends':
      return `Has it ${question.count} plugs and sockets altogether, no more and no less?`;
    case 'knob':
      return 'Has it a knob or slider for a level?';
    case 'phantom':
      return 'Does it want 48 V phantom power?';
    case 'battery':
      return 'Has it a battery of its own?';
    case 'family':
      return `Would you call it a ${question.family}?`;
  }
}
