import { describe, expect, it } from 'vitest';
import { dbV, dbVPerPa, dbVToDbU, gainToDb, hertz, ohms, volts } from '../../units';
import {
  Network,
  bridgeOn,
  leastResistance,
  magnitude,
  noiseSolver,
  solveAlternating,
  wiring,
  type NetElement,
  type NetPath,
  type TouchLink,
} from '.';

const at = (a: string, b: string) => ({ placed: 'p', a: `p/${a}`, b: `p/${b}` });
const resistor = (a: string, b: string, value: number): NetElement => ({
  ...at(a, b),
  kind: 'resistor',
  ohms: value,
  conductor: false,
});
const capacitor = (a: string, b: string, value: number): NetElement => ({
  ...at(a, b),
  kind: 'capacitor',
  farads: value,
});
const supply = (a: string, b: string, value: number): NetElement => ({
  ...at(a, b),
  kind: 'supply',
  volts: value,
});
const signal = (a: string, b: string): NetElement => ({
  ...at(a, b),
  kind: 'signal',
  id: 'p/s',
  hears: 'voice',
  sensitivity: 0,
  noise: -Infinity,
});

function circuit(elements: NetElement[], touches: TouchLink[] = []) {
  const network = new Network(elements, touches);
  const net = (node: string) => network.nets.of(`p/${node}`);
  return {
    volts: (plus: string, minus: string) => network.direct.between(net(plus), net(minus)),
    gainDb: (plus: string, minus: string, frequency = 1000) => {
      const gain = solveAlternating(network, [], hertz(frequency), () => true).gain(
        'p/s',
        net(plus),
        net(minus),
      );
      return gain && gainToDb(magnitude(gain));
    },
  };
}

describe('alternating current', () => {
  it.each([
    [150, 1500, -0.83],
    [600, 600, -6.02],
    [100, 10_000, -0.09],
  ])('%s Ω into %s Ω loses %s dB: 20·log10(Zl/(Zs+Zl)) (handbook table)', (source, load, loss) => {
    const { gainDb } = circuit([signal('e', 'g'), resistor('e', 'o', source), resistor('o', 'g', load)]);
    expect(gainDb('o', 'g')).toBeCloseTo(loss, 2);
  });

  it('a lead of 100 pF/m, 100 m, behind 10 kΩ has its −3.01 dB corner at 1/(2πRC)', () => {
    const farads = 100 * 100e-12;
    const corner = 1 / (2 * Math.PI * 10_000 * farads);
    const { gainDb } = circuit([signal('e', 'g'), resistor('e', 'o', 10_000), capacitor('o', 'g', farads)]);
    expect(gainDb('o', 'g', corner)).toBeCloseTo(-3.0103, 3);
    expect(gainDb('o', 'g', corner * 10)).toBeCloseTo(-20.0432, 3);
  });

  it('an electret gives its rated output across its rated load', () => {
    const capsule: NetElement = {
      ...at('d', 'g'),
      kind: 'electret',
      id: 'p/s',
      capsule: {
        kind: 'electret',
        id: 's',
        a: 'd',
        b: 'g',
        sensitivity: dbVPerPa(-42),
        noise: dbV(-108),
        ratedLoad: ohms(2200),
        dcResistance: ohms(1600),
        acResistance: ohms(20_000),
        minimumBias: volts(0.7),
      },
    };
    expect(circuit([capsule, resistor('d', 'g', 2200)]).gainDb('d', 'g')).toBeCloseTo(0, 6);
    // Half the load, beside the capsule's own 20 kΩ: 20·log10((1/2200 + 1/20000) / (1/1100 + 1/20000)).
    expect(circuit([capsule, resistor('d', 'g', 1100)]).gainDb('d', 'g')).toBeCloseTo(-5.58, 2);
  });

  it('says nothing of nets that no element joins to the source', () => {
    expect(circuit([signal('e', 'g'), resistor('x', 'y', 100)]).gainDb('x', 'y')).toBeUndefined();
  });
});

