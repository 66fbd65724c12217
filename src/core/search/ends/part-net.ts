import { REFERENCE_FREQUENCY } from '../../engine/circuit';
import type { CircuitElement, Part, Quantity } from '../../parts';
import { own } from '../../schema';

/** What a quantity can be brought to by its switch or knob, from the least to the most; −Infinity is switched off and left aside. */
export function rangeOf(quantity: Quantity, part: Part): { readonly least: number; readonly most: number } {
  if (typeof quantity === 'number') return { least: quantity, most: quantity };
  if ('typical' in quantity) return { least: quantity.typical, most: quantity.typical };
  if ('perMetre' in quantity) {
    const value = quantity.perMetre * (part.length ?? 0);
    return { least: value, most: value };
  }
  if ('knob' in quantity) {
    const knob = part.settings?.find((s) => s.id === quantity.knob);
    return knob?.kind === 'knob' ? { least: knob.from, most: knob.to } : { least: 0, most: 0 };
  }
  const values = Object.keys(quantity.values).flatMap((place) => {
    const value = own(quantity.values, place);
    return typeof value === 'number' && Number.isFinite(value) ? [value] : [];
  });
  return values.length === 0
    ? { least: -Infinity, most: -Infinity }
    : { least: Math.min(...values), most: Math.max(...values) };
}

/** An ideal source has this much in series, ohms: far under anything that it is joined to. */
const IDEAL_OHMS = 1e-3;

/** An admittance between two nodes, siemens. */
export interface Admittance {
  readonly weights: readonly (readonly [node: number, factor: number])[];
  readonly re: number;
  readonly im: number;
}

/** Currents that one volt, or one unit, of a source drives into nodes. */
export interface Column {
  readonly id: string;
  readonly into: readonly (readonly [node: number, amperes: number])[];
}

/** A difference of two nodes' voltages that somebody watches. */
export interface Watched {
  readonly id: string;
  readonly plus: number;
  readonly minus: number;
}

/** The circuit of a part with its joined nodes as one, its switches where they let most through. */
export interface PartNet {
  readonly part: Part;
  readonly nodes: number;
  readonly nodeOf: (name: string) => number | undefined;
  readonly alternating: readonly Admittance[];
  readonly direct: readonly Admittance[];
  /** Stages' outputs and sound sources, a column for each volt. */
  readonly sounds: readonly Column[];
  /** Every supply of the part at the most that it can be switched to. */
  readonly supplies: Column;
}

function joined(part: Part): (name: string) => string {
  const parent = new Map<string, string>();
  const root = (name: string): string => {
    const up = parent.get(name);
    return up === undefined || up === name ? name : root(up);
  };
  for (const e of part.circuit) if (e.kind === 'wire') parent.set(root(e.a), root(e.b));
  return root;
}

const between = (a: number, b: number): Admittance['weights'] => [
  [a, 1],
  [b, -1],
];

const reactive = (element: CircuitElement, omega: number, part: Part): [re: number, im: number] => {
  const ohms = (quantity: Quantity) => Math.max(IDEAL_OHMS, rangeOf(quantity, part).most);
  switch (element.kind) {
    case 'resistor':
    case 'conductor':
    case 'sense':
    case 'drive':
      return [1 / ohms(element.ohms), 0];
    case 'capacitor':
      return [0, omega * rangeOf(element.farads, part).most];
    case 'inductor': {
      const reactance = omega * rangeOf(element.henries, part).most;
      const size = IDEAL_OHMS ** 2 + reactance ** 2;
      return [IDEAL_OHMS / size, -reactance / size];
    }
    case 'electret':
      return [1 / (omega === 0 ? element.dcResistance : element.acResistance), 0];
    case 'supply':
    case 'signal':
      return [1 / IDEAL_OHMS, 0];
    default:
      return [0, 0];
  }
};

/** What a volt of a source drives into its own node, amperes; an electret’s rating counts its rated load (engine/circuit/excite). */
function currentOf(element: CircuitElement, part: Part): number {
  if (element.kind === 'electret') return 1 / element.ratedLoad + 1 / element.acResistance;
  return reactive(element, 0, part)[0];
}

const nets = new WeakMap<Part, Map<number, PartNet>>();

/** The network of a part at a frequency; worked out once. */
export function partNet(part: Part, hertz: number = REFERENCE_FREQUENCY): PartNet {
  const byHertz = nets.get(part) ?? new Map<number, PartNet>();
  nets.set(part, byHertz);
  const known = byHertz.get(hertz) ?? makeNet(part, hertz);
  byHertz.set(hertz, known);
  return known;
}

function makeNet(part: Part, hertz: number): PartNet {
  const root = joined(part);
  const numbers = new Map<string, number>();
  const number = (name: string): number => {
    const key = root(name);
    const found = numbers.get(key) ?? numbers.size;
    numbers.set(key, found);
    return found;
  };
  for (const e of part.circuit)
    for (const name of e.kind === 'transformer' ? [e.a, e.b, e.c, e.d] : [e.a, e.b]) number(name);
  const admittances = (omega: number): Admittance[] =>
    part.circuit.flatMap((e): Admittance[] => {
      if (e.kind === 'wire') return [];
      if (e.kind === 'transformer') {
        const weights: Admittance['weights'] = [
          [number(e.c), 1],
          [number(e.d), -1],
          [number(e.a), -e.ratio],
          [number(e.b), e.ratio],
        ];
        return [{ weights, re: 1 / IDEAL_OHMS, im: 0 }];
      }
      const [re, im] = reactive(e, omega, part);
      return [{ weights: between(number(e.a), number(e.b)), re, im }];
    });
  const into = (e: CircuitElement, factor: number): Column['into'] => [
    [number(e.a), factor],
    [number(e.b), -factor],
  ];
  const sounds = part.circuit.flatMap((e): Column[] =>
    e.kind === 'drive' || e.kind === 'signal' || e.kind === 'electret'
      ? [{ id: e.id, into: into(e, currentOf(e, part)) }]
      : [],
  );
  const supplies = part.circuit.flatMap((e) =>
    e.kind === 'supply' ? into(e, rangeOf(e.volts, part).most / IDEAL_OHMS) : [],
  );
  const [alternating, direct] = [admittances(2 * Math.PI * hertz), admittances(0)];
  return {
    part,
    nodes: numbers.size,
    nodeOf: (name) => numbers.get(root(name)),
    alternating,
    direct,
    sounds,
    supplies: { id: 'supplies', into: supplies },
  };
}
