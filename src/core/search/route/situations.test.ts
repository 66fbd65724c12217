import { laidParts, settingOf } from '../../rig';
import { describe, expect, it } from 'vitest';
import { outcomeOf } from '../../judge';
import { checkRig } from '../../files/read-rig';
import { CATALOGUE, findPart } from '../../parts';
import { plan } from '../../../../testing/by-steps';
import type { Plan, RouteRequest, Wishes } from '.';

interface Situation {
  readonly name: string;
  readonly sources: readonly string[];
  readonly through?: string;
  readonly to: readonly (readonly [host: string, app?: string])[];
  readonly wishes?: Wishes;
  readonly drawer?: Readonly<Record<string, number>>;
  /** What common practice puts there: every word is a part of one of the first three ways. */
  readonly practice: readonly string[];
  /** Parts that no way may have. */
  readonly never?: readonly string[];
}

type Asked = Omit<Situation, 'practice' | 'name'>;

const requestOf = ({ sources, through, to, wishes, drawer }: Asked): RouteRequest => ({
  format: 'symplex-request',
  version: 1,
  sources: sources.map((part) => ({ part })),
  ...(through !== undefined && { through }),
  destinations: to.map(([part, app]) => ({ part, ...(app !== undefined && { app }) })),
  ...(wishes && { wishes }),
  ...(drawer && { drawer }),
});

/** Situations of the trade with the answer of common practice. */
const SITUATIONS: readonly Situation[] = [
  {
    name: 'a TRS receiver to a CTIA phone: the patch cable',
    sources: ['receiver-trs'],
    to: [['phone-ctia', 'camera-app']],
    practice: ['patch-trs-trrs'],
  },
  {
    name: 'the same to an 8-pin phone for a browser studio: the headset path',
    sources: ['receiver-trs'],
    to: [['phone-8-pin', 'browser-studio']],
    practice: ['patch-trs-trrs', 'dongle-8-pin-headset'],
    never: ['dongle-8-pin-plain', 'adapter-8-pin-usb'],
  },
  {
    name: 'a receiver with USB audio to an 8-pin phone for a recorder: the headset path costs half of the USB path',
    sources: ['receiver-both'],
    to: [['phone-8-pin', 'recorder-app']],
    practice: ['patch-trs-trrs', 'dongle-8-pin-headset'],
  },
  {
    name: 'a hungry USB microphone to an old 8-pin tablet: host adapter and powered hub',
    sources: ['usb-mic-big'],
    to: [['tablet-8-pin', 'recorder-app']],
    practice: ['hub-usb-a', 'adapter-8-pin-usb-bare'],
  },
  {
    name: 'a condenser to a USB-C tablet: an interface with phantom',
    sources: ['condenser-xlr'],
    to: [['tablet-usb-c', 'recorder-app']],
    practice: ['interface-small', 'lead-xlr'],
  },
  {
    name: 'a condenser to an 8-pin phone in a voice room: mobile preamp and dongle, not USB',
    sources: ['condenser-xlr'],
    to: [['phone-8-pin', 'voice-room']],
    practice: ['mobile-preamp', 'dongle-8-pin-headset'],
    never: ['adapter-8-pin-usb', 'adapter-8-pin-usb-bare', 'interface-one-input'],
  },
  {
    name: 'two packs with separate sides: a two-channel receiver',
    sources: ['pack-clip-on', 'pack-clip-on'],
    to: [['phone-usb-c', 'recorder-app']],
    wishes: { channels: 'apart' },
    practice: ['receiver-two-channel', 'cable-converter-usb-c'],
  },
  {
    name: 'mixer to phone, one-way stereo with charging: its USB through a charge-through adapter',
    sources: ['dynamic-xlr'],
    through: 'mixer-fx-usb',
    to: [['phone-usb-c', 'camera-app']],
    wishes: { channels: 'stereo', charge: true },
    practice: ['lead-usb-a-b', 'adapter-usb-c-charge', 'charger-usb-c'],
  },
  {
    name: 'a mixer without USB: a pad into the headset path',
    sources: ['dynamic-xlr'],
    through: 'mixer-one-mic',
    to: [['phone-ctia', 'camera-app']],
    practice: ['lead-line-headset-pad'],
  },
  {
    name: 'a USB microphone into a voice room: its headphone socket to the headset path, padded, fed by USB',
    sources: ['usb-mic-low-phones'],
    to: [['phone-8-pin', 'voice-room']],
    practice: ['lead-line-headset-pad', 'dongle-8-pin-headset', 'charger-usb-c'],
  },
  {
    name: 'guitar, vocal microphone and keyboard on one tablet: an interface with enough inputs',
    sources: ['guitar', 'dynamic-xlr', 'keyboard'],
    to: [['tablet-usb-c', 'multitrack']],
    wishes: { channels: 'apart' },
    practice: ['interface-four-inputs', 'lead-jack-ts'],
  },
  {
    name: 'receiver and headphones on one headset jack: a splitter',
    sources: ['receiver-trs'],
    to: [['phone-ctia', 'camera-app']],
    wishes: { hear: true },
    practice: ['splitter-trs', 'lead-trs-trs', 'headphones-trs'],
  },
  {
    name: 'a receiver to a laptop with a combo jack: the patch cable',
    sources: ['receiver-trs'],
    to: [['laptop-combo', 'recorder-app']],
    practice: ['patch-trs-trrs'],
  },
  {
    name: 'and with separate sockets: the plain lead',
    sources: ['receiver-trs'],
    to: [['computer-separate', 'recorder-app']],
    practice: ['lead-trs-trs'],
  },
  {
    name: 'a tip-only receiver for a live stream: summed to mono by the headset path',
    sources: ['receiver-tip-only'],
    to: [['phone-usb-c', 'live-stream']],
    practice: ['patch-trs-trrs', 'dongle-usb-c-headset'],
  },
  {
    name: 'and for a camera that keeps its sides: a left-to-both lead',
    sources: ['receiver-tip-only'],
    to: [['camera-trs']],
    wishes: { channels: 'stereo' },
    practice: ['lead-left-to-both'],
  },
];

