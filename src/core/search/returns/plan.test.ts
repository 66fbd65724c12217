import { readFileSync } from 'node:fs';
import { describe, expect, it } from 'vitest';
import { layRig, type RigSketch } from '../../../../testing/lay-rig';
import { allFacts } from '../../engine';
import { echoLossWanted, hearing } from '../../engine/hearing';
import { readRig } from '../../files/read-rig';
import { outcomeOf } from '../../judge';
import { applyEdit, laidParts, type Rig } from '../../rig';
import { planReturns } from './plan';

/** A caller on a phone: what a send gives goes in, what the phone plays comes back on a line pair. */
const caller = (name: string, send: string, pair: number) => ({
  parts: {
    [`to-${name}`]: 'lead-line-headset-pad',
    [`split-${name}`]: 'splitter-trrs',
    [`from-${name}`]: 'lead-breakout-jacks',
    [`phone-${name}`]: 'phone-ctia',
  },
  joints: [
    `to-${name}.big mixer.${send}`,
    `to-${name}.trrs split-${name}.mic`,
    `split-${name}.plug phone-${name}.jack`,
    `from-${name}.small split-${name}.phones`,
    `from-${name}.left mixer.pair-${pair}-left`,
    `from-${name}.right mixer.pair-${pair}-right`,
  ],
});

interface Desk {
  readonly mixer: string;
  readonly callers: readonly (readonly [name: string, send: string, pair: number])[];
  readonly settings: Readonly<Record<string, number>>;
}

function desk({ mixer, callers, settings }: Desk): Rig {
  const each = callers.map(([name, send, pair]) => caller(name, send, pair));
  const sketch: RigSketch = {
    parts: Object.assign(
      { mic: 'dynamic-xlr', xlr: 'lead-xlr', mixer, ears: 'headphones-big' },
      ...each.map(({ parts }) => parts),
    ),
    joints: [
      'mic.out xlr.holes',
      'xlr.pins mixer.mic-1',
      'ears.plug mixer.phones',
      ...each.flatMap(({ joints }) => joints),
    ],
    source: 'mic',
    recorder: `phone-${callers[0]?.[0]}`,
    settings: { mixer: { 'gain-1': 54, ...settings } },
    apps: Object.fromEntries(callers.map(([name]) => [`phone-${name}`, 'voice-room'])),
    distances: { mic: 0.06 },
  };
  const rig = layRig(sketch);
  return { ...rig, purpose: { ...rig.purpose, recorders: callers.map(([name]) => `phone-${name}`) } };
}

/** How many wants are met at the far ends: everyone else heard, nothing of oneself. From the definition. */
function met(rig: Rig): number {
  const { hearers, cells } = hearing(allFacts(rig)[0]);
  const far = new Set(hearers.flatMap(({ id, is }) => (is === 'caller' ? [id] : [])));
  return cells.filter(({ listener, voice, state }) => {
    if (!far.has(listener)) return false;
    return listener === voice ? state === 'alone' : state === 'hears';
  }).length;
}

/** The best that any setting of the sends of the channels in use gives: every one of them out or at 0 dB, tried. */
function bestOfAll(rig: Rig, sends: readonly string[], channels: readonly string[]): number {
  const knobs = sends.flatMap((send) => channels.map((channel) => `${send}-${channel}`));
  let best = 0;
  for (let mask = 0; mask < 2 ** knobs.length; mask += 1) {
    const set = knobs.reduce<Rig>(
      (at, setting, index) =>
        applyEdit(at, { kind: 'set', part: 'mixer', setting, option: (mask >> index) % 2 ? 0 : -60 }),
      rig,
    );
    best = Math.max(best, met(set));
  }
  return best;
}

const applied = (rig: Rig): Rig => (planReturns(rig)?.edits ?? []).reduce(applyEdit, rig);

const DESKS: readonly (readonly [string, Desk, readonly string[], readonly string[], boolean])[] = [
  [
    'one FX send, one caller',
    { mixer: 'mixer-fx-usb', callers: [['a', 'fx', 1]], settings: { 'fx-pair-1': 0 } },
    ['fx'],
    ['mic-1', 'pair-1', 'pair-2'],
    true,
  ],
  [
    'one FX send, two callers: a second send is missing',
    {
      mixer: 'mixer-fx-usb',
      callers: [
        ['a', 'fx', 1],
        ['b', 'main-left', 2],
      ],
      settings: { 'fx-mic-1': 0 },
    },
    ['fx'],
    ['mic-1', 'pair-1', 'pair-2'],
    false,
  ],
  [
    'monitor and FX sends, one caller',
    { mixer: 'mixer-monitor-fx', callers: [['a', 'mon', 2]], settings: {} },
    ['mon', 'fx'],
    ['mic-1', 'pair-2'],
    true,
  ],
  [
    'monitor and FX sends, two callers',
    {
      mixer: 'mixer-monitor-fx',
      callers: [
        ['a', 'mon', 1],
        ['b', 'fx', 2],
      ],
      settings: { 'mon-mic-1': 0, 'mon-pair-1': 0, 'fx-pair-2': -6 },
    },
    ['mon', 'fx'],
    ['mic-1', 'pair-1', 'pair-2'],
    true,
  ],
  [
    'aux and FX sends, two callers, the sends exchanged',
    {
      mixer: 'mixer-aux-fx',
      callers: [
        ['a', 'fx', 1],
        ['b', 'aux', 2],
      ],
      settings: { 'aux-pair-2': 0, 'fx-pair-1': 0 },
    },
    ['aux', 'fx'],
    ['mic-1', 'pair-1', 'pair-2'],
    true,
  ],
];

