import type { Part } from '../parts';
import type { Rig } from './types.generated';

/** A rig in which the user's own parts can be laid out too; the rig's own figures stand before the drawer's. */
export function withOwnParts(rig: Rig, known: readonly Part[]): Rig {
  const have = new Set((rig.ownParts ?? []).map((part) => part.id));
  const more = known.filter((part) => !have.has(part.id));
  return more.length === 0 ? rig : { ...rig, ownParts: [...(rig.ownParts ?? []), ...more] };
}

/** A rig with only those own parts that are laid out in it. */
export function withUsedParts(rig: Rig): Rig {
  if (!rig.ownParts) return rig;
  const used = new Set(rig.parts.map((placed) => placed.part));
  const kept = rig.ownParts.filter((part) => used.has(part.id));
  if (kept.length === rig.ownParts.length) return rig;
  const { ownParts: _all, ...rest } = rig;
  return kept.length === 0 ? rest : { ...rest, ownParts: kept };
}

/** Puts an own part in the place of a placed one, or changes the figures of the own part that is there. */
export function makeOwn(rig: Rig, placedId: string, part: Part): Rig {
  const placed = rig.parts.find((p) => p.id === placedId);
  if (!placed) return rig;
  const others = (rig.ownParts ?? []).filter((own) => own.id !== part.id);
  return {
    ...rig,
    ownParts: [...others, part],
    parts: rig.parts.map((p) => (p === placed ? { ...p, part: part.id } : p)),
  };
}
