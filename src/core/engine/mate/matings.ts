import { mate, type Contact, type Mating } from '../../plugs';
import type { PartPort } from '../../parts';
import { portOf, type Joint, type Rig } from '../../rig';

/** A joint with what its contacts do. */
export interface JointMating {
  readonly joint: Joint;
  readonly plugPort: PartPort;
  readonly jackPort: PartPort;
  readonly mating: Mating;
}

/** One jack contact on one plug contact, or on none (null). */
export interface Meeting {
  readonly jack: Contact;
  readonly plug: Contact | null;
}

/**
 * One way in which the joints of a rig may really lie: by joint, what each jack contact meets. Where jacks differ,
 * `departs` names the joint that is not as it most likely is.
 */
export interface Reading {
  readonly meetings: ReadonlyMap<string, readonly Meeting[]>;
  readonly departs?: { readonly joint: string; readonly jack: Contact; readonly plug: Contact };
}

const mated = new WeakMap<PartPort, WeakMap<PartPort, Mating>>();

/** What two ports do, once for all. */
function matingOf(plug: PartPort, jack: PartPort): Mating {
  const byJack = mated.get(plug) ?? new WeakMap<PartPort, Mating>();
  mated.set(plug, byJack);
  const known = byJack.get(jack) ?? mate(plug, jack);
  byJack.set(jack, known);
  return known;
}

/** By the rig's list of joints, which is never changed in place: a knob that is turned leaves it as it is. */
const known = new WeakMap<
  Rig['joints'],
  { readonly of: string; readonly own: Rig['ownParts']; readonly found: JointMating[] }
>();

/** Every joint of the rig whose ports exist, mated. */
export function mateJoints(rig: Rig): readonly JointMating[] {
  const of = rig.parts.map(({ id, part }) => `${id} ${part}`).join('\n');
  const kept = known.get(rig.joints);
  if (kept?.of === of && kept.own === rig.ownParts) return kept.found;
  const found = matingsOf(rig);
  known.set(rig.joints, { of, own: rig.ownParts, found });
  return found;
}

const SHUT: Mating = { fits: false, misfit: 'opening' };

function matingsOf(rig: Rig): JointMating[] {
  /** Openings of several ports that a plug fills already. */
  const filled = new Set<string>();
  return rig.joints.flatMap((joint) => {
    const plugPort = portOf(rig, joint.plug);
    const jackPort = portOf(rig, joint.jack);
    if (!plugPort || !jackPort) return [];
    const opening = jackPort.opening === undefined ? undefined : `${joint.jack.part} ${jackPort.opening}`;
    const isShut = opening !== undefined && filled.has(opening);
    if (opening !== undefined) filled.add(opening);
    return [{ joint, plugPort, jackPort, mating: isShut ? SHUT : matingOf(plugPort, jackPort) }];
  });
}

const likeliest = (mating: Mating): Meeting[] =>
  mating.fits ? mating.touches.map(({ jack, plug }) => ({ jack, plug: plug[0] ?? null })) : [];

const read = new WeakMap<readonly JointMating[], readonly Reading[]>();

/** Every reading of joints, kept as long as they are. */
export function readings(matings: readonly JointMating[]): readonly Reading[] {
  const found = read.get(matings) ?? readingsOf(matings);
  read.set(matings, found);
  return found;
}

/** The likeliest reading first, then one for each other contact that a spring of an uncertain joint may meet. */
function readingsOf(matings: readonly JointMating[]): Reading[] {
  const nominal = new Map(matings.map(({ joint, mating }) => [joint.id, likeliest(mating)]));
  const others = matings.flatMap(({ joint, mating }) =>
    mating.fits
      ? mating.touches.flatMap(({ jack, plug }) =>
          plug.slice(1).map((contact): Reading => {
            const meetings = likeliest(mating).map((m) => (m.jack === jack ? { jack, plug: contact } : m));
            return {
              meetings: new Map(nominal).set(joint.id, meetings),
              departs: { joint: joint.id, jack, plug: contact },
            };
          }),
        )
      : [],
  );
  return [{ meetings: nominal }, ...others];
}