/** Whatever is found is a rig that stands by itself, that the checks pass, and that keeps the wishes. */
function expectSound({ routes }: Plan, situation: Asked): void {
  expect(routes.length).toBeGreaterThan(0);
  for (const route of routes) {
    expect(checkRig(JSON.parse(JSON.stringify(route.rig)))).toMatchObject({ ok: true });
    const { verdict, findings } = outcomeOf(route.rig);
    expect(verdict).toBe('clean');
    expect(findings.filter((f) => f.severity !== 'note')).toEqual([]);
    for (const part of situation.never ?? []) expect(route.parts).not.toContain(part);
    if (situation.wishes?.hear) expect(route.listeners.some((l) => l.hears.length > 0)).toBe(true);
  }
}

describe.each(SITUATIONS.map((s) => [s.name, s] as const))('%s (common practice)', (_, situation) => {
  it('is among the first three, and every way that is offered is proved', { timeout: 180_000 }, () => {
    const found = plan(requestOf(situation));
    expectSound(found, situation);
    const first = found.routes.slice(0, 3).map((route) => route.parts);
    expect(
      first.some((parts) => situation.practice.every((part) => parts.includes(part))),
      first.map((parts) => parts.join(' + ')).join('\n'),
    ).toBe(true);
  });
});

describe('twelve metres from the mixer', () => {
  const situation = {
    sources: ['dynamic-xlr'],
    through: 'mixer-one-mic',
    to: [['phone-ctia', 'camera-app']],
    wishes: { length: 12 },
  } as const;

  it(
    'the line lead with its pad is bridged by a lead of that length, and the engine says what it loses',
    { timeout: 180_000 },
    () => {
      const found = plan(requestOf(situation));
      expectSound(found, situation);
      for (const { rig } of found.routes) {
        const metres = rig.parts.reduce(
          (sum, placed) => sum + (placed.length ?? findPart(placed.part)?.length ?? 0),
          0,
        );
        expect(metres).toBeGreaterThanOrEqual(situation.wishes.length - 1e-9);
      }
    },
  );

  it(
    'no USB lead is stretched beyond what USB bears (USB 2.0, 7.1.16: about 5 m)',
    { timeout: 180_000 },
    () => {
      const usb = { ...situation, through: 'mixer-fx-usb', to: [['phone-usb-c', 'camera-app']] } as const;
      const near = plan(requestOf({ ...usb, wishes: {} }));
      expect(near.routes[0]?.parts).toContain('lead-usb-c-b');
      const far = plan(requestOf(usb));
      expect(far.routes.length).toBeGreaterThan(0);
      for (const placed of far.routes.flatMap(({ rig }) => rig.parts)) {
        const metres = placed.length ?? findPart(placed.part)?.length ?? 0;
        if (placed.part.startsWith('lead-usb')) expect(metres).toBeLessThanOrEqual(5);
      }
    },
  );

  it(
    'from its balanced output: by a balanced run first, into a transformer or a balanced input (common practice)',
    { timeout: 180_000 },
    () => {
      const far: RouteRequest = {
        format: 'symplex-request',
        version: 1,
        sources: [{ part: 'dynamic-xlr', place: 'quay' }],
        through: 'mixer-monitor-fx',
        throughPlace: 'quay',
        destinations: [{ part: 'phone-ctia', app: 'camera-app', place: 'tripod' }],
        distances: [{ from: 'quay', to: 'tripod', metres: 12 }],
      };
      const [first] = plan(far).routes;
      expect(first).toBeDefined();
      const told = outcomeOf(first!.rig).findings.map(({ code }) => code);
      expect(told).not.toContain('unbalanced-run');
      const metres = first!.rig.parts.map((one) => one.length ?? findPart(one.part)?.length ?? 0);
      expect(metres.reduce((sum, one) => sum + one, 0)).toBeGreaterThanOrEqual(12);
    },
  );
});