describe('the sends of a mix-minus (common practice: everyone hears everyone but themself)', () => {
  it.each(DESKS)(
    '%s: as many wants met as by trying every send',
    { timeout: 60_000 },
    (_, plan, sends, channels, proved) => {
      const rig = desk(plan);
      expect(planReturns(rig)?.proved).toBe(proved);
      expect(met(applied(rig))).toBe(bestOfAll(rig, sends, channels));
    },
  );

  it('leaves a rig without a far end alone', () => {
    const rig = layRig({
      parts: { mic: 'clip-on-trrs', phone: 'phone-ctia' },
      joints: ['mic.plug phone.jack'],
    });
    expect(planReturns(rig)).toBeUndefined();
  });

  it('leaves ears and recordings as they are', () => {
    const rig = desk(DESKS[3]![1]);
    const inEars = (at: Rig) =>
      hearing(allFacts(at)[0])
        .cells.filter(({ listener }) => listener === 'ears')
        .map(({ voice, state }) => `${voice} ${state}`);
    expect(inEars(applied(rig))).toEqual(inEars(rig));
  });
});

const demo = (name: string): Rig => {
  const result = readRig(readFileSync(`demo/rigs/${name}.json`, 'utf8'));
  if (!result.ok) throw new Error(name);
  return result.rig;
};

describe('Harbour call-in', () => {
  const rig = demo('harbour-call-in');
  const codes = (at: Rig) => outcomeOf(at).findings.map(({ code }) => code);
  it('opens with an echo and two callers deaf to one another, and one press cures both', () => {
    expect(codes(rig)).toEqual(expect.arrayContaining(['playback-returns', 'callers-deaf']));
    expect(outcomeOf(rig).findings.filter(({ code }) => code === 'callers-deaf')).toMatchObject([
      { recorder: 'phone-a', other: 'phone-b', mutual: true },
    ]);
    const plan = planReturns(rig)!;
    expect(plan.edits.map((edit) => (edit.kind === 'set' ? `${edit.setting} ${edit.option}` : ''))).toEqual([
      'mon-pair-1 -60',
      'fx-pair-1 0',
      'mon-pair-2 0',
    ]);
    expect(outcomeOf(applied(rig)).verdict).toBe('clean');
  });

  it('counts the network twice for who hears themself, and once for the presenter', () => {
    const { cells } = hearing(allFacts(rig)[0]);
    const at = (listener: string, voice: string) =>
      cells.find((c) => c.listener === listener && c.voice === voice)!.delay.typical;
    // 120 ms of network and 10 ms of app, typical, each way.
    expect(at('phone-a', 'phone-a')).toBe(260);
    expect(at('phone-a', 'mic')).toBe(130);
    expect(at('ears', 'mic')).toBe(0);
    expect(at('ears', 'phone-a')).toBe(130);
  });
});

describe('a portable mixer’s phone socket', () => {
  it('leaves the caller out of their own mix without a send', () => {
    const rig = layRig({
      parts: {
        mic: 'dynamic-xlr',
        xlr: 'lead-xlr',
        mixer: 'mixer-portable-phone',
        lead: 'lead-trrs-trrs',
        phone: 'phone-ctia',
      },
      joints: ['mic.out xlr.holes', 'xlr.pins mixer.mic-1', 'lead.a mixer.phone', 'lead.b phone.jack'],
      settings: { mixer: { 'gain-1': 54 } },
      apps: { phone: 'voice-room' },
      distances: { mic: 0.06 },
    });
    const state = (voice: string) =>
      hearing(allFacts(rig)[0]).cells.find((c) => c.listener === 'phone' && c.voice === voice)?.state;
    expect(state('phone')).toBe('alone');
    expect(state('mic')).toBe('hears');
    expect(laidParts(rig)).toHaveLength(5);
  });
});

describe('direct monitoring and the app’s own together', () => {
  const rig = (monitor: string, direct: string): Rig =>
    layRig({
      parts: {
        mic: 'dynamic-xlr',
        xlr: 'lead-xlr',
        interface: 'interface-two-inputs',
        lead: 'lead-usb-c-c',
        tablet: 'tablet-usb-c',
        ears: 'headphones-big',
      },
      joints: [
        'mic.out xlr.holes',
        'xlr.pins interface.mic-1',
        'interface.usb lead.a',
        'lead.b tablet.port',
        'ears.plug interface.phones',
      ],
      recorder: 'tablet',
      settings: { interface: { 'gain-1': 50, direct } },
      apps: { tablet: 'multitrack' },
      choices: { tablet: { monitor } },
      distances: { mic: 0.06 },
    });
  const twice = (one: Rig) => outcomeOf(one).findings.find(({ code }) => code === 'heard-twice');

  it('is heard twice, 20 ms apart, typical; either alone is not', () => {
    expect(outcomeOf(rig('on', 'on')).arrives[0]?.state).toBe('recorded');
    expect(twice(rig('on', 'on'))?.values[0]).toMatchObject({ value: 20, unit: 'ms' });
    expect(twice(rig('off', 'on'))).toBeUndefined();
    expect(twice(rig('on', 'off'))).toBeUndefined();
  });
});

describe('talker echo (ITU-T G.131, figures from memory)', () => {
  it.each([
    [10, 33],
    [25, 33],
    [50, 41],
    [100, 47],
    [300, 55],
    [500, 55],
  ])('%i ms one way: %i dB are wanted', (ms, dB) => expect(echoLossWanted(ms)).toBeCloseTo(dB, 6));
  it('lies between the points in between', () => {
    expect(echoLossWanted(70)).toBeGreaterThan(41);
    expect(echoLossWanted(70)).toBeLessThan(47);
  });
});
