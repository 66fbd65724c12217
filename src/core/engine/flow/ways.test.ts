import { describe, expect, it } from 'vitest';
import { random } from '../../../../testing/takes/random';
import type { Part } from '../../parts';
import { findPart } from '../../parts';
import type { Rig } from '../../rig';
import { allFacts } from '../facts';
import { nodeKey } from '../circuit';
import { wayInto } from './chain';

interface Way {
  readonly gain: number;
  readonly delay: number;
}

interface Edge extends Way {
  readonly from: number;
  readonly to: number;
}

const STAGES = 6;

/** Stages that lead onward at random: gains of −30 to 0 dB, delays of 0 to 20 ms. */
function edgesOf(next: () => number): Edge[] {
  const places = Array.from({ length: STAGES }, (_, n) => n);
  return places.flatMap((from) =>
    places
      .filter((to) => to > from && next() < 0.6)
      .map((to) => ({ from, to, gain: -30 * next(), delay: Math.round(20 * next()) })),
  );
}

/** Every simple path from the first stage to the last, walked one by one. */
function everyWay(edges: readonly Edge[], at = 0): Way[] {
  if (at === STAGES - 1) return [{ gain: 0, delay: 0 }];
  return edges
    .filter(({ from }) => from === at)
    .flatMap((edge) =>
      everyWay(edges, edge.to).map(({ gain, delay }) => ({
        gain: gain + edge.gain,
        delay: delay + edge.delay,
      })),
    );
}

const id = (n: number): string => (n === 0 ? 'capsule' : `s${n}`);

/** A USB microphone with these stages between its capsule and its converter. */
function microphone(edges: readonly Edge[]): Part {
  const base = findPart('usb-mic-low') as Part;
  const stages = Array.from({ length: STAGES - 1 }, (_, n) => n + 1);
  return {
    ...base,
    id: 'own-stages',
    circuit: [
      ...base.circuit,
      ...stages.flatMap((n) => [
        { kind: 'drive', id: id(n), a: `n${n}`, b: 'ground', ohms: 1, clip: 40 } as const,
        { kind: 'sense', id: id(n), a: `n${n}`, b: 'ground', ohms: 1e9, noise: -160 } as const,
      ]),
    ] as Part['circuit'],
    paths: edges.map(({ from, to, gain, delay }) => ({ from: id(from), to: id(to), gain: [gain], delay })),
    captures: (base.captures ?? []).map((capture) => ({
      ...capture,
      channels: capture.channels.map((channel) => ({ ...channel, plus: `n${STAGES - 1}` })),
    })),
  };
}

const rigOf = (part: Part): Rig => ({
  format: 'symplex-rig',
  version: 1,
  id: 'ways',
  name: 'Ways',
  parts: [
    { id: 'mic', part: part.id },
    { id: 'lead', part: 'lead-usb-c-c' },
    { id: 'phone', part: 'phone-usb-c' },
  ],
  joints: [
    { id: 'j1', plug: { part: 'lead', port: 'a' }, jack: { part: 'mic', port: 'usb' } },
    { id: 'j2', plug: { part: 'lead', port: 'b' }, jack: { part: 'phone', port: 'port' } },
  ],
  surroundings: { voice: 'normal' },
  purpose: { sources: ['mic'], recorders: ['phone'] },
  ownParts: [part],
});

/** The delay that is told of a source, beside every simple path of the same stages. */
describe('how late a source comes', () => {
  it('is the delay of one of its ways, and of the loudest where that is louder than all others together (300 random graphs, seed 31)', () => {
    const next = random(31);
    let [several, ruled] = [0, 0];
    for (let n = 0; n < 300; n += 1) {
      const edges = edgesOf(next);
      const ways = everyWay(edges);
      if (ways.length === 0) continue;
      const [facts] = allFacts(rigOf(microphone(edges)));
      const [voice] = facts.voices;
      const net = (node: string) => facts.nets.of(nodeKey('mic', node));
      expect(voice).toBeDefined();
      if (!voice) continue;
      const [plus, minus] = [net(`n${STAGES - 1}`), net('ground')];
      const sum = ways.reduce((all, { gain }) => all + 10 ** (gain / 20), 0);
      const brought = facts.alternating.gain(voice.id, plus, minus);
      expect(brought && Math.hypot(brought.re, brought.im)).toBeCloseTo(sum, 3);
      const { delay } = wayInto(facts, voice, plus, minus);
      expect(ways.map((way) => way.delay)).toContain(delay);
      several += ways.length > 1 ? 1 : 0;
      const [loudest] = [...ways].sort((a, b) => b.gain - a.gain);
      const most = 10 ** ((loudest?.gain ?? 0) / 20);
      if (ways.length === 1 || most <= sum - most) continue;
      ruled += 1;
      expect(delay).toBe(loudest?.delay);
    }
    expect(several).toBeGreaterThan(150);
    expect(ruled).toBeGreaterThan(60);
  });
});
