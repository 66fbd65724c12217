import { goesBetween, passesOn, type Part, type PartPort } from '../../parts';
import {
  endsOf,
  isFree,
  jointsOf,
  matchPorts,
  partsFor,
  portOf,
  swapEdits,
  type LaidPart,
  type Rig,
  type RigEdit,
} from '../../rig';

/** Another part in the place of one, with every joint kept. */
export const swapsFor = (rig: Rig, laid: LaidPart, isWanted: (part: Part) => boolean): RigEdit[] =>
  partsFor(rig)
    .filter((part) => isWanted(part) && part.id !== laid.part.id)
    .flatMap((part) => swapEdits(rig, laid.placed.id, part));

/** A box with more leads in it than this is what the rig is built round: it is not exchanged. */
const MOST_JOINTS = 4;

/** Another lead, adapter, dongle or box in the place of one. */
export const swaps = (rig: Rig, laid: LaidPart): RigEdit[] =>
  passesOn(laid.part) && jointsOf(rig, laid.placed.id).length <= MOST_JOINTS
    ? swapsFor(rig, laid, passesOn)
    : [];

/** Things that go into a free socket or onto a free plug of a part. */
export function additions(rig: Rig, laid: LaidPart, isWanted: (part: Part) => boolean): RigEdit[] {
  const free = laid.part.ports.filter((port) => isFree(rig, { part: laid.placed.id, port: port.id }));
  return free.flatMap((port) => additionsAt(rig, { part: laid.placed.id, port }, isWanted));
}

/** The same at one port. */
export const additionsAt = (
  rig: Rig,
  at: { readonly part: string; readonly port: PartPort },
  isWanted: (part: Part) => boolean,
): Extract<RigEdit, { kind: 'add' }>[] =>
  partsFor(rig)
    .filter(isWanted)
    .flatMap((part) =>
      matchPorts(part, [at.port]).flatMap(([own]) =>
        own === undefined
          ? []
          : [{ kind: 'add', part: part.id, port: own, at: { part: at.part, port: at.port.id } } as const],
      ),
    );

/** What can be put between the two ends of a joint. */
export function insertsAt(rig: Rig, joint: Rig['joints'][number]): RigEdit[] {
  const [plug, jack] = [portOf(rig, joint.plug), portOf(rig, joint.jack)];
  if (!plug || !jack) return [];
  return partsFor(rig)
    .filter(goesBetween)
    .flatMap((part) =>
      matchPorts(part, [plug, jack]).flatMap(([toPlug, toJack]) =>
        toPlug && toJack
          ? [{ kind: 'insert', joint: joint.id, part: part.id, ports: [toPlug, toJack] } as const]
          : [],
      ),
    );
}

/** Every link that can stand between the two ends of a joint of the chain. */
export const inserts = (rig: Rig, onChain: ReadonlySet<string>): RigEdit[] =>
  rig.joints
    .filter((joint) => onChain.has(joint.plug.part) && onChain.has(joint.jack.part))
    .flatMap((joint) => insertsAt(rig, joint));

/** A part out of the way, what it stood between joined. */
export function bypasses(rig: Rig, { placed, part }: LaidPart): RigEdit[] {
  if (!passesOn(part)) return [];
  const joints = jointsOf(rig, placed.id);
  const far = (joint: Rig['joints'][number]) => {
    const ends = endsOf(joint, placed.id);
    return ends && portOf(rig, ends.far);
  };
  return joints.flatMap((one, index) =>
    joints.slice(index + 1).flatMap((other) => {
      const [a, b] = [far(one), far(other)];
      const goes = a && b && a.connector === b.connector && a.gender !== b.gender;
      return goes ? [{ kind: 'bypass', part: placed.id, joints: [one.id, other.id] } as const] : [];
    }),
  );
}
