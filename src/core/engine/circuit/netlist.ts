import type { CircuitElement, Electret, Part, Quantity, SignalSource } from '../../parts';
import { own } from '../../schema';
import { laidParts, settingOf, type LaidPart, type Rig } from '../../rig';
import type { JointMating, Reading } from '../mate/matings';

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
    | { readonly kind: 'supply'; readonly volts: number; readonly fedBy?: string }
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

/** From a sense to a drive: a real gain, negative where it inverts, 0 where it is switched off. */
export interface NetPath {
  readonly from: string;
  readonly to: string;
  readonly gain: number;
}

/** A path with the part that it belongs to and what it takes. */
export interface StagePath extends NetPath {
  readonly placed: string;
  /** Milliseconds. */
  readonly delay: number;
  /** The part's stages work only while this direct voltage stands. */
  readonly needs?: { readonly plus: NodeKey; readonly minus: NodeKey; readonly volts: number };
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
  const value = own(quantity.values, String(settingOf(laid, quantity.setting)));
  return value === undefined ? NaN : (value ?? -Infinity);
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
  supply: (e, { figure }) => ({
    kind: 'supply',
    volts: figure(e.volts),
    ...(e.fedBy !== undefined && { fedBy: e.fedBy }),
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

function settleElement(element: CircuitElement, laid: LaidPart): NetElement {
  const placed = laid.placed.id;
  const key = (node: string) => nodeKey(placed, node);
  const settling: Settling = { figure: (quantity) => settle(quantity, laid), key };
  const kind = element.kind === 'conductor' ? 'resistor' : element.kind;
  const settler = SETTLERS[kind] as (e: CircuitElement, s: Settling) => Settled<NetElement['kind']>;
  return { placed, a: key(element.a), b: key(element.b), ...settler(element, settling) } as NetElement;
}

/** Elements of every laid part, settled, as if all of it were powered. */
export function netElements(rig: Rig): NetElement[] {
  return laidParts(rig).flatMap((laid) => laid.part.circuit.map((element) => settleElement(element, laid)));
}

/** Who has power: a port's supply line, and a part's stages. */
export interface Powered {
  readonly isFed: (placed: string, port: string) => boolean;
  readonly isLive: (placed: string) => boolean;
}

/** The same elements with what has no power at rest: supplies at 0 V, sound sources silent. */
export function powerElements(elements: readonly NetElement[], { isFed, isLive }: Powered): NetElement[] {
  return elements.map((element) => {
    if (element.kind !== 'supply' && element.kind !== 'signal') return element;
    const fed =
      element.kind !== 'supply' || element.fedBy === undefined || isFed(element.placed, element.fedBy);
    if (fed && isLive(element.placed)) return element;
    return element.kind === 'supply'
      ? { ...element, volts: 0 }
      : { ...element, sensitivity: -Infinity, noise: -Infinity };
  });
}

/** Paths of every laid part that has power, their gains settled; one that is switched off has gain 0. */
export function netPaths(rig: Rig, isLive: (placed: string) => boolean = () => true): StagePath[] {
  return laidParts(rig).flatMap((laid) => {
    const { id } = laid.placed;
    const key = (node: string) => nodeKey(id, node);
    const needs = laid.part.stagesNeed;
    return (laid.part.paths ?? []).map((path): StagePath => {
      const decibels = path.gain.reduce<number>((sum, quantity) => sum + settle(quantity, laid), 0);
      const gain = isLive(id) ? 10 ** (decibels / 20) * (path.inverts ? -1 : 1) : 0;
      return {
        placed: id,
        from: key(path.from),
        to: key(path.to),
        gain,
        delay: path.delay ?? 0,
        ...(needs && { needs: { plus: key(needs.plus), minus: key(needs.minus), volts: needs.volts } }),
      };
    });
  });
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
