import type { Part } from '../../parts';
import { carriesMore } from './carried';
import { chargeSockets } from './charging';
import { throughOneOf, type Course } from './course';
import type { Pool } from './pool';

/** A box with a socket for the charger of what stands ahead of it. */
export const passesCharge = (part: Part): boolean =>
  (part.hub !== undefined || part.bus !== undefined) && chargeSockets(part).length > 0;

const kept = new WeakMap<Pool, Map<string, Course>>();

/** Over a box that passes a charge on, where that is wanted, and has sockets for so many things more. */
export function boxCourse(pool: Pool, charges: boolean, more: number): Course {
  const courses = kept.get(pool) ?? new Map<string, Course>();
  kept.set(pool, courses);
  const name = `${charges ? 'charging' : ''} ${more > 0 ? `with ${more} more` : ''}`;
  const boxes = () =>
    new Set(
      pool.parts.filter(
        (part) => (!charges || passesCharge(part)) && (more === 0 || carriesMore(part, more)),
      ),
    );
  const course = courses.get(name) ?? throughOneOf(name, boxes());
  courses.set(name, course);
  return course;
}
