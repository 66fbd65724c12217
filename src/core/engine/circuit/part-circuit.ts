import type { CircuitElement, Part, Quantity } from '../../parts';
import { settingOf, type LaidPart } from '../../rig';
import { figureOf } from './figure';
import { Memo } from './memo';
import { elementsOf, type NetElement, type Powered } from './netlist';

/** The elements of one laid part. `key`: equal keys, equal elements. */
export interface PartCircuit {
  readonly key: string;
  readonly elements: readonly NetElement[];
}

const serials = new WeakMap<Part, number>();
const known = new Memo<number>(2000);
let next = 0;

/** A number for what a part is; equal parts that came by different ways have the same. */
function serialOf(part: Part): number {
  const found = serials.get(part);
  if (found !== undefined) return found;
  const serial = known.get(JSON.stringify(part), () => (next += 1));
  serials.set(part, serial);
  return serial;
}

const QUANTITIES = ['ohms', 'farads', 'henries', 'volts', 'sensitivity', 'noise', 'clip'] as const;

const varying = new WeakMap<Part, readonly Quantity[]>();

/** The figures of a part's circuit that settings, knobs or its length change. */
function varyingIn(part: Part): readonly Quantity[] {
  const found = varying.get(part);
  if (found) return found;
  const list = part.circuit.flatMap((element: CircuitElement) =>
    QUANTITIES.flatMap((name) => {
      const quantity = (element as unknown as Readonly<Record<string, Quantity | undefined>>)[name];
      return typeof quantity === 'object' ? [quantity] : [];
    }),
  );
  varying.set(part, list);
  return list;
}

const mutes = new WeakMap<Part, readonly string[]>();

/** The settings that may silence a part's sources. */
function mutesIn(part: Part): readonly string[] {
  const found = mutes.get(part);
  if (found) return found;
  const list = part.circuit.flatMap((e) =>
    e.kind === 'signal' ? (e.mutedBy ?? []).map(({ setting }) => setting) : [],
  );
  mutes.set(part, list);
  return list;
}

const circuits = new Memo<PartCircuit>(1000);

/** The elements of a laid part as it stands and is fed; kept by what they hang on, so that a knob of a stage changes none. */
export function partCircuit(laid: LaidPart, powered: Powered): PartCircuit {
  const { placed, part } = laid;
  const fed = part.ports.map(({ id }) => (powered.isFed(placed.id, id) ? 1 : 0)).join('');
  const figures = varyingIn(part).map((quantity) => figureOf(quantity, laid));
  const muting = mutesIn(part).map((setting) => settingOf(laid, setting));
  const key = `${placed.id} ${serialOf(part)} ${powered.isLive(placed.id) ? 1 : 0}${fed} ${figures.join()} ${muting.join()}`;
  return circuits.get(key, () => ({ key, elements: elementsOf(laid, powered) }));
}
