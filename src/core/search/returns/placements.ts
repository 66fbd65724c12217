import type { Finding } from '../../checks';
import { allFacts } from '../../engine';
import { deafestAt, howl, standingOf } from '../../engine/air';
import { mouthDistance } from '../../engine/flow';
import { partOf, peopleOf, type Rig, type RigEdit } from '../../rig';
import { placed } from './air-moves';

/** Distances are said to five centimetres, m; no mouth is nearer to a microphone than the least. */
const [STEP, NEAREST] = [0.05, 0.05];
const rounded = (metres: number, by: (steps: number) => number): number =>
  Math.max(NEAREST, Number((by(Number((metres / STEP).toFixed(6))) * STEP).toFixed(2)));

/** Three-to-one: nearer to one’s own, farther from the other’s, or the other’s turned so that it is deafest. */
function forVoice(rig: Rig, { person: id, other }: Finding): RigEdit[] {
  const person = peopleOf(rig).find((one) => one.id === id);
  if (!person || other === undefined) return [];
  const { metres } = standingOf(person, other);
  const pattern = partOf(rig, other)?.pattern ?? 'omni';
  const own = person.microphone;
  const mouth = own === undefined ? undefined : mouthDistance(rig, own, false);
  const stand = (change: { metres?: number; degrees?: number }): RigEdit => ({
    kind: 'person',
    person: { id: person.id, places: [{ part: other, ...change }] },
  });
  return [
    ...(own !== undefined && mouth !== undefined
      ? [
          { kind: 'distance' as const, part: own, metres: rounded(metres / 3, Math.floor) },
          stand({ metres: rounded(mouth * 3, Math.ceil) }),
        ]
      : []),
    ...(pattern === 'omni' ? [] : [stand({ degrees: Math.round(deafestAt(pattern)) })]),
  ];
}

/** Other places in the room for what a finding speaks of. */
export function placements(rig: Rig, finding: Finding): RigEdit[] {
  if (finding.person !== undefined) return forVoice(rig, finding);
  const found = howl(allFacts(rig)[0]);
  return found ? placed(rig, found.worst) : [];
}
