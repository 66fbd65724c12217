import { contactOf, type NodeKey, type Step } from '../engine/circuit';
import { selectInput, type HostInput } from '../engine/flow';
import type { Facts } from '../engine';
import { SOUND_PASSES_OHMS, jointBefore, outward, soundContacts, soundWires } from '../engine/outward';
import { failing } from './failing';
import { check, type Found } from './check';
import type { Place } from './finding';
import { COMPUTED } from './origins';

/** The contacts from which an input takes sound: of a headset jack the microphone's alone. */
function inputContacts(facts: Facts, input: HostInput): NodeKey[] {
  const laid = facts.laid.get(input.placed);
  if (!laid) return [];
  const { detection, channels, port } = input.capture;
  if (detection) return [`${input.placed}/${detection.microphone}`];
  const sockets = [...new Set(channels.map((channel) => channel.socket ?? port))];
  return laid.part.ports.filter((p) => sockets.includes(p.id)).flatMap((p) => soundContacts(laid, p));
}

/** Nodes at which sound comes in: of sources, and of stages that bring it from elsewhere. */
const sourceNodes = (facts: Facts): Set<NodeKey> =>
  new Set(
    facts.elements.flatMap((e) =>
      e.kind === 'signal' || e.kind === 'electret' || e.kind === 'drive' ? [e.a, e.b] : [],
    ),
  );

/** The joint at which the line from a contact ends on a contact with nothing behind it; undefined if it does not. */
function deadEnd(facts: Facts, sources: ReadonlySet<NodeKey>, contact: NodeKey): Place | undefined {
  const found = outward(soundWires(facts), contact, SOUND_PASSES_OHMS);
  if ([...found.keys()].some((node) => sources.has(node))) return undefined;
  const last = [...found.keys()].at(-1);
  const touch: Step | undefined = last === undefined ? undefined : jointBefore(found, last);
  if (!touch?.joint) return undefined;
  const link = facts.netlist.touches.find(
    (t) => t.joint === touch.joint && (t.plug === touch.to || t.jack === touch.to),
  );
  return link && { joint: touch.joint, plug: [contactOf(link.plug)], jack: [contactOf(link.jack)] };
}

/** An input that is taken but whose every sound contact leads to nothing. */
export const micContactOpen = check({
  code: 'mic-contact-open',
  means:
    'The input is taken, but its microphone contact meets a contact with nothing behind it: listed, flat meter.',
  severity: ['blocks'],
  origin: COMPUTED,
  limit: 'Computed from what touches what.',
  cures: ['plug', 'link'],
  find: (facts) => {
    const sources = sourceNodes(facts);
    return failing(facts).flatMap(({ arrival, inputs }): Found[] => {
      const host = facts.laid.get(arrival.recorder);
      const input = host && selectInput(host, inputs);
      if (!input) return [];
      const ends = inputContacts(facts, input).map((contact) => deadEnd(facts, sources, contact));
      const [first] = ends;
      if (!first || ends.some((end) => end === undefined)) return [];
      const resistance = input.sensed?.resistance;
      return [
        {
          where: first,
          source: arrival.source,
          recorder: arrival.recorder,
          values:
            resistance === undefined
              ? []
              : [{ name: 'resistance to ground', value: resistance, unit: 'ohm' }],
        },
      ];
    });
  },
});
