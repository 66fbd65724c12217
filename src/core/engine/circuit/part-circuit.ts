import type { CircuitElement, Part, Quantity } from '../../parts';
import { settingOf, type LaidPart } from '../../rig';
import { figureOf } from './figure';
import { Memo } from './memo';
import { elementsOf, type NetElement, type Powered } from './netlist';

/**
 * The elements of one laid part. `key`: equal keys, equal equations: all is the same but, it may be, how loud the sound sources in it
 * are.
 */
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

const LOUDNESS = ['sensitivity', 'noise'];
const QUANTITIES = ['ohms', 'farads', 'henries', 'volts', 'sensitivity', 'noise', 'clip'];

/** Figures that settings, knobs or the part's length change: those in the equations, and the loudness of its sources. */
interface Varying {
  readonly equations: readonly Quantity[];
  readonly loudness: readonly Quantity[];
}

const varying = new WeakMap<Part, Varying>();

function varyingIn(part: Part): Varying {
  const found = varying.get(part);
  if (found) return found;
  const of = (isLoudness: boolean) =>
    part.circuit.flatMap((element: CircuitElement) =>
      QUANTITIES.filter(
        (name) => (element.kind === 'signal' && LOUDNESS.includes(name)) === isLoudness,
      ).flatMap((name) => {
        const quantity = (element as unknown as Readonly<Record<string, Quantity | undefined>>)[name];
        return typeof quantity === 'object' ? [quantity] : [];
      }),
    );
  const split = { equations: of(false), loudness: of(true) };
  varying.set(part, split);
  return split;
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
  const { equations, loudness } = varyingIn(part);
  const figures = (quantities: readonly Quantity[]) => quantities.map((one) => figureOf(one, laid)).join();
  const muting = mutesIn(part).map((setting) => settingOf(laid, setting));
  const key = `${placed.id} ${serialOf(part)} ${powered.isLive(placed.id) ? 1 : 0}${fed} ${figures(equations)}`;
  return circuits.get(`${key} ${figures(loudness)} ${muting.join()}`, () => ({
    key,
    elements: elementsOf(laid, powered),
  }));
}