// Common practice: a caller is fed ahead of the faders where the desk has such a send, so that no fader takes the host from them.
describe('the send of a caller', () => {
  it.each([
    ['mixer-monitor-fx', 'mon'],
    ['mixer-aux-fx', 'aux'],
  ])('%s: by %s, which does not follow the faders', (mixer, send) => {
    const [route] = plan(
      requestOf({
        sources: ['dynamic-xlr'],
        through: mixer,
        to: [['phone-ctia', 'voice-room']],
        wishes: { callers: true },
      }),
    ).routes;
    const joints = route?.rig.joints.flatMap(({ plug, jack }) => [plug, jack]) ?? [];
    const sends = findPart(mixer)?.ports.filter(({ id }) => ['mon', 'aux', 'fx'].includes(id)) ?? [];
    const used = sends.filter(({ id }) => joints.some((end) => end.part === mixer && end.port === id));
    expect(used.map(({ id }) => id)).toEqual([send]);
  });
});

// Common practice: a pan is not turned to get a level right.
describe('switches that are not needed', () => {
  it('stand as they stood: a caller on a laptop by the mixer’s USB, the pan in the middle', () => {
    const [route] = plan(
      requestOf({
        sources: ['dynamic-xlr'],
        through: 'mixer-fx-usb',
        to: [['laptop-combo', 'voice-room']],
        wishes: { callers: true },
      }),
    ).routes;
    const mixer = laidParts(route!.rig).find(({ placed }) => placed.part === 'mixer-fx-usb')!;
    for (const setting of mixer.part.settings ?? [])
      if (setting.kind === 'switch')
        expect([setting.id, settingOf(mixer, setting.id)]).toEqual([setting.id, setting.initial]);
  });
});

// Common practice: a guitar goes into a mixer by a DI box, a backing track into a line pair.
describe('where what could be cheap leads nowhere', () => {
  it(
    'every box has its turn: a backing track and a guitar, mixed, of boxes the one mixer',
    { timeout: 120_000 },
    () => {
      const mixer = findPart('mixer-fx-usb')!;
      const boxes = CATALOGUE.filter(({ family }) => family === 'mixer' || family === 'interface');
      const others = CATALOGUE.filter((part) => !boxes.includes(part));
      const asked = requestOf({
        sources: ['phone-ctia', 'guitar'],
        to: [['tablet-usb-c', 'recorder-app']],
        wishes: { channels: 'mixed' },
      });
      const { routes } = plan({ ...asked, catalogue: [mixer, ...others].map(({ id }) => id) });
      expect(routes[0]?.parts).toEqual(
        expect.arrayContaining(['mixer-fx-usb', 'di-passive', 'lead-breakout-jacks']),
      );
    },
  );
});

// Common practice: who records one side has half of a record.
describe('what plays by two outputs, to two recorders at once', () => {
  const asked = requestOf({
    sources: ['deck'],
    to: [
      ['laptop-combo', 'recorder-app'],
      ['phone-ctia', 'live-stream'],
    ],
  });

  it('does not give each of them a side', () => {
    const { routes } = plan({ ...asked, catalogue: ['lead-rca', 'lead-breakout-headset'] });
    expect(routes).toEqual([]);
  });

  it('is shared out or mixed, so that both have the same', { timeout: 60_000 }, () => {
    const { routes } = plan(asked);
    expect(routes.length).toBeGreaterThan(0);
    for (const { rig } of routes) {
      const joints = rig.joints.filter(({ plug, jack }) => [plug.part, jack.part].includes('deck'));
      const next = joints.flatMap(({ plug, jack }) => [plug.part, jack.part]).filter((id) => id !== 'deck');
      const beyond = (id: string, seen: readonly string[]): string[] => [
        id,
        ...rig.joints
          .flatMap(({ plug, jack }) => (plug.part === id ? [jack.part] : jack.part === id ? [plug.part] : []))
          .filter((other) => other !== 'deck' && !seen.includes(other))
          .flatMap((other) => beyond(other, [...seen, id])),
      ];
      const reached = next.map((id) => rig.purpose.recorders.filter((one) => beyond(id, []).includes(one)));
      for (const recorders of reached) expect(recorders).toHaveLength(2);
    }
  });
});

describe('one question after another', () => {
  it('a mixer with broken outputs in one is whole in the next', { timeout: 60_000 }, () => {
    const asked: RouteRequest = {
      ...requestOf({
        sources: ['dynamic-xlr'],
        through: 'mixer-large',
        to: [['phone-usb-c', 'live-stream']],
      }),
      throughPlace: 'desk',
      destinations: [{ part: 'phone-usb-c', app: 'live-stream', place: 'stage' }],
      distances: [{ from: 'desk', to: 'stage', metres: 20 }],
    };
    plan({
      ...requestOf({
        sources: ['dynamic-xlr'],
        through: 'mixer-large',
        to: [['phone-8-pin', 'live-stream']],
      }),
      throughUnusable: ['main-left', 'main-right'],
    });
    const after = plan(asked).routes.map((route) => route.parts);
    for (const one of after) expect(one).toContain('lead-xlr');
    expect(after.length).toBeGreaterThan(0);
  });
});
