import { contactOf, type NodeKey, type Step } from '../engine/circuit';
import { socketsOf } from '../engine/flow';
import type { Facts } from '../engine/facts';
import { jointBefore, outward, placedOf, soundContacts } from '../engine/outward';
import { failing } from './failing';
import type { Finding } from './finding';
import { COMPUTED } from './origins';

/** An output stage is met when no more than this lies between: no input of the trade is so low. Typical. */
const OUTPUT_WITHIN_OHMS = 1000;

/** The nearest contact of another part's output that a source's contact runs into, with the step to it. */
function drivenContact(facts: Facts, contact: NodeKey): Step | undefined {
  const found = outward(facts.wires, contact, OUTPUT_WITHIN_OHMS);
  const driver = facts.elements.find((e) => e.kind === 'signal' && found.has(e.a));
  return driver && jointBefore(found, driver.a);
}

/** A jack behind which no converter listens. */
function isInput(facts: Facts, node: NodeKey): boolean {
  const placed = placedOf(node);
  const port = node.slice(placed.length + 1, node.lastIndexOf('.'));
  return facts.inputs.some((input) => input.placed === placed && socketsOf(input.capture).includes(port));
}

/** A source's output that feeds nothing but another output. */
export function outputIntoOutput(facts: Facts): Finding[] {
  return failing(facts).flatMap(({ arrival }): Finding[] => {
    const laid = facts.laid.get(arrival.source);
    if (!laid) return [];
    const step = laid.part.ports
      .flatMap((port) => soundContacts(laid, port))
      .map((contact) => drivenContact(facts, contact))
      .find((found) => found && !isInput(facts, found.to));
    if (!step?.joint) return [];
    return [
      {
        code: 'output-into-output',
        severity: 'blocks',
        where: { joint: step.joint, jack: [contactOf(step.to)], plug: [contactOf(step.from)] },
        source: arrival.source,
        recorder: arrival.recorder,
        other: placedOf(step.to),
        values: [],
        origin: COMPUTED,
      },
    ];
  });
}
