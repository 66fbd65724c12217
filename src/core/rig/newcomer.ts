import type { Part } from '../parts';
import { freshId, LIMITS } from './limits';
import { laidParts } from './lookup';
import { isSpoken } from './meant';
import { peopleOf, putPerson, takenIds } from './people';
import type { Person, Rig } from './types.generated';

const idsWhere = (rig: Rig, is: (part: Part) => boolean): string[] =>
  laidParts(rig).flatMap(({ placed, part }) => (is(part) ? [placed.id] : []));

/** What somebody could speak into. */
export const spokenInto = (rig: Rig): string[] => idsWhere(rig, (part) => isSpoken(part) && !part.host);

/** What somebody could wear. */
export const wornBy = (rig: Rig): string[] => idsWhere(rig, (part) => part.ears !== undefined);

const stemOf = (name: string): string =>
  name
    .toLowerCase()
    .replace(/[^a-z0-9]+/g, '-')
    .slice(0, LIMITS.id)
    .replace(/^-+|-+$/g, '') || 'person';

/** Somebody new: at the first microphone and in the first headphones that nobody has yet. The same rig where nobody more has room. */
export function putNewcomer(rig: Rig, said: string): Rig {
  const people = peopleOf(rig);
  if (people.length >= LIMITS.people) return rig;
  const name = said.trim().slice(0, LIMITS.person);
  const microphone = spokenInto(rig).find((id) => people.every((p) => p.microphone !== id));
  const wears = wornBy(rig).find((id) => people.every((p) => p.wears !== id));
  const person: Person = {
    id: freshId(stemOf(name), takenIds(rig)),
    name,
    ...(microphone !== undefined && { microphone }),
    ...(wears !== undefined && { wears }),
  };
  return putPerson(rig, person);
}
