import { LIMITS } from './limits';
import type { Placing, Rig, Room, Session, SessionLoad } from './types.generated';

const among = (value: number | undefined, from: number, to: number): boolean =>
  value === undefined || (value >= from && value <= to);

/** Whether a file could hold a place: metres and degrees, as far as they are said. */
export const isPlace = ({ metres, degrees }: Pick<Placing, 'metres' | 'degrees'>): boolean =>
  among(metres, LIMITS.shortestDistance, LIMITS.farthest) && among(degrees, 0, 180);

/** What is said anew of a pair stands for what was said before. */
export function putAir(rig: Rig, placing: Placing): Rig {
  const before = rig.surroundings.air ?? [];
  if (!isPlace(placing)) return rig;
  const isSame = (a: Placing) => a.speaker === placing.speaker && a.microphone === placing.microphone;
  const next = [...before.filter((a) => !isSame(a)), { ...before.find(isSame), ...placing }];
  return { ...rig, surroundings: { ...rig.surroundings, air: next } };
}

/** The room, with what is said anew of it; a size or a time that no room has changes nothing. */
export const putRoom = (rig: Rig, room: Room): Rig =>
  among(room.cubicMetres, 1, LIMITS.largestRoom) && among(room.seconds, 0.05, LIMITS.longestReverberation)
    ? { ...rig, surroundings: { ...rig.surroundings, room: { ...rig.surroundings.room, ...room } } }
    : rig;

/** What is said anew of the plan; null takes what the phone does meanwhile away, and a battery that is full needs no word. */
export interface SessionSaid extends Partial<Pick<Session, 'minutes' | 'charge'>> {
  readonly load?: SessionLoad | null;
}

function chargeAnew(before: Session['charge'], said: Session['charge']): Session['charge'] {
  const left = Object.entries({ ...before, ...said }).filter(([, share]) => share < 1);
  return left.length > 0 ? Object.fromEntries(left) : undefined;
}

/** The plan with what is said anew of it; nothing said takes it away, one of no length or too long changes nothing. */
export function putSession(rig: Rig, said: SessionSaid | undefined): Rig {
  const { session: before, ...rest } = rig.surroundings;
  if (!said) return { ...rig, surroundings: rest };
  const minutes = said.minutes ?? before?.minutes ?? 0;
  if (!(minutes > 0 && minutes <= LIMITS.longestSession)) return rig;
  const load = said.load === undefined ? before?.load : (said.load ?? undefined);
  const charge = chargeAnew(before?.charge, said.charge);
  const session = { minutes, ...(load && { load }), ...(charge && { charge }) };
  return { ...rig, surroundings: { ...rest, session } };
}

/** The supply of the place, with what is said anew of it. */
export function putSite(rig: Rig, { hertz, wet }: { readonly hertz?: 50 | 60; readonly wet?: boolean }): Rig {
  const mains = {
    ...rig.surroundings.mains,
    ...(hertz !== undefined && { hertz }),
    ...(wet !== undefined && { wet }),
  };
  return { ...rig, surroundings: { ...rig.surroundings, mains } };
}
