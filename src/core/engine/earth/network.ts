import { circuitKey, type Facts } from '../facts';
import {
  networkOf,
  nodeKey,
  type NetElement,
  type Nets,
  type Network,
  type NodeKey,
  type TouchLink,
} from '../circuit';
import { supplyGraph } from '../power';
import { groundContacts, type OnMains } from './mains';
import {
  AT_Y_CAPACITOR,
  BETWEEN_OUTLETS,
  CURRENT_OHMS,
  EARTH_LEAD_OHMS,
  IN_A_LOOP,
  MISMATCH_OHMS,
  OF_THE_CHARGE,
  OUTLET_OHMS,
  SWITCHING,
  WINDING_FARADS,
  Y_FARADS,
  type Drive,
} from './sources';

/** What drives the grounds somewhere in a rig. */
export interface EarthSource {
  /** Its exciter in the network. */
  readonly id: string;
  readonly why: 'between-outlets' | 'loop' | 'y-capacitor' | 'switching' | 'charging';
  /** The part or place from which it comes. */
  readonly where: string;
  readonly drive: Drive;
  /** Volts of the exciter per unit of the drive. */
  readonly scale: number;
}

/** The circuit of a rig with its grounds, earths and what drives them. */
export interface EarthNetwork {
  readonly elements: readonly NetElement[];
  readonly touches: readonly TouchLink[];
  readonly nets: Nets;
  readonly circuit: Network;
  readonly sources: readonly EarthSource[];
  readonly mains: readonly OnMains[];
}

/** Under this name what belongs to no part stands; no placed part can bear it. */
export const EARTH_PART = '(earth)';
/** The node of the earth of the house, and of a strip or outlet. */
const HOUSE = nodeKey(EARTH_PART, 'house');
const placeNode = (place: string): NodeKey => nodeKey(EARTH_PART, `place ${place}`);

const resistor = (placed: string, a: NodeKey, b: NodeKey, ohms: number): NetElement => ({
  kind: 'resistor',
  placed,
  a,
  b,
  ohms,
  conductor: true,
});
const capacitor = (placed: string, a: NodeKey, b: NodeKey, farads: number): NetElement => ({
  kind: 'capacitor',
  placed,
  a,
  b,
  farads,
});
const exciter = (placed: string, id: string, a: NodeKey, b: NodeKey): NetElement => ({
  kind: 'signal',
  placed,
  id,
  a,
  b,
  hears: 'played',
  sensitivity: 0,
  noise: -Infinity,
});

interface Built {
  readonly elements: NetElement[];
  readonly sources: EarthSource[];
}

/** Outlets and strips: each leads to the earth of the house, and between them stands some voltage. */
function places(mains: readonly OnMains[]): Built {
  const found: Built = { elements: [], sources: [] };
  for (const place of new Set(mains.filter((m) => m.class === 'earthed').map((m) => m.place))) {
    const [id, inner] = [nodeKey(EARTH_PART, `emf ${place}`), nodeKey(EARTH_PART, `at ${place}`)];
    found.elements.push(
      exciter(EARTH_PART, id, inner, HOUSE),
      resistor(EARTH_PART, inner, placeNode(place), OUTLET_OHMS),
    );
    // Two of them differ by as much as the figure says.
    found.sources.push({
      id,
      why: 'between-outlets',
      where: place,
      drive: BETWEEN_OUTLETS,
      scale: Math.SQRT1_2,
    });
  }
  return found;
}

/** Class I: the ground of the part on its protective conductor, in which a field induces something. */
function earthed({ laid, place }: OnMains, ground: NodeKey): Built {
  const { id } = laid.placed;
  const [source, inner] = [nodeKey(id, 'field'), nodeKey(id, 'protective')];
  return {
    elements: [exciter(id, source, inner, placeNode(place)), resistor(id, inner, ground, EARTH_LEAD_OHMS)],
    sources: [{ id: source, why: 'loop', where: id, drive: IN_A_LOOP, scale: Math.SQRT1_2 }],
  };
}

/** Class II: nothing but a Y capacitor, at which half the mains and what is left of the switching stand. */
function insulated({ laid }: OnMains, ground: NodeKey): Built {
  const { id } = laid.placed;
  const [source, inner] = [nodeKey(id, 'mains'), nodeKey(id, 'y')];
  return {
    elements: [exciter(id, source, inner, HOUSE), capacitor(id, inner, ground, Y_FARADS)],
    sources: [
      { id: source, why: 'y-capacitor', where: id, drive: AT_Y_CAPACITOR, scale: 1 },
      { id: source, why: 'switching', where: id, drive: SWITCHING, scale: 1 },
    ],
  };
}

