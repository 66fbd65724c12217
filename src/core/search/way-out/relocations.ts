import { isPassiveLink, isWornToListen, type Part, type PartPort } from '../../parts';
import { mate } from '../../plugs';
import {
  endsOf,
  freshId,
  isFree,
  jointsOf,
  laidParts,
  partIn,
  portOf,
  type PortRef,
  type Rig,
  type RigEdit,
} from '../../rig';
import { additionsAt, insertsAt } from '../fixes/with-parts';

/** What is worn to listen, by its joint: its own end, and the plug of it. */
interface Worn {
  readonly joint: string;
  readonly near: PortRef;
  readonly plug: PartPort;
}

const wornIn = (rig: Rig): Worn[] =>
  laidParts(rig)
    .filter(({ part }) => isWornToListen(part))
    .flatMap(({ placed }) =>
      jointsOf(rig, placed.id).flatMap((joint): Worn[] => {
        const near = endsOf(joint, placed.id)?.near;
        const plug = near && portOf(rig, near);
        return near && plug ? [{ joint: joint.id, near, plug }] : [];
      }),
    );

const isOutput = (port: PartPort): boolean => port.gender === 'jack' && port.direction !== 'in';

/** The end of an adapter, other than the one that is used, into which a plug goes. */
const freeEnd = (
  rig: Rig,
  { part, port }: { readonly part: string; readonly port: string },
  plug: PartPort,
): string | undefined => partIn(rig, part)?.ports.find((one) => one.id !== port && mate(one, plug).fits)?.id;

/** Sockets that a part put into a joint would bring along. */
const broughtBy = (part: Part, used: readonly string[]): PartPort[] =>
  part.ports.filter((port) => isOutput(port) && !used.includes(port.id));

/** Into a socket by itself, or else by way of an adapter of which `taken` ids tell the id. */
function into(
  rig: Rig,
  { near, plug }: Worn,
  at: PortRef & { readonly jack: PartPort },
  taken: ReadonlySet<string>,
): RigEdit[][] {
  const socket = { part: at.part, port: at.port };
  if (mate(plug, at.jack).fits) return [[{ kind: 'join', a: near, b: socket }]];
  return additionsAt(rig, { part: at.part, port: at.jack }, isPassiveLink).flatMap((add): RigEdit[][] => {
    const other = add.kind === 'add' && freeEnd(rig, add, plug);
    if (!other || add.kind !== 'add') return [];
    return [[add, { kind: 'join', a: near, b: { part: freshId(add.part, taken), port: other } }]];
  });
}

/** Into another socket of the rig by way of an adapter. */
function byAdapter(rig: Rig, worn: readonly Worn[]): RigEdit[][] {
  const taken = new Set(rig.parts.map(({ id }) => id));
  const sockets = laidParts(rig).flatMap(({ placed, part }) =>
    part.ports
      .filter(isOutput)
      .map((port) => ({ part: placed.id, port }))
      .filter(({ port }) => isFree(rig, { part: placed.id, port: port.id })),
  );
  return worn.flatMap((one) =>
    sockets
      // What goes in by itself is a plug moved, and that is tried elsewhere.
      .filter(({ port }) => !mate(one.plug, port).fits)
      .flatMap(({ part, port }) => into(rig, one, { part, port: port.id, jack: port }, taken))
      .map((then): RigEdit[] => [{ kind: 'unplug', joint: one.joint }, ...then]),
  );
}

/** Into a socket that a splitter brings to where something is plugged in already: the device’s one jack, most often. */
function bySplitter(rig: Rig, worn: readonly Worn[]): RigEdit[][] {
  if (worn.length === 0) return [];
  const taken = new Set(rig.parts.map(({ id }) => id));
  return rig.joints.flatMap((joint) =>
    insertsAt(rig, joint).flatMap((insert) => {
      if (insert.kind !== 'insert') return [];
      const part = partIn(rig, insert.part);
      const placed = freshId(insert.part, taken);
      return (part ? broughtBy(part, insert.ports) : []).flatMap((jack) =>
        worn
          .filter((one) => one.joint !== joint.id)
          .flatMap((one) =>
            into(rig, one, { part: placed, port: jack.id, jack }, new Set([...taken, placed])).map(
              (then): RigEdit[] => [insert, { kind: 'unplug', joint: one.joint }, ...then],
            ),
          ),
      );
    }),
  );
}

/** What is worn to listen, in another headphone socket: by way of an adapter, or of a splitter. */
export function relocations(rig: Rig): RigEdit[][] {
  const worn = wornIn(rig);
  return [...byAdapter(rig, worn), ...bySplitter(rig, worn)];
}
