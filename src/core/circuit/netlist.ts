import type { CircuitElement, Electret, Part, Quantity, SignalSource } from '../parts';
import { laidParts, settingOf, type LaidPart, type Rig } from '../rig';
import type { JointMating, Reading } from './matings';

/** A node of the whole rig: "placed part/port.contact" or "placed part/inner node". */
export type NodeKey = string;
export const nodeKey = (placed: string, node: string): NodeKey => `${placed}/${node}`;
export const contactKey = (placed: string, port: string, contact: string): NodeKey =>
  `${placed}/${port}.${contact}`;

interface SettledEnds {
  readonly placed: string;
  readonly a: NodeKey;
  readonly b: NodeKey;
}

/** A circuit element with its figures settled; its nodes are nodes of the rig. Conductors are resistors here. */
export type NetElement = SettledEnds &
  (
    | { readonly kind: 'wire' }
    | { readonly kind: 'resistor'; readonly ohms: number; readonly conductor: boolean }
    | { readonly kind: 'capacitor'; readonly farads: number }
    | { readonly kind: 'inductor'; readonly henries: number }
    | { readonly kind: 'transformer'; readonly c: NodeKey; readonly d: NodeKey; readonly ratio: number }
    | { readonly kind: 'sense'; readonly id: string; readonly ohms: number; readonly noise: number }
    | { readonly kind: 'drive'; readonly id: string; readonly ohms: number; readonly clip: number }
    | { readonly kind: 'supply'; readonly volts: number }
    | {
        readonly kind: 'signal';
        readonly id: string;
        readonly hears: SignalSource['hears'];
        readonly sensitivity: number;
        readonly noise: number;
        readonly needs?: { readonly plus: NodeKey; readonly minus: NodeKey; readonly volts: number };
      }
    | { readonly kind: 'electret'; readonly id: string; readonly capsule: Electret }
  );

/** From a sense to a drive: a real gain, negative where it inverts. */
export interface NetPath {
  readonly from: string;
  readonly to: string;
  readonly gain: number;
}

/** Two contacts that touch at a joint. */
export interface TouchLink {
  readonly joint: string;
  readonly plug: NodeKey;
  readonly jack: NodeKey;
}

export interface Netlist {
  readonly elements: readonly NetElement[];
  readonly paths: readonly NetPath[];
  readonly touches: readonly TouchLink[];
}

/** The figure of a quantity on this laid part. */
export function settle(quantity: Quantity, laid: LaidPart): number {
  if (typeof quantity === 'number') return quantity;
  if ('perMetre' in quantity) return quantity.perMetre * lengthOf(laid.placed.length, laid.part);
  if ('knob' in quantity) return Number(settingOf(laid, quantity.knob));
  return quantity.values[String(settingOf(laid, quantity.setting))] ?? NaN;
}

const lengthOf = (placed: number | undefined, part: Part): number => placed ?? part.length ?? 0;

type Settled<K extends NetElement['kind']> = Omit<Extract<NetElement, { kind: K }>, keyof SettledEnds>;
type SettlerOf = {
  readonly [K in NetElement['kind']]: (element: ElementOf<K>, settled: Settling) => Settled<K>;
};
type ElementOf<K extends NetElement['kind']> = K extends 'resistor'
  ? Extract<CircuitElement, { kind: 'resistor' | 'conductor' }>
  : Extract<CircuitElement, { kind: K }>;

interface Settling {
  readonly figure: (quantity: Quantity) => number;
  readonly key: (node: string) => NodeKey;
  readonly isFed: (port: string) => boolean;
}

const SETTLERS: SettlerOf = {
  wire: () => ({ kind: 'wire' }),
  resistor: (e, { figure }) => ({
    kind: 'resistor',
    ohms: figure(e.ohms),
    conductor: e.kind === 'conductor',
  }),
  capacitor: (e, { figure }) => ({ kind: 'capacitor', farads: figure(e.farads) }),
  inductor: (e, { figure }) => ({ kind: 'inductor', henries: figure(e.henries) }),
  transformer: (e, { key }) => ({ kind: 'transformer', c: key(e.c), d: key(e.d), ratio: e.ratio }),
  sense: (e, { figure, key }) => ({
    kind: 'sense',
    id: key(e.id),
    ohms: figure(e.ohms),
    noise: figure(e.noise),
  }),
  drive: (e, { figure, key }) => ({
    kind: 'drive',
    id: key(e.id),
    ohms: figure(e.ohms),
    clip: figure(e.clip),
  }),
  supply: (e, { figure, isFed }) => ({
    kind: 'supply',
    volts: e.fedBy === undefined || isFed(e.fedBy) ? figure(e.volts) : 0,
  }),
  signal: (e, { figure, key }) => ({
    kind: 'signal',
    id: key(e.id),
    hears: e.hears,
    sensitivity: figure(e.sensitivity),
    noise: e.noise === undefined ? -Infinity : figure(e.noise),
    ...(e.needs && {
      needs: { plus: key(e.needs.plus), minus: key(e.needs.minus), volts: e.needs.volts },
    }),
  }),
  electret: (e, { key }) => ({ kind: 'electret', id: key(e.id), capsule: e }),
};

function settleElement(
  element: CircuitElement,
  laid: LaidPart,
  isFed: (port: string) => boolean,
): NetElement {
  const placed = laid.placed.id;
  const key = (node: string) => nodeKey(placed, node);
  const settling: Settling = { figure: (quantity) => settle(quantity, laid), key, isFed };
  const kind = element.kind === 'conductor' ? 'resistor' : element.kind;
  const settler = SETTLERS[kind] as (e: CircuitElement, s: Settling) => Settled<NetElement['kind']>;
  return { placed, a: key(element.a), b: key(element.b), ...settler(element, settling) } as NetElement;
}

/** Elements of every laid part, settled. `isFed` says whether a part's port has a live supply line. */
export function netElements(rig: Rig, isFed: (placed: string, port: string) => boolean): NetElement[] {
  return laidParts(rig).flatMap((laid) =>
    laid.part.circuit.map((element) => settleElement(element, laid, (port) => isFed(laid.placed.id, port))),
  );
}

/** Paths of every laid part, their gains settled; a path that is switched off is left out. */
export function netPaths(rig: Rig): NetPath[] {
  return laidParts(rig).flatMap((laid) =>
    (laid.part.paths ?? []).flatMap((path) => {
      const decibels = path.gain.reduce<number>((sum, quantity) => sum + settle(quantity, laid), 0);
      if (decibels === -Infinity) return [];
      const gain = 10 ** (decibels / 20) * (path.inverts ? -1 : 1);
      return [{ from: nodeKey(laid.placed.id, path.from), to: nodeKey(laid.placed.id, path.to), gain }];
    }),
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
