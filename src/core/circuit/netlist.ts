import type { CircuitElement, Electret, Part, Quantity, SignalSource } from '../parts';
import { laidParts, settingOf, type LaidPart, type Rig } from '../rig';
import type { JointMating, Reading } from './matings';

/** A node of the whole rig: "placed part/port.contact" or "placed part/inner node". */
export type NodeKey = string;
export const nodeKey = (placed: string, node: string): NodeKey => `${placed}/${node}`;
export const contactKey = (placed: string, port: string, contact: string): NodeKey =>
  `${placed}/${port}.${contact}`;

/** A circuit element with its figures settled; `a` and `b` are nodes of the rig. Conductors are resistors here. */
export type NetElement = { readonly placed: string; readonly a: NodeKey; readonly b: NodeKey } & (
  | { readonly kind: 'wire' }
  | { readonly kind: 'resistor'; readonly ohms: number; readonly conductor: boolean }
  | { readonly kind: 'capacitor'; readonly farads: number }
  | { readonly kind: 'supply'; readonly volts: number }
  | {
      readonly kind: 'signal';
      readonly id: string;
      readonly hears: SignalSource['hears'];
      readonly sensitivity: number;
      readonly noise: number;
    }
  | { readonly kind: 'electret'; readonly id: string; readonly capsule: Electret }
);

/** Two contacts that touch at a joint. */
export interface TouchLink {
  readonly joint: string;
  readonly plug: NodeKey;
  readonly jack: NodeKey;
}

export interface Netlist {
  readonly elements: readonly NetElement[];
  readonly touches: readonly TouchLink[];
}

/** The figure of a quantity on this laid part. */
export function settle(quantity: Quantity, laid: LaidPart): number {
  if (typeof quantity === 'number') return quantity;
  if ('perMetre' in quantity) return quantity.perMetre * lengthOf(laid.placed.length, laid.part);
  return quantity.values[settingOf(laid, quantity.setting) ?? ''] ?? NaN;
}

const lengthOf = (placed: number | undefined, part: Part): number => placed ?? part.length ?? 0;

function settleElement(
  element: CircuitElement,
  laid: LaidPart,
  isFed: (port: string) => boolean,
): NetElement {
  const placed = laid.placed.id;
  const ends = { placed, a: nodeKey(placed, element.a), b: nodeKey(placed, element.b) };
  switch (element.kind) {
    case 'wire':
      return { ...ends, kind: 'wire' };
    case 'conductor':
    case 'resistor':
      return {
        ...ends,
        kind: 'resistor',
        ohms: settle(element.ohms, laid),
        conductor: element.kind === 'conductor',
      };
    case 'capacitor':
      return { ...ends, kind: 'capacitor', farads: settle(element.farads, laid) };
    case 'supply': {
      const live = element.fedBy === undefined || isFed(element.fedBy);
      return { ...ends, kind: 'supply', volts: live ? settle(element.volts, laid) : 0 };
    }
    case 'signal':
      return {
        ...ends,
        kind: 'signal',
        id: nodeKey(placed, element.id),
        hears: element.hears,
        sensitivity: settle(element.sensitivity, laid),
        noise: element.noise === undefined ? -Infinity : settle(element.noise, laid),
      };
    case 'electret':
      return { ...ends, kind: 'electret', id: nodeKey(placed, element.id), capsule: element };
  }
}

/** Elements of every laid part, settled. `isFed` says whether a part's port has a live supply line. */
export function netElements(rig: Rig, isFed: (placed: string, port: string) => boolean): NetElement[] {
  return laidParts(rig).flatMap((laid) =>
    laid.part.circuit.map((element) => settleElement(element, laid, (port) => isFed(laid.placed.id, port))),
  );
}

/** Contacts that touch, joint by joint, as this reading has them. */
export function touchLinks(matings: readonly JointMating[], reading: Reading): TouchLink[] {
  return matings.flatMap(({ joint }) =>
    (reading.meetings.get(joint.id) ?? []).flatMap(({ jack, plug }) =>
      plug === null
        ? []
        : [
            {
              joint: joint.id,
              plug: contactKey(joint.plug.part, joint.plug.port, plug),
              jack: contactKey(joint.jack.part, joint.jack.port, jack),
            },
          ],
    ),
  );
}
