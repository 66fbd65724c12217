import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { CATALOGUE, type Part } from '../../parts';
import { outcomeOf } from '../../judge';
import { laidParts, type Rig } from '../../rig';
import { anyChain } from '../../../../testing/chains';
import { layRig } from '../../../../testing/lay-rig';
import { lightestWay } from '../../../../testing/exhaustive-ways';
import { wayOut } from '.';

const SEED = 20261125;
const CASES = 20;
/** The reference tries every sequence: so long, and of rigs with so few ports, it ends. */
const DEPTH = 2;
const MOST_PORTS = 9;
const HEAVIEST = 24;

/**
 * Known fault: a lead goes out and another goes in between other sockets (USB microphone by a USB-C lead instead of by its converter into the jack,
 * weight 19). The search says that there is none.
 */
const KNOWN = layRig({
  parts: {
    mic: 'usb-mic-big-plain',
    adapter: 'adapter-usb-micro-c',
    converter: 'cable-converter-usb-c',
    laptop: 'laptop-combo',
  },
  joints: ['adapter.micro mic.usb', 'converter.plug adapter.c', 'converter.in laptop.jack'],
});
const KNOWN_LIST = ['lead-usb-c-c', 'lead-trs-trs', 'lead-line-headset-pad', 'coupler-trrs'];

const SMALL = CATALOGUE.filter(({ family }) => ['lead', 'adapter', 'splitter', 'dongle'].includes(family));
const listFor = (index: number) =>
  Array.from({ length: 5 }, (_, n) => SMALL[(index * 7 + n * 13) % SMALL.length]!);

const rigs = fc
  .sample(anyChain, { seed: SEED, numRuns: 400 })
  .filter((rig) => rig.purpose.recorders.length > 0 && outcomeOf(rig).verdict !== 'clean')
  .filter((rig) => laidParts(rig).reduce((sum, { part }) => sum + part.ports.length, 0) <= MOST_PORTS)
  .slice(0, CASES);

describe(`the way out against every sequence of edits (seed ${SEED})`, () => {
  it('has enough cases, with and without a way', () => {
    expect(rigs).toHaveLength(CASES);
  });

  const judged = (list: readonly Part[], rig: Rig) => {
    const out = wayOut(rig, {}, { allowed: (part) => list.some(({ id }) => id === part) });
    // Where it was cut it claims no more than what it ruled out.
    const found = out.way?.weight ?? out.under;
    // A way of more steps than the reference tries may be lighter than any that it finds, never heavier.
    expect(lightestWay(rig, list, DEPTH, Math.min(found, HEAVIEST))).toBeUndefined();
    if (out.way) {
      expect(outcomeOf(out.way.rig).verdict).toBe('clean');
      expect(out.way.steps.reduce<number>((sum, { cost }) => sum + cost.weight, 0)).toBeCloseTo(found, 9);
    }
  };

  for (const [index, rig] of rigs.entries()) {
    const parts = rig.parts.map(({ part }) => part).join(' > ');
    it(`case ${index}, ${parts}: none is lighter`, () => judged(listFor(index), rig), 120_000);
  }

  it.fails('a lead out, and another in between other sockets', () =>
    judged(
      CATALOGUE.filter(({ id }) => KNOWN_LIST.includes(id)),
      KNOWN,
    ),
  );

  it('an adapter in, and the other plug of a lead: each by itself only changes what is wrong', () => {
    const rig = layRig({
      parts: {
        receiver: 'receiver-both',
        adapter: 'adapter-small-jack',
        lead: 'lead-breakout-jacks',
        phone: 'phone-jack-usb-c',
      },
      joints: ['adapter.small receiver.out', 'lead.right adapter.big', 'lead.small phone.jack'],
    });
    const { way } = wayOut(rig, {}, { allowed: (part) => part === 'adapter-trs-trrs' });
    expect(way?.steps.map(({ edit }) => edit.kind).sort()).toEqual(['insert', 'move']);
    expect(way?.verdict).toBe('clean');
  });
});
