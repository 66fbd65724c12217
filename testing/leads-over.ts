import type { Rig } from '../src/core/rig';

/** What hangs together by joints once some parts are taken out: for each part that is left the name of its group. */
function groupsWithout({ parts, joints }: Rig, taken: ReadonlySet<string>): Map<string, string> {
  const groups = new Map(parts.filter(({ id }) => !taken.has(id)).map(({ id }) => [id, id]));
  for (const { plug, jack } of joints) {
    const [one, other] = [groups.get(plug.part), groups.get(jack.part)];
    if (one === undefined || other === undefined) continue;
    for (const [id, group] of groups) if (group === other) groups.set(id, one);
  }
  return groups;
}

/** Whether every source of a rig comes into one box by a socket of its own, and to what records only over it. Told by the joints alone. */
export function leadsOver(rig: Rig, box: string): boolean {
  const there = rig.parts.filter(({ part }) => part === box).map(({ id }) => id);
  const { sources = [], recorders = [] } = rig.purpose ?? {};
  if (there.length !== 1 || sources.some((id) => there.includes(id))) return false;
  const groups = groupsWithout(rig, new Set(there));
  const ends = [...sources, ...recorders].map((id) => groups.get(id));
  return (
    new Set(ends.slice(0, sources.length)).size === sources.length && new Set(ends).size > sources.length
  );
}
