'use client';
import type { Part } from '../../core/parts';
import { FigureWish } from './figure-wish';
import type { Question } from './use-request';

interface DistanceFieldsProps {
  readonly question: Question;
  readonly change: (next: Question) => void;
  readonly parts: readonly Part[];
}

/** Something that stands somewhere: a source, the box that is there, a recorder. */
interface Spot {
  readonly name: string;
  readonly place: string | undefined;
  readonly put: (question: Question, place: string) => Question;
}

const at = <T,>(list: readonly T[], index: number, change: (item: T) => T): T[] =>
  list.map((item, n) => (n === index ? change(item) : item));

function spotsIn({ sources, destinations, through, throughPlace }: Question, parts: readonly Part[]) {
  const named = (id: string, index: number, ids: readonly string[]) => {
    const name = parts.find((part) => part.id === id)?.name ?? id;
    return ids.filter((one) => one === id).length > 1 ? `${name} (${index + 1})` : name;
  };
  const from = sources.map(({ part, place }, index): Spot => ({
    name: named(
      part,
      index,
      sources.map((one) => one.part),
    ),
    place,
    put: (old, word) => ({ ...old, sources: at(old.sources, index, (one) => ({ ...one, place: word })) }),
  }));
  const to = destinations.map(({ part, place }, index): Spot => ({
    name: named(
      part,
      index,
      destinations.map((one) => one.part),
    ),
    place,
    put: (old, word) => ({
      ...old,
      destinations: at(old.destinations, index, (one) => ({ ...one, place: word })),
    }),
  }));
  const box: Spot[] =
    through === undefined
      ? []
      : [
          {
            name: named(through, 0, []),
            place: throughPlace,
            put: (old, word) => ({ ...old, throughPlace: word }),
          },
        ];
  return { from, box, to };
}

/** What a lead goes between: a source and the box that is there or each recorder, the box and each recorder. */
function pairsIn(question: Question, parts: readonly Part[]): (readonly [Spot, Spot])[] {
  const { from, box, to } = spotsIn(question, parts);
  const firstStops = box.length > 0 ? box : to;
  const pairs = [...from, ...box].flatMap((spot) =>
    (box.includes(spot) ? to : firstStops).map((other) => [spot, other] as const),
  );
  // Where a question has words for its places, two of one word stand together.
  return pairs.filter(([a, b]) => a.place === undefined || a.place !== b.place);
}

type Distances = NonNullable<Question['distances']>;

const isBetween = (a: string | undefined, b: string | undefined) => {
  const ends = new Set([a, b]);
  return ({ from, to }: Distances[number]) => a !== b && ends.has(from) && ends.has(to);
};

const metresOf = ({ distances = [] }: Question, [a, b]: readonly [Spot, Spot]): number | undefined =>
  distances.find(isBetween(a.place, b.place))?.metres;

/** A word for a place that no other has. */
function freshPlace(question: Question): string {
  const { from, box, to } = spotsIn(question, []);
  const taken = new Set([...from, ...box, ...to].map(({ place }) => place));
  let n = 1;
  while (taken.has(`place ${n}`)) n += 1;
  return `place ${n}`;
}

function withMetres(question: Question, [a, b]: readonly [Spot, Spot], metres: number | undefined): Question {
  let next = question;
  const words = [a, b].map((spot) => {
    if (spot.place !== undefined) return spot.place;
    const word = freshPlace(next);
    next = spot.put(next, word);
    return word;
  });
  const [from = '', to = ''] = words;
  const others = (next.distances ?? []).filter((one) => !isBetween(from, to)(one));
  const { distances: _old, ...rest } = next;
  const distances = metres === undefined ? others : [...others, { from, to, metres }];
  return distances.length > 0 ? { ...rest, distances } : rest;
}

/** How far apart the things stand that a lead has to bridge; nothing said is side by side. */
export function DistanceFields({ question, change, parts }: DistanceFieldsProps) {
  const pairs = pairsIn(question, parts);
  if (pairs.length === 0) return null;
  const said = pairs.filter((pair) => metresOf(question, pair) !== undefined).length;
  return (
    <details className="mt-3">
      <summary className="text-soft cursor-pointer py-1 pointer-coarse:py-3">
        {said > 0 ? `How far apart: ${said} said` : 'How far apart each stands'}
      </summary>
      <div className="mt-1 grid gap-2">
        {pairs.map((pair) => {
          const [a, b] = pair;
          const label = `${a.name} to ${b.name}`;
          return (
            <FigureWish
              key={label}
              label={label}
              unit="m"
              value={metresOf(question, pair)}
              set={(metres) => change(withMetres(question, pair, metres))}
            />
          );
        })}
      </div>
    </details>
  );
}
