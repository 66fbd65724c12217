import type { CircuitElement, Part } from './types.generated';

/** An element with its ends in order, as text; `from` and `to` exchange the names of two ports. */
function written(element: CircuitElement, from: string, to: string): string {
  const swap = (node: string): string => {
    const dot = node.indexOf('.');
    const port = node.slice(0, dot);
    if (dot < 0 || (port !== from && port !== to)) return node;
    return `${port === from ? to : from}${node.slice(dot)}`;
  };
  const [a, b] = [swap(element.a), swap(element.b)].sort();
  return JSON.stringify({ ...element, a, b });
}

const circuitText = (part: Part, from: string, to: string): string =>
  part.circuit
    .map((element) => written(element, from, to))
    .sort()
    .join('\n');

/** A lead that may be turned round without any difference: equal plugs, and a circuit that is its own mirror image. */
export function isSymmetrical(part: Part): boolean {
  const [a, b, ...more] = part.ports;
  if (!a || !b || more.length > 0 || a.connector !== b.connector || a.gender !== b.gender) return false;
  return circuitText(part, a.id, b.id) === circuitText(part, a.id, a.id);
}

/** A lead whose two ends could change places, and for which it matters. */
export function isTurnable(part: Part): boolean {
  const [a, b, ...more] = part.ports;
  return part.family === 'lead' && more.length === 0 && a?.gender === b?.gender && !isSymmetrical(part);
}
