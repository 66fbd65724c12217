import { LIMITS } from './limits';
import { isPlace } from './surroundings';
import type { Person, Rig, Stand } from './types.generated';

/** Everyone of whom the rig says that they are in the room. */
export const peopleOf = (rig: Rig): readonly Person[] => rig.surroundings.people ?? [];

/** The first who speaks into a part. */
export const speakerAt = (rig: Rig, microphone: string): Person | undefined =>
  peopleOf(rig).find((person) => person.microphone === microphone);

function withPeople(rig: Rig, people: readonly Person[]): Rig {
  const { people: _old, ...rest } = rig.surroundings;
  return { ...rig, surroundings: { ...rest, ...(people.length > 0 && { people }) } };
}

const isThere = (rig: Rig, part: string): boolean => rig.parts.some(({ id }) => id === part);

/** Ids that nothing new may have: parts and people are called by one kind of name. */
export const takenIds = (rig: Rig): ReadonlySet<string> =>
  new Set([...rig.parts, ...peopleOf(rig)].map(({ id }) => id));

/** As ids are in files. */
const ID = /^[a-z0-9][a-z0-9-]{0,63}$/;

/** Whether a file could hold this person: a name, no id of a part, and every part that is named laid out. */
function fits(rig: Rig, { id, name, microphone, wears, places = [] }: Person): boolean {
  const named = [microphone, wears, ...places.map(({ part }) => part)];
  return (
    ID.test(id) &&
    name.trim().length > 0 &&
    name.length <= LIMITS.person &&
    places.length <= LIMITS.stands &&
    places.every(isPlace) &&
    !isThere(rig, id) &&
    named.every((part) => part === undefined || isThere(rig, part))
  );
}

/** What is said anew of a person; null takes it away. */
export interface PersonSaid extends Partial<Pick<Person, 'name' | 'places'>> {
  readonly id: string;
  readonly microphone?: string | null;
  readonly wears?: string | null;
}

/** Where somebody stands, with what is said anew of it part by part. */
const placesAnew = (before: readonly Stand[], said: readonly Stand[]): readonly Stand[] => [
  ...before.filter(({ part }) => !said.some((one) => one.part === part)),
  ...said.map((one) => ({ ...before.find(({ part }) => part === one.part), ...one })),
];

function saidAnew(before: Person | undefined, said: PersonSaid): Person {
  const { id, name, microphone, wears, places } = { ...before, ...said };
  const stands = said.places ? placesAnew(before?.places ?? [], said.places) : (places ?? []);
  return {
    id,
    name: name ?? '',
    ...(typeof microphone === 'string' && { microphone }),
    ...(typeof wears === 'string' && { wears }),
    ...(stands.length > 0 && { places: stands }),
  };
}

/** A person with what is said anew of them; one who is new stands last. The same rig where it names what is not there. */
export function putPerson(rig: Rig, said: PersonSaid): Rig {
  const people = peopleOf(rig);
  const before = people.find(({ id }) => id === said.id);
  const person = saidAnew(before, said);
  if (!fits(rig, person)) return rig;
  return withPeople(
    rig,
    before ? people.map((one) => (one.id === person.id ? person : one)) : [...people, person],
  );
}

/** A person leaves the room. */
export const takePerson = (rig: Rig, id: string): Rig =>
  peopleOf(rig).some((one) => one.id === id)
    ? withPeople(
        rig,
        peopleOf(rig).filter((one) => one.id !== id),
      )
    : rig;

/** Nobody speaks into a part that is gone, wears it, or stands to it. */
export function forgetPart(rig: Rig, part: string): Rig {
  const people = peopleOf(rig);
  if (people.length === 0) return rig;
  return withPeople(
    rig,
    people.map(({ microphone, wears, places, ...person }) => {
      const left = places?.filter((one) => one.part !== part) ?? [];
      return {
        ...person,
        ...(microphone !== undefined && microphone !== part && { microphone }),
        ...(wears !== undefined && wears !== part && { wears }),
        ...(left.length > 0 && { places: left }),
      };
    }),
  );
}