describe('direct current', () => {
  it('bias of 2.2 V through 2.2 kΩ into 1.6 kΩ leaves 0.926 V (Ohm’s law)', () => {
    const { volts: between } = circuit([
      supply('b', 'g', 2.2),
      resistor('b', 'm', 2200),
      resistor('m', 'g', 1600),
    ]);
    expect(between('m', 'g')).toBeCloseTo((2.2 * 1600) / 3800, 9);
  });

  it('48 V through 6.81 kΩ, shorted, draws 7.05 mA a leg (IEC 61938)', () => {
    const { volts: between } = circuit([
      supply('p48', 'g', 48),
      resistor('p48', 'hot', 6810),
      resistor('hot', 'g', 0.001),
    ]);
    expect((between('p48', 'hot') ?? 0) / 6810).toBeCloseTo(0.00705, 5);
  });

  it('a capacitor blocks: nothing can be said across it', () => {
    const { volts: between } = circuit([
      supply('b', 'g', 5),
      capacitor('b', 'o', 1e-6),
      resistor('o', 'x', 100),
    ]);
    expect(between('o', 'g')).toBeUndefined();
    expect(between('o', 'x')).toBe(0);
  });

  it('two ideal supplies against one another are no crash', () => {
    const { volts: between } = circuit([supply('b', 'g', 5), supply('b', 'g', 3)]);
    expect(between('b', 'g')).toBeCloseTo(4, 3);
  });
});

describe('noise, 20 Hz–20 kHz', () => {
  const noiseOf = (elements: NetElement[], paths: NetPath[], from: string, to: string) => {
    const network = new Network(elements, []);
    const port = [network.nets.of(`p/${from}`), network.nets.of(`p/${to}`)] as const;
    return noiseSolver(network, paths, [port])(...port);
  };
  it.each([
    [150, -130.96],
    [200, -129.72],
  ])('%s Ω at 290 K: %s dBu, √(4kTRB) (handbook figure)', (value, dbu) => {
    // The handbook takes 20 kHz of bandwidth, we 19,980 Hz: 0.004 dB.
    expect(dbVToDbU(noiseOf([resistor('a', 'g', value)], [], 'a', 'g'))).toBeCloseTo(dbu, 1);
  });
  it('a capacitor across a resistor bounds its noise to kT/C (Nyquist): 1 nF and 1 MΩ, 2.0 µV', () => {
    const level = noiseOf([resistor('a', 'g', 1e6), capacitor('a', 'g', 1e-9)], [], 'a', 'g');
    // The part of kT/C above 20 Hz: 1 − (2/π)·atan(20/159.2).
    const expected = Math.sqrt(((1.380649e-23 * 290) / 1e-9) * (1 - (2 / Math.PI) * Math.atan(20 / 159.155)));
    expect(10 ** (level / 20)).toBeCloseTo(expected, 7);
  });
  it('an amplifier passes its equivalent input noise on with its gain', () => {
    const stage: NetElement[] = [
      { ...at('i', 'g'), kind: 'sense', id: 'p/in', ohms: 1e-3, noise: -130 },
      { ...at('o', 'h'), kind: 'drive', id: 'p/out', ohms: 1e-3, clip: 20 },
      resistor('o', 'h', 1e4),
    ];
    expect(noiseOf(stage, [{ from: 'p/in', to: 'p/out', gain: 1000 }], 'o', 'h')).toBeCloseTo(-70, 2);
  });
});

describe('the way of least resistance', () => {
  const elements = [resistor('m', 'a', 50), resistor('a', 'g', 20), resistor('m', 'g', 1000)];
  it('takes the lower sum', () => {
    const way = leastResistance(wiring({ elements, touches: [] }), 'p/m', 'p/g');
    expect(way?.map((step) => step.ohms)).toEqual([50, 20]);
  });
  it('finds the contact that joins two springs', () => {
    const touches = [
      { joint: 'j', plug: 'l/b.S', jack: 'p/m' },
      { joint: 'j', plug: 'l/b.S', jack: 'p/g' },
    ];
    const way = leastResistance(wiring({ elements, touches }), 'p/m', 'p/g') ?? [];
    expect(bridgeOn(way)).toMatchObject({ joint: 'j', plug: 'S' });
  });
  it('is undefined where nothing conducts', () => {
    expect(leastResistance(wiring({ elements, touches: [] }), 'p/m', 'p/elsewhere')).toBeUndefined();
  });
});