/** Lines by which something is charged or supplied, with what flows in them. */
export const chargingFeeds = (facts: Facts) =>
  supplyGraph(facts).feeds.filter(({ as, takes }) => (as === 'charge' || as === 'supply') && takes > 0);

/** A charging current returns by the ground of its lead, and by any other way that there is. */
function charging(facts: Facts, groundOf: (placed: string) => NodeKey | undefined): Built {
  const found: Built = { elements: [], sources: [] };
  for (const [index, { from, to, takes }] of chargingFeeds(facts).entries()) {
    const [giver, taker] = [groundOf(from.part), groundOf(to.part)];
    if (!giver || !taker) continue;
    const [id, inner] = [nodeKey(to.part, `current ${index}`), nodeKey(to.part, `return ${index}`)];
    found.elements.push(exciter(to.part, id, inner, giver), resistor(to.part, inner, taker, CURRENT_OHMS));
    found.sources.push({
      id,
      why: 'charging',
      where: from.part,
      drive: OF_THE_CHARGE,
      scale: (takes / 1000) * CURRENT_OHMS,
    });
  }
  return found;
}

/** A balanced input is never quite so: one leg has a little more to ground. */
const mismatches = (facts: Facts, groundOf: (placed: string) => NodeKey | undefined): NetElement[] =>
  facts.elements.flatMap((e) => {
    if (e.kind !== 'sense') return [];
    const ground = groundOf(e.placed);
    const [a, b] = [facts.nets.of(e.a), facts.nets.of(e.b)];
    if (ground === undefined || a === undefined || b === undefined) return [];
    const at = facts.nets.of(ground);
    return a === at || b === at ? [] : [resistor(e.placed, e.a, ground, MISMATCH_OHMS)];
  });

/** The windings of a transformer are near each other: some mains goes across. */
const windings = (facts: Facts): NetElement[] =>
  facts.elements.flatMap((e) =>
    e.kind === 'transformer' ? [capacitor(e.placed, e.b, e.d, WINDING_FARADS)] : [],
  );

/** By radio no ground is joined. */
function wiredTouches(facts: Facts): TouchLink[] {
  const radio = new Set(
    facts.rig.joints
      .filter(({ jack }) =>
        facts.laid
          .get(jack.part)
          ?.part.ports.some(({ id, connector }) => id === jack.port && connector === 'radio'),
      )
      .map(({ id }) => id),
  );
  return facts.netlist.touches.filter(({ joint }) => !radio.has(joint));
}

/**
 * The same circuit with what its own analysis leaves out: one ground in each box, protective conductors and outlets, Y capacitors,
 * charging currents, windings, legs that do not match.
 */
export function earthNetwork(facts: Facts, mains: readonly OnMains[]): EarthNetwork {
  const grounds = new Map([...facts.laid.values()].map((one) => [one.placed.id, groundContacts(one)]));
  const groundOf = (placed: string) => grounds.get(placed)?.[0];
  const ties = [...grounds].flatMap(([placed, [first, ...others]]): NetElement[] =>
    first === undefined ? [] : others.map((other) => ({ kind: 'wire', placed, a: first, b: other })),
  );
  const built = [
    places(mains),
    ...mains.flatMap((one) => {
      const ground = groundOf(one.laid.placed.id);
      if (ground === undefined) return [];
      return [one.class === 'earthed' ? earthed(one, ground) : insulated(one, ground)];
    }),
    charging(facts, groundOf),
  ];
  const key = [
    'earth',
    ...mains.map((one) => `${one.laid.placed.id} ${one.class} ${one.place}`),
    ...built.flatMap(({ sources }) => sources.map(({ id }) => id)),
  ].join(' ');
  const elements = [
    ...facts.elements,
    ...ties,
    ...mismatches(facts, groundOf),
    ...windings(facts),
    ...built.flatMap((one) => one.elements),
  ];
  const touches = wiredTouches(facts);
  const circuit = networkOf(`${key} ${circuitKey(facts.circuits, touches)}`, elements, touches);
  return {
    elements,
    touches,
    circuit,
    nets: circuit.nets,
    sources: built.flatMap(({ sources }) => sources),
    mains,
  };
}
