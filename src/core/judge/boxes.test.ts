import { describe, expect, it } from 'vitest';
import { analyse } from '.';
import { layRig, type RigSketch } from '../../../testing/lay-rig';
import { applyEdit, freeSocketsFor } from '../rig';

/** A source through something into the XLR of a one-input interface: levels in dBV at that input. */
function atInterface(
  between: Record<string, string>,
  joints: string[],
  more: Partial<RigSketch> = {},
): number {
  const analysis = analyse(
    layRig({
      parts: { mic: 'dynamic-xlr', ...between, interface: 'interface-one-input', phone: 'phone-usb-c' },
      joints: [...joints, 'interface.usb phone.port'],
      settings: { interface: { gain: 0, ...more.settings?.['interface'] } },
      ...(more.source !== undefined && { source: more.source }),
    }),
  );
  const input = analysis.inputs[0];
  return input?.channels[0]?.signals[0]?.rms ?? NaN;
}

const parallel = (...ohms: number[]) => 1 / ohms.reduce((sum, r) => sum + 1 / r, 0);
const db = (ratio: number) => 20 * Math.log10(ratio);
/** The interface's input: 3 kΩ, beside two times 6.81 kΩ of phantom feed and 1 MΩ a leg. By hand. */
const LOAD = parallel(3000, 13_620, 2e6);
/** What a box takes its phantom through lies across the legs: two times 6.8 kΩ. */
const PHANTOM_TAP = 13_600;
const straight = atInterface({}, ['mic.out interface.mic']);

describe('boxes between a microphone and its preamplifier, by hand', () => {
  it.each([
    ['pad-xlr-20', 150],
    ['pad-xlr-40', 15],
  ])('%s: a divider of two times 680 Ω and %s Ω', (pad, shunt) => {
    const padded = atInterface({ pad }, ['mic.out pad.holes', 'pad.pins interface.mic']);
    const loaded = parallel(shunt, LOAD);
    // The straight microphone loses by its 150 Ω into the load alone.
    const expected = db(loaded / (loaded + 1360 + 150)) - db(LOAD / (LOAD + 150));
    expect(padded - straight).toBeCloseTo(expected, 1);
  });

  it('an XLR lead of 3 m takes nothing worth a word at 1 kHz', () => {
    const led = atInterface({ lead: 'lead-xlr' }, ['mic.out lead.holes', 'lead.pins interface.mic']);
    expect(Math.abs(led - straight)).toBeLessThan(0.01);
  });

  it('an inline booster gives its 25 dB into a light load, when phantom is there', () => {
    const joints = ['mic.out booster.in', 'booster.out interface.mic'];
    const on = atInterface({ booster: 'booster-inline' }, joints, {
      settings: { interface: { phantom: 'on' } },
    });
    // Its input of 3 kΩ loads the microphone; two outputs of 75 Ω feed the interface and the tap.
    const [before, after] = [3000, parallel(LOAD, PHANTOM_TAP)];
    const boosted = db(before / (before + 150)) + 25 + db(after / (after + 150));
    expect(on - straight).toBeCloseTo(boosted - db(LOAD / (LOAD + 150)), 1);
    const off = atInterface({ booster: 'booster-inline' }, joints);
    expect(Number.isNaN(off)).toBe(true);
  });
});

describe('DI boxes', () => {
  const level = (id: string, phantom: string) =>
    atInterface(
      { keys: 'keyboard', lead: 'lead-jack-ts', box: id },
      ['keys.left lead.a', 'lead.b box.in', 'box.out interface.mic'],
      { source: 'keys', settings: { interface: { phantom } } },
    );

  it('the passive one steps down 12 to 1: 21.6 dB, and its winding loads 144 times the preamplifier', () => {
    // −12 dBV behind 1 kΩ and 60 Ω of winding; the load seen through the transformer, LOAD and 60 Ω times 144.
    const seen = 144 * (LOAD + 60);
    const expected = -12 + db(seen / (seen + 1060)) - db(12) + db(LOAD / (LOAD + 60));
    expect(level('di-passive', 'off')).toBeCloseTo(expected, 1);
  });
  it('phantom makes no difference to it', () => {
    expect(level('di-passive', 'on')).toBeCloseTo(level('di-passive', 'off'), 3);
  });
  it('the active one is 12 dB down with phantom, and silent without', () => {
    const out = parallel(LOAD, PHANTOM_TAP);
    expect(level('di-active', 'on')).toBeCloseTo(-12 - 12 + db(out / (out + 300)), 1);
    expect(Number.isNaN(level('di-active', 'off'))).toBe(true);
  });
});

