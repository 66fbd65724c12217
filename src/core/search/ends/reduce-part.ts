import type { Admittance, Column, PartNet, Watched } from './part-net';
import { NO_ADMITTANCE } from './grid';

type Complex = readonly [re: number, im: number];
type Row = Map<number, [number, number]>;

/**
 * A part seen from some of its contacts alone: admittances between them, what each source drives into them, and what is watched
 * inside as a sum of their voltages and of the sources.
 */
export interface Reduced {
  /** The nodes kept, and for each kept contact the place of its node among them. */
  readonly size: number;
  readonly admittance: readonly (readonly Complex[])[];
  readonly columns: readonly { readonly id: string; readonly into: readonly Complex[] }[];
  readonly forms: readonly {
    readonly id: string;
    readonly of: readonly Complex[];
    readonly sources: readonly Complex[];
  }[];
}

const put = (row: Row, at: number, re: number, im: number): void => {
  const held = row.get(at);
  if (held) {
    held[0] += re;
    held[1] += im;
  } else row.set(at, [re, im]);
};

function stamped(nodes: number, admittances: readonly Admittance[]): Row[] {
  const rows = Array.from({ length: nodes }, (): Row => new Map());
  for (const { weights, re, im } of admittances) {
    if (re === 0 && im === 0) continue;
    for (const [node, f] of weights) {
      const row = rows[node];
      if (row) for (const [other, g] of weights) put(row, other, f * g * re, f * g * im);
    }
  }
  return rows;
}

/** Less of a source than this is nothing: −180 dB. */
const NOTHING = 1e-9;

/** A part's equations, and the forms of what is watched in it. Columns of sources come after the nodes. */
interface Equations {
  readonly rows: readonly Row[];
  readonly forms: readonly Row[];
  /** Nodes that are not eliminated yet. */
  readonly left: ReadonlySet<number>;
}

const copied = (row: Row): Row => new Map([...row].map(([at, [re, im]]) => [at, [re, im]]));

/** Eliminates nodes, the one with the fewest neighbours first; what floats is left out. */
function eliminated(before: Equations, nodes: number, gone: ReadonlySet<number>): Equations {
  const rows = before.rows.map((row, node) => (before.left.has(node) ? copied(row) : row));
  const forms = before.forms.map(copied);
  const holders = new Map<number, Set<Row>>();
  const hold = (node: number, row: Row) => {
    const held = holders.get(node);
    if (held) held.add(row);
    else holders.set(node, new Set([row]));
  };
  for (const node of before.left)
    for (const at of rows[node]?.keys() ?? []) if (at < nodes) hold(at, rows[node] ?? new Map());
  for (const form of forms) for (const at of form.keys()) if (at < nodes) hold(at, form);
  const left = new Set(before.left);
  const waiting = new Set([...gone].filter((node) => left.has(node)));
  while (waiting.size > 0) {
    let [next, fewest] = [-1, Infinity];
    for (const node of waiting) {
      const size = rows[node]?.size ?? 0;
      if (size < fewest) [next, fewest] = [node, size];
    }
    waiting.delete(next);
    left.delete(next);
    const pivotRow = rows[next];
    const pivot = pivotRow?.get(next);
    if (!pivotRow || !pivot) continue;
    const size = pivot[0] ** 2 + pivot[1] ** 2;
    if (!(Math.sqrt(size) > NO_ADMITTANCE)) continue;
    for (const row of holders.get(next) ?? []) {
      const held = row === pivotRow ? undefined : row.get(next);
      if (!held) continue;
      const fr = (held[0] * pivot[0] + held[1] * pivot[1]) / size;
      const fi = (held[1] * pivot[0] - held[0] * pivot[1]) / size;
      for (const [at, [br, bi]] of pivotRow) {
        if (at === next) continue;
        put(row, at, -(fr * br - fi * bi), -(fr * bi + fi * br));
        if (at < nodes) hold(at, row);
      }
      row.delete(next);
    }
  }
  return { rows, forms, left };
}

/** The equations of a part with everything but the contacts of its ports eliminated: what every reduction of it begins with. */
export function outerEquations(
  net: PartNet,
  which: 'alternating' | 'direct',
  contacts: ReadonlySet<number>,
  columns: readonly Column[],
  watched: readonly Watched[],
): Equations {
  const rows = stamped(net.nodes, net[which]);
  for (const [index, { into }] of columns.entries())
    for (const [node, amperes] of into) {
      const row = rows[node];
      if (row) put(row, net.nodes + index, amperes, 0);
    }
  const forms = watched.map(({ plus, minus }): Row => {
    const row: Row = new Map();
    put(row, plus, 1, 0);
    put(row, minus, -1, 0);
    return row;
  });
  const all = new Set(rows.keys());
  const inner = new Set([...all].filter((node) => !contacts.has(node)));
  return eliminated({ rows, forms, left: all }, net.nodes, inner);
}

/** The part as seen from some of its contacts, everything else open. */
export function reducePart(
  net: PartNet,
  outer: Equations,
  kept: readonly number[],
  columns: readonly Column[],
  watched: readonly Watched[],
): Reduced {
  const keep = new Set(kept);
  const { rows, forms } = eliminated(
    outer,
    net.nodes,
    new Set([...outer.left].filter((node) => !keep.has(node))),
  );
  const column = (index: number) => net.nodes + index;
  const places = [...keep];
  const read = (row: Row | undefined, at: number): Complex => row?.get(at) ?? [0, 0];
  const turned = ([re, im]: Complex): Complex => [-re, -im];
  return {
    size: places.length,
    admittance: places.map((node) => places.map((other) => read(rows[node], other))),
    columns: columns.map(({ id }, index) => ({
      id,
      into: places.map((node) => read(rows[node], column(index))),
    })),
    forms: watched.map(({ id }, index) => ({
      id,
      of: places.map((node) => read(forms[index], node)),
      sources: columns.map((_, c) => turned(read(forms[index], column(c)))),
    })),
  };
}

export const isNothing = ([re, im]: Complex): boolean => re * re + im * im < NOTHING * NOTHING;
