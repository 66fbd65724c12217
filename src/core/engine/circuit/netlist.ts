import type { CircuitElement, Electret, Quantity, SignalSource } from '../../parts';
import { laidParts, settingOf, type LaidPart, type Rig } from '../../rig';
import { figureOf } from './figure';
import { contactKey, nodeKey, type NodeKey } from './node-key';
import type { JointMating, Reading } from '../mate/matings';

export type { NodeKey } from './node-key';

interface RigEnds {
  readonly placed: string;
  readonly a: NodeKey;
  readonly b: NodeKey;
}

/** A circuit element with its figures as the rig has them; its nodes are nodes of the rig. Conductors are resistors here. */
export type NetElement = RigEnds &
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
        readonly band?: readonly [number, number];
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

/** The paths that carry something, by the drive that they lead to. */
export function pathsInto<P extends NetPath>(paths: readonly P[]): ReadonlyMap<string, readonly P[]> {
  const found = new Map<string, P[]>();
  for (const path of paths) {
    if (path.gain === 0) continue;
    const known = found.get(path.to);
    if (known) known.push(path);
    else found.set(path.to, [path]);
  }
  return found;
}

/** A path with the part that it belongs to and what it takes. */
export interface StagePath extends NetPath {
  readonly placed: string;
  /** Milliseconds. */
  readonly delay: number;
  /** The part's stages work only while this direct voltage stands. */
  readonly needs?: { readonly plus: NodeKey; readonly minus: NodeKey; readonly volts: number };
  /** The port whose supply it lives by, while nothing feeds it. */
  readonly unfed?: string;
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

type InRig<K extends NetElement['kind']> = Omit<Extract<NetElement, { kind: K }>, keyof RigEnds>;
type FigurerOf = {
  readonly [K in NetElement['kind']]: (element: ElementOf<K>, figuring: Figuring) => InRig<K>;
};
type ElementOf<K extends NetElement['kind']> = K extends 'resistor'
  ? Extract<CircuitElement, { kind: 'resistor' | 'conductor' }>
  : Extract<CircuitElement, { kind: K }>;

interface Figuring {
  readonly figure: (quantity: Quantity) => number;
  readonly key: (node: string) => NodeKey;
}

const FIGURES: FigurerOf = {
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
    ...(e.band && { band: e.band }),
    ...(e.needs && {
      needs: { plus: key(e.needs.plus), minus: key(e.needs.minus), volts: e.needs.volts },
    }),
  }),
  electret: (e, { key }) => ({ kind: 'electret', id: key(e.id), capsule: e }),
};

/** A source that a switch keeps silent: muted, not linked. */
const isMuted = (element: CircuitElement, laid: LaidPart): boolean =>
  element.kind === 'signal' &&
  (element.mutedBy ?? []).some(({ setting, is }) => settingOf(laid, setting) === is);

function elementInRig(element: CircuitElement, laid: LaidPart): NetElement {
  const placed = laid.placed.id;
  const key = (node: string) => nodeKey(placed, node);
  const figuring: Figuring = { figure: (quantity) => figureOf(quantity, laid), key };
  const kind = element.kind === 'conductor' ? 'resistor' : element.kind;
  const figurer = FIGURES[kind] as (e: CircuitElement, s: Figuring) => InRig<NetElement['kind']>;
  return { placed, a: key(element.a), b: key(element.b), ...figurer(element, figuring) } as NetElement;
}

/** Who has power: a port's supply line, and a part's stages. */
export interface Powered {
  readonly isFed: (placed: string, port: string) => boolean;
  readonly isLive: (placed: string) => boolean;
}

/** An element of a part that has no power: supplies at 0 V, sound sources silent. */
function atRest(element: NetElement): NetElement {
  switch (element.kind) {
    case 'supply':
      return { ...element, volts: 0 };
    case 'signal':
      return { ...element, sensitivity: -Infinity, noise: -Infinity };
    default:
      return element;
  }
}

/** The elements of a laid part; what has no power is at rest. */
export function elementsOf(laid: LaidPart, { isFed, isLive }: Powered): NetElement[] {
  const { id } = laid.placed;
  const live = isLive(id);
  return laid.part.circuit.map((element) => {
    const found = elementInRig(element, laid);
    const fed = found.kind !== 'supply' || found.fedBy === undefined || isFed(id, found.fedBy);
    return live && fed && !isMuted(element, laid) ? found : atRest(found);
  });
}

/** Paths of every laid part that has power, their gains as the rig has them; one that is switched off has gain 0. */
export function netPaths(
  rig: Rig,
  { isLive, isFed }: Powered = { isLive: () => true, isFed: () => true },
): StagePath[] {
  return laidParts(rig).flatMap((laid) => {
    const { id } = laid.placed;
    const key = (node: string) => nodeKey(id, node);
    const needs = laid.part.stagesNeed;
    return (laid.part.paths ?? []).map((path): StagePath => {
      const decibels = path.gain.reduce<number>((sum, quantity) => sum + figureOf(quantity, laid), 0);
      const unfed = path.fedBy !== undefined && !isFed(id, path.fedBy) ? path.fedBy : undefined;
      const works = isLive(id) && unfed === undefined;
      const gain = works ? 10 ** (decibels / 20) * (path.inverts ? -1 : 1) : 0;
      return {
        placed: id,
        from: key(path.from),
        to: key(path.to),
        gain,
        delay: path.delay ?? 0,
        ...(unfed !== undefined && { unfed }),
        ...(needs && { needs: { plus: key(needs.plus), minus: key(needs.minus), volts: needs.volts } }),
      };
    });
  });
}

/** Contacts that touch, joint by joint, as this reading has them. */
export function touchLinks(matings: readonly JointMating[], reading: Reading): readonly TouchLink[] {
  const found = linked.get(reading) ?? linksOf(matings, reading);
  linked.set(reading, found);
  return found;
}

/** Kept with their reading, which belongs to one list of joints. */
const linked = new WeakMap<Reading, readonly TouchLink[]>();

function linksOf(matings: readonly JointMating[], reading: Reading): TouchLink[] {
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