describe('line boxes', () => {
  const toCamera = (box: string | undefined): number => {
    const analysis = analyse(
      layRig({
        parts: { player: 'player-portable', lead: 'lead-trs-trs', ...(box && { box }), camera: 'camera-trs' },
        joints: [
          'lead.a player.out',
          ...(box ? ['lead.b box.in', 'box.out camera.mic'] : ['lead.b camera.mic']),
        ],
      }),
    );
    return analysis.inputs[0]?.channels[0]?.signals[0]?.rms ?? NaN;
  };
  it('the 3.5 mm pad takes 40 dB: 10 kΩ into 100 Ω', () => {
    const shunt = parallel(100, 2200, 10_000);
    expect(toCamera('pad-jack-40') - toCamera(undefined)).toBeCloseTo(db(shunt / (shunt + 10_000)), 1);
  });
  it('the isolator takes no more than its windings: 60 Ω each', () => {
    const load = parallel(2200, 10_000);
    expect(toCamera('isolator-trs') - toCamera(undefined)).toBeCloseTo(db(load / (load + 120)), 1);
  });
});

describe('an impedance-matching transformer, 1 to 10', () => {
  it('gives a high-impedance input 20 dB more', () => {
    const rms = (parts: Record<string, string>, joints: string[]): number =>
      analyse(
        layRig({
          parts: {
            mic: 'dynamic-xlr',
            ...parts,
            interface: 'interface-two-inputs',
            usb: 'lead-usb-c-c',
            phone: 'phone-usb-c',
          },
          joints: [...joints, 'usb.a interface.usb', 'usb.b phone.port'],
          settings: { interface: { 'kind-1': 'instrument', 'gain-1': 0 } },
        }),
      ).chains[0]?.stages.find((stage) => stage.is === 'input')?.level ?? NaN;
    const plain = rms({ adapter: 'adapter-xlr-jack' }, [
      'mic.out adapter.holes',
      'adapter.big interface.line-1',
    ]);
    const stepped = rms({ box: 'transformer-xlr-jack' }, ['mic.out box.holes', 'box.big interface.line-1']);
    // 150 Ω and 60 Ω stepped up a hundredfold, and 60 Ω, into 1 MΩ beside the input's own legs.
    const high = parallel(1e6, 1e6);
    expect(stepped - plain).toBeCloseTo(20 + db(high / (high + 100 * 210 + 60)) - db(high / (high + 150)), 1);
  });
});

describe('a combo socket takes one plug at a time', () => {
  const filled = (second: string) => {
    const parts = {
      mic: 'dynamic-xlr',
      lead: 'lead-xlr',
      guitar: 'guitar',
      jack: 'lead-jack-ts',
      interface: 'interface-two-inputs',
      usb: 'lead-usb-c-c',
      phone: 'phone-usb-c',
    };
    const joints = ['mic.out lead.holes', 'lead.pins interface.mic-1', 'guitar.out jack.a'];
    const rest = [`jack.b interface.${second}`, 'usb.a interface.usb', 'usb.b phone.port'];
    return layRig({
      parts,
      joints: [...joints, ...rest],
      others: ['guitar'],
      apps: { phone: 'recorder-app' },
      settings: { interface: { 'kind-1': 'instrument', 'kind-2': 'instrument', 'gain-2': 10, 'gain-1': 50 } },
    });
  };
  it('a second plug in its other half does not go in, and is named', () => {
    const { findings, arrives } = analyse(filled('line-1'));
    expect(findings[0]).toMatchObject({ code: 'does-not-fit', where: { joint: 'j4' } });
    expect(arrives.map(({ source, state }) => [source, state])).toEqual([
      ['mic', 'recorded'],
      ['guitar', 'listed-silent'],
    ]);
  });
  it('in the socket beside it there is room', () => {
    const found = analyse(filled('line-2'));
    expect(found.findings.filter(({ severity }) => severity !== 'note')).toEqual([]);
  });
  it('no edit joins a plug to the other half, or moves one there', () => {
    const rig = filled('line-2');
    const to = { part: 'interface', port: 'line-1' };
    const from = { part: 'interface', port: 'line-2' };
    expect(applyEdit(rig, { kind: 'move', joint: 'j4', from, to })).toBe(rig);
    expect(freeSocketsFor(rig, 'j4')).not.toContainEqual(to);
    const loose = applyEdit(rig, { kind: 'remove', part: 'lead' });
    expect(freeSocketsFor(loose, 'j4')).toContainEqual(to);
  });
});
