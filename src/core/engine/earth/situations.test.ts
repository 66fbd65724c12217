import { describe, expect, it } from 'vitest';
import { layRig, type RigSketch } from '../../../../testing/lay-rig';
import { outcomeOf } from '../../judge';
import type { Rig } from '../../rig';
import { allFacts } from '../facts';
import { earthFacts, worstOf } from './hum';
import { earthLoops } from './loops';

/** What practice expects of each: common practice. The expectations were listed before the code, the rigs laid out after. */
const QUAY: RigSketch = {
  parts: {
    mic: 'dynamic-xlr',
    xlr: 'lead-xlr',
    mixer: 'mixer-monitor-fx',
    run: 'lead-jack-ts',
    coupler: 'coupler-jack',
    pad: 'lead-line-headset-pad',
    dongle: 'dongle-usb-c-charge',
    phone: 'phone-usb-c',
  },
  joints: [
    'mic.out xlr.holes',
    'xlr.pins mixer.mic-1',
    'run.a mixer.main-left',
    'run.b coupler.a',
    'pad.big coupler.b',
    'pad.trrs dongle.jack',
    'dongle.plug phone.port',
  ],
  recorder: 'phone',
  settings: { mixer: { 'gain-1': 56 } },
  distances: { mic: 0.05 },
  apps: { phone: 'live-stream' },
};

const charged = (charger: string, port: string, lead?: string): RigSketch => ({
  ...QUAY,
  parts: { ...QUAY.parts, charger, ...(lead && { lead }) },
  joints: [
    ...QUAY.joints,
    ...(lead ? [`charger.${port} lead.a`, 'lead.b dongle.charge'] : [`charger.${port} dongle.charge`]),
  ],
});

const placed = (rig: Rig, places: Readonly<Record<string, string>>): Rig => ({
  ...rig,
  parts: rig.parts.map((p) => (places[p.id] === undefined ? p : { ...p, mains: places[p.id]! })),
});

/** Music from a computer's headphone socket into a phone, which something charges. */
const music = (charger: string, port: string, lead: string): RigSketch => ({
  parts: {
    computer: 'computer-separate',
    sound: 'lead-trs-trs',
    pad: 'pad-jack-40',
    patch: 'adapter-trs-trrs',
    dongle: 'dongle-usb-c-charge',
    phone: 'phone-usb-c',
    ...(charger === 'computer' ? {} : { charger }),
    lead,
  },
  joints: [
    'sound.a computer.phones',
    'sound.b pad.in',
    'pad.out patch.socket',
    'patch.plug dongle.jack',
    'dongle.plug phone.port',
    `lead.a ${charger === 'computer' ? 'computer' : 'charger'}.${port}`,
    'lead.b dongle.charge',
  ],
  source: 'computer',
  recorder: 'phone',
});

const hears = (rig: Rig): boolean => outcomeOf(rig).findings.some(({ code }) => code === 'hums');
const level = (rig: Rig): number => {
  const [facts] = allFacts(rig);
  return Math.max(-Infinity, ...earthFacts(facts).hums.map((hum) => worstOf(hum, 'typical')));
};

describe('hum and whine as practice knows them', () => {
  it.each<[string, Rig, boolean]>([
    ['mixer on the mains, phone on its battery', layRig(QUAY), false],
    ['phone on a power bank', layRig(charged('power-bank-usb-c', 'out', 'lead-usb-c-c')), false],
    ['phone on a charger of two pins', layRig(charged('charger-usb-c', 'out')), false],
    [
      'phone on an earthed charger in the mixer’s strip',
      placed(layRig(charged('charger-desk-earthed', 'c1', 'lead-usb-c-c')), {
        mixer: 'strip',
        charger: 'strip',
      }),
      true,
    ],
    [
      'the same in another outlet: it may still share the earth',
      placed(layRig(charged('charger-desk-earthed', 'c1', 'lead-usb-c-c')), {
        mixer: 'strip',
        charger: 'wall',
      }),
      true,
    ],
    [
      'phone charged by a computer’s port beside the mixer',
      layRig(charged('computer-port', 'out', 'lead-usb-a-c')),
      true,
    ],
    [
      'a line isolator in the run',
      layRig({
        ...charged('charger-desk-earthed', 'c1', 'lead-usb-c-c'),
        parts: { ...charged('charger-desk-earthed', 'c1', 'lead-usb-c-c').parts, coupler: 'isolator-jack' },
        joints: charged('charger-desk-earthed', 'c1', 'lead-usb-c-c').joints.map((j) =>
          j.replace('coupler.a', 'coupler.in').replace('coupler.b', 'coupler.out'),
        ),
      }),
      false,
    ],
  ])('%s', (_, rig, expected) => {
    expect(outcomeOf(rig).arrives[0]?.state).toBe('recorded');
    expect(hears(rig)).toBe(expected);
  });

  it('the charger in the computer that plays the music: whine; a bank instead: none', () => {
    // The music's lead as it is usually sold.
    const long = (rig: Rig): Rig => ({
      ...rig,
      parts: rig.parts.map((p) => (p.id === 'sound' ? { ...p, length: 1.5 } : p)),
    });
    const shared = long(layRig(music('computer', 'usb-1', 'lead-usb-a-c')));
    const apart = long(layRig(music('power-bank', 'out', 'lead-usb-a-c')));
    expect(allFacts(shared)[0].voices.length).toBeGreaterThan(0);
    expect(hears(shared)).toBe(true);
    expect(hears(apart)).toBe(false);
    expect(level(shared) - level(apart)).toBeGreaterThan(30);
  });
});

