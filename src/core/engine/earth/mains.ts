import type { Mains, Part } from '../../parts';
import { settingOf, type LaidPart, type Rig } from '../../rig';
import { nodeKey, type NodeKey } from '../circuit/node-key';

/** A part that is on the mains, and the strip or outlet that it is in. */
export interface OnMains {
  readonly laid: LaidPart;
  readonly class: Mains['class'];
  /** Where nothing is said of it, an outlet of its own. */
  readonly place: string;
  readonly said: boolean;
}

const isOn = (laid: LaidPart, { on }: Mains): boolean =>
  on === undefined || settingOf(laid, on.setting) === on.is;

/** Every part that is on the mains as the rig stands. */
export const onMains = (laid: ReadonlyMap<string, LaidPart>): OnMains[] =>
  [...laid.values()].flatMap((one) => {
    const { mains } = one.part;
    if (!mains || !isOn(one, mains)) return [];
    const place = one.placed.mains?.trim();
    return [{ laid: one, class: mains.class, place: place ?? one.placed.id, said: place !== undefined }];
  });

/** Boxes with electronics of their own have one ground; leads and passive boxes have what their circuit says. */
const hasOneGround = ({ part }: LaidPart): boolean =>
  [part.bus, part.hub, part.host, part.mains, part.outlets].some((one) => one !== undefined);

const grounds = new WeakMap<Part, readonly string[]>();

function groundsOf(part: Part): readonly string[] {
  const known = grounds.get(part);
  if (known) return known;
  const apart = part.isolated ?? [];
  const found = part.ports.flatMap(({ id, connector, roles }) =>
    apart.includes(id) || connector === 'radio'
      ? []
      : Object.entries(roles ?? {}).flatMap(([contact, role]) =>
          role === 'ground' ? [`${id}.${contact}`] : [],
        ),
  );
  grounds.set(part, found);
  return found;
}

/** The contacts that lie on the ground of a box, where it has one: those whose role it is, but for isolated ports. */
export const groundContacts = (laid: LaidPart): NodeKey[] =>
  hasOneGround(laid) ? groundsOf(laid.part).map((contact) => nodeKey(laid.placed.id, contact)) : [];

/** Hertz of the mains of a rig; 50 where nothing is said. */
export const mainsHertz = (rig: Rig): number => rig.surroundings.mains?.hertz ?? 50;
