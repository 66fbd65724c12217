import { readdirSync, readFileSync } from 'node:fs';
import { describe, expect, it } from 'vitest';
import { layRig, type RigSketch } from '../../../../testing/lay-rig';
import { readRig } from '../../files/read-rig';
import type { Part } from '../../parts';
import { findPart } from '../../parts';
import type { Rig } from '../../rig';
import { powerSumDb } from '../../units';
import { allFacts } from '..';
import { chainResponse, FREQUENCIES, noiseBudget, staircases } from '.';

const RIGS: readonly (readonly [string, Rig])[] = ['demo/rigs', 'demo/usual'].flatMap((folder) =>
  readdirSync(folder).map((file) => {
    const read = readRig(readFileSync(`${folder}/${file}`, 'utf8'));
    if (!read.ok) throw new Error(file);
    return [file, read.rig] as const;
  }),
);

describe.each(RIGS)('%s', (_, rig) => {
  const [facts] = allFacts(rig);

  it('what brings the noise adds up to the noise of the channel that the engine gives', () => {
    for (const staircase of staircases(facts)) {
      const { input } = staircase;
      const items = noiseBudget(facts, staircase);
      const sum = 10 * Math.log10(items.reduce((all, { power }) => all + power, 0)) - staircase.fullScale;
      const channel = input.channels.find(({ number }) => number === staircase.chain.number)!;
      expect(sum).toBeCloseTo(channel.noise, 2);
      expect(staircase.steps.at(-1)!.noise - staircase.fullScale).toBeCloseTo(channel.noise, 2);
    }
  });

  it('no figure of a stage is not a number, and noise stays under the peaks where something arrives', () => {
    for (const { steps, source, recorder } of staircases(facts)) {
      for (const step of steps)
        for (const figure of [step.level, step.peak, step.noise, step.clipLevel ?? 0])
          expect(figure).not.toBeNaN();
      const arrival = facts.arrivals.find((one) => one.source === source && one.recorder === recorder);
      const last = steps.at(-1)!;
      if (arrival?.state === 'recorded') expect(last.noise).toBeLessThan(last.peak);
    }
  });
});

describe('noise of a resistance', () => {
  // √(4kTRB): 150 Ω, 20 kHz, 290 K = 0.219 µV = −130.96 dBu, 200 Ω −129.72 dBu (IEC 60268-1 and handbooks; from memory).
  it.each([
    [150, -130.96],
    [200, -129.72],
  ])('a source of %i Ω hisses at %f dBu ahead of a stage that does not', (ohms, dbu) => {
    const quiet = (part: Part): Part => ({
      ...part,
      id: 'quiet-source',
      circuit: part.circuit.map((e) =>
        e.kind === 'resistor' ? { ...e, ohms } : e.kind === 'signal' ? { ...e, noise: -Infinity } : e,
      ) as Part['circuit'],
    });
    const source = findPart('dynamic-xlr')!;
    const resistors = source.circuit.filter((e) => e.kind === 'resistor');
    // A microphone here is one resistance between its legs: if it becomes two, this example is no longer what it says.
    expect(resistors).toHaveLength(1);
    const rig: Rig = {
      ...layRig(INTERFACE),
      ownParts: [quiet(source)],
      parts: layRig(INTERFACE).parts.map((one) =>
        one.id === 'mic' ? { ...one, part: 'quiet-source' } : one,
      ),
    };
    const [facts] = allFacts(rig);
    const [staircase] = staircases(facts);
    const heat = noiseBudget(facts, staircase!).filter(
      ({ is, sense }) => is === 'heat' && sense !== undefined && sense.startsWith('interface'),
    );
    const gain = staircase!.steps.find(({ is }) => is === 'converter')!.level - staircase!.steps[1]!.level;
    const band = 10 * Math.log10((20_000 - 20) / 20_000);
    const atInput = powerSumDb(heat.map(({ power }) => 10 * Math.log10(power))) - gain + 2.218;
    // The input's own resistance loads it and hisses less than the source: within a decibel of the source alone.
    expect(Math.abs(atInput - band - dbu)).toBeLessThan(1);
  });
});

const INTERFACE: RigSketch = {
  parts: { mic: 'dynamic-xlr', xlr: 'lead-xlr', interface: 'interface-small', phone: 'phone-usb-c' },
  joints: ['mic.out xlr.holes', 'xlr.pins interface.mic-1', 'interface.usb phone.port'],
};

describe('response', () => {
  it('runs from 20 Hz to 20 kHz, six points an octave', () => {
    expect(FREQUENCIES[0]).toBe(20);
    expect(FREQUENCIES.at(-1)).toBe(20_000);
    expect(FREQUENCIES[6]! / FREQUENCIES[0]!).toBeCloseTo(2, 9);
  });

  it('a series capacitor ahead of a load has its corner by 1/(2πRC)', () => {
    const line = findPart('lead-line-headset-pad')!;
    const farads = 1e-8;
    const blocking: Part = {
      ...line,
      id: 'thin-lead',
      circuit: line.circuit.map((e) => (e.kind === 'capacitor' ? { ...e, farads } : e)) as Part['circuit'],
    };
    const sketch: RigSketch = {
      parts: { player: 'keyboard', lead: 'lead-line-headset-pad', phone: 'phone-ctia' },
      joints: ['player.left lead.big', 'lead.trrs phone.jack'],
    };
    const laid = layRig(sketch);
    const rig: Rig = {
      ...laid,
      ownParts: [blocking],
      parts: laid.parts.map((one) => (one.id === 'lead' ? { ...one, part: 'thin-lead' } : one)),
    };
    const [facts] = allFacts(rig);
    const [staircase] = staircases(facts);
    const found = chainResponse(facts, staircase!)!;
    // What the capacitor sees: 1 kΩ of the keyboard, 100 kΩ of the pad, and the foot of the pad beside the phone's bias, under 1.1 kΩ.
    // Half the power of 1 kHz, where it has lost a tenth of a decibel itself: 1 + (fc/f)² = 2·(1 + (fc/1 kHz)²).
    const edge = (ohms: number) => {
      const corner = 1 / (2 * Math.PI * ohms * farads);
      return corner / Math.sqrt(1 + 2 * (corner / 1000) ** 2);
    };
    expect(found.from).toBeGreaterThan(edge(102_200));
    expect(found.from).toBeLessThan(edge(101_000));
  });
});