/** Two earthed mixers in two outlets. */
const between = (lead: string, more: Partial<RigSketch> = {}): Rig =>
  layRig({
    parts: {
      mic: 'dynamic-xlr',
      xlr: 'lead-xlr',
      mixer: 'mixer-monitor-fx',
      run: lead,
      other: 'mixer-large',
      line: 'lead-jack-ts',
      interface: 'interface-two-inputs-mains',
      usb: 'lead-usb-c-b',
      tablet: 'tablet-usb-c',
    },
    joints: [
      'mic.out xlr.holes',
      'xlr.pins mixer.mic-1',
      'run.a mixer.main-left',
      'run.b other.pair-1-left',
      'line.a other.main-left',
      'line.b interface.line-1',
      'interface.usb usb.b',
      'usb.a tablet.port',
    ],
    recorder: 'tablet',
    settings: { mixer: { 'gain-1': 50 } },
    ...more,
  });

describe('cures lower hum by what the circuit says', () => {
  it('a balanced lead instead of an unbalanced one: its input rejects what both legs have', () => {
    expect(hears(between('lead-jack-ts'))).toBe(true);
    const gained = level(between('lead-jack-ts')) - level(between('lead-jack-trs'));
    // 75 Ω against 100 kΩ on one leg: 62 dB; sleeve and ring of the lead are not quite alike.
    expect(gained).toBeGreaterThan(40);
    expect(gained).toBeLessThan(75);
    expect(hears(between('lead-jack-trs'))).toBe(false);
  });

  it('a DI box on the quay: its transformer takes most, its lifted signal shield the rest', () => {
    const di = (lift: string): Rig =>
      layRig({
        parts: {
          keys: 'keyboard',
          first: 'mixer-monitor-fx',
          into: 'lead-jack-ts',
          line: 'lead-jack-ts',
          di: 'di-passive',
          xlr: 'lead-xlr',
          other: 'mixer-xlr-main',
          out: 'lead-xlr',
          interface: 'interface-two-inputs-mains',
          usb: 'lead-usb-c-b',
          tablet: 'tablet-usb-c',
        },
        joints: [
          'keys.left into.a',
          'into.b first.pair-1-left',
          'line.a first.main-left',
          'line.b di.in',
          'di.out xlr.holes',
          'xlr.pins other.mic-1',
          'other.main-left out.holes',
          'out.pins interface.mic-1',
          'interface.usb usb.b',
          'usb.a tablet.port',
        ],
        recorder: 'tablet',
        settings: { di: { lift }, other: { 'gain-1': 20 } },
      });
    const [joined, lifted] = [level(di('off')), level(di('on'))];
    expect(lifted).toBeLessThan(joined);
  });

  it('twice the lead is twice the shield, and a little less than twice the hum', () => {
    const long = (metres: number): Rig => {
      const rig = between('lead-jack-ts');
      return { ...rig, parts: rig.parts.map((p) => (p.id === 'run' ? { ...p, length: metres } : p)) };
    };
    const gained = level(long(12)) - level(long(6));
    expect(gained).toBeGreaterThan(2);
    expect(gained).toBeLessThan(6.03);
  });
});

/** A mixer’s line into an interface that an earthed laptop feeds. */
const desk = (fed: string, isolated: boolean): Rig =>
  layRig({
    parts: {
      mic: 'dynamic-xlr',
      xlr: 'lead-xlr',
      mixer: 'mixer-monitor-fx',
      line: 'lead-jack-ts',
      interface: 'interface-two-inputs-usb-b',
      usb: 'lead-usb-a-b',
      ...(isolated && { isolator: 'isolator-usb' }),
      laptop: 'laptop-combo',
    },
    joints: [
      'mic.out xlr.holes',
      'xlr.pins mixer.mic-1',
      'line.a mixer.main-left',
      'line.b interface.line-1',
      'interface.usb usb.b',
      ...(isolated ? ['usb.a isolator.b', 'isolator.a laptop.usb-a'] : ['usb.a laptop.usb-a']),
    ],
    recorder: 'laptop',
    settings: { mixer: { 'gain-1': 56 }, laptop: { fed } },
    distances: { mic: 0.05 },
    apps: { laptop: 'recorder-app' },
  });

describe('a laptop at a mixer', () => {
  it.each<[string, Rig, boolean]>([
    ['on its battery: quiet', desk('battery', false), false],
    ['on its earthed charger: hums', desk('earthed', false), true],
    ['behind a USB isolator: quiet', desk('earthed', true), false],
  ])('%s', (_, rig, expected) => {
    expect(outcomeOf(rig).arrives[0]?.state).toBe('recorded');
    expect(hears(rig)).toBe(expected);
  });
});

describe('loops', () => {
  it('are found where two boxes on the mains are joined by a shield, and end with it', () => {
    const [facts] = allFacts(between('lead-jack-ts'));
    const loops = earthLoops(facts, earthFacts(facts).network);
    expect(loops.some(({ parts }) => ['mixer', 'run', 'other'].every((id) => parts.includes(id)))).toBe(true);
    const [bare] = allFacts(layRig(QUAY));
    expect(earthLoops(bare, earthFacts(bare).network)).toEqual([]);
  });
});
