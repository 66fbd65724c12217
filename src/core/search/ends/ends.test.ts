import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { layRig } from '../../../../testing/lay-rig';
import { outcomeOf } from '../../judge';
import { allFacts } from '../../engine';
import { magnitude, nodeKey } from '../../engine/circuit';
import { findPart, type Part, type PartPort } from '../../parts';
import { mate } from '../../plugs';
import { dbSpl } from '../../units';
import { IN_LINE } from '../bother';
import { roughnessOf } from '../route/rough';
import { settle } from '../settings';
import { couldRecord, sourceEnds, splitEnd, throughPart, type OpenEnd } from '.';
import { join } from './join';
import { passageOf } from './passage';

const part = (id: string): Part => findPart(id)!;
const SPEECH = dbSpl(76.33);

interface Step {
  readonly part: Part;
  readonly entry: PartPort;
  readonly exit: PartPort;
  readonly end: OpenEnd;
}

/** Every way through one of these parts from an open end. */
const stepsFrom = (end: OpenEnd, parts: readonly Part[]): Step[] =>
  parts.flatMap((one) =>
    one.ports.flatMap((entry) =>
      throughPart(one, entry, end)
        .filter((next) => next.analogue)
        .map((next) => ({ part: one, entry, exit: next.port, end: next })),
    ),
  );

/** Parts without stages: nothing but the circuit decides what comes through. */
const PASSIVE = [
  'lead-trs-trs',
  'patch-trs-trrs',
  'extension-trs',
  'adapter-trs-trrs',
  'adapter-trrs-trs',
  'splitter-trs',
  'splitter-headphones',
  'lead-trs-xlr',
  'lead-xlr',
  'lead-xlr-trrs',
  'lead-xlr-trs-camera',
  'pad-xlr-20',
  'pad-jack-40',
  'isolator-trs',
  'di-passive',
  'lead-jack-ts',
  'lead-line-headset-pad',
  'coupler-trs',
  'lead-left-to-both',
].map(part);

const SOURCES = ['receiver-trs', 'dynamic-xlr', 'guitar', 'keyboard', 'deck'].map(part);
const HOSTS = ['phone-ctia', 'camera-trs', 'phone-omtp', 'computer-separate'].map(part);

/** What the reduced circuit says comes to a converter per volt of the source, and what the whole engine says of the same chain laid out. */
function bothAt(source: Part, steps: readonly Step[], host: Part, port: PartPort, end: OpenEnd) {
  const joined = join(passageOf(host, [port]), port, end);
  const names = steps.map((_, index) => `p${index}`);
  const before = (index: number) => (index === 0 ? 's' : names[index - 1]!);
  const exits = [steps.length > 0 ? undefined : end.port, ...steps.map(({ exit }) => exit)];
  const start = sourceEnds(source, SPEECH).find((one) =>
    steps[0] ? throughPart(steps[0].part, steps[0].entry, one).length > 0 : one.port === end.port,
  )!;
  const from = (index: number) => (index === 0 ? start.port : exits[index]!);
  const joints = steps.map(
    ({ entry }, index) => `${before(index)}.${from(index).id} ${names[index]}.${entry.id}`,
  );
  joints.push(`${before(steps.length)}.${from(steps.length).id} h.${port.id}`);
  const parts = Object.fromEntries([
    ['s', source.id],
    ...steps.map((step, index) => [names[index]!, step.part.id] as const),
    ['h', host.id],
  ]);
  const [facts] = allFacts(layRig({ parts, joints }));
  return (host.captures ?? []).flatMap((capture) =>
    capture.channels.flatMap(({ plus, minus }, n) => {
      const [sound] = joined?.heard.get(`${capture.id}#${n}`) ?? [];
      const net = (node: string) => facts.nets.of(nodeKey('h', node));
      const voice = facts.voices.find((one) => one.placed === 's' && Number.isFinite(one.level));
      const gain = voice && facts.alternating.gain(voice.id, net(plus), net(minus));
      if (!sound || !gain || !voice) return [];
      return [{ reduced: Math.hypot(...sound.least), whole: magnitude(gain) * 10 ** (voice.level / 20) }];
    }),
  );
}

describe('an open end is its reduced circuit', () => {
  it('what comes to a converter over random passive chains is what the whole engine finds, within 0.1 dB', () => {
    let compared = 0;
    fc.assert(
      fc.property(
        fc.constantFrom(...SOURCES),
        fc.array(fc.nat(), { minLength: 0, maxLength: 4 }),
        fc.constantFrom(...HOSTS),
        (source, turns, host) => {
          let [end] = sourceEnds(source, SPEECH);
          const steps: Step[] = [];
          for (const turn of turns) {
            const ways: Step[] = end ? stepsFrom(end, PASSIVE) : [];
            const next = ways[turn % Math.max(1, ways.length)];
            if (!next) break;
            steps.push(next);
            end = next.end;
          }
          if (!end) return;
          for (const port of host.ports) {
            if (port.direction === 'out' || !throughFits(end, port)) continue;
            for (const { reduced, whole } of bothAt(source, steps, host, port, end)) {
              if (whole < 1e-6) continue;
              compared += 1;
              expect(20 * Math.log10(reduced / whole)).toBeCloseTo(0, 1);
            }
          }
        },
      ),
      { seed: 20261125, numRuns: 300 },
    );
    expect(compared).toBeGreaterThan(40);
  });
});

/** Whether an end goes into a port in one reading only. */
function throughFits(end: OpenEnd, port: PartPort): boolean {
  const mating = mate(end.port, port);
  return mating.fits && !mating.uncertain;
}

/** A chain by hand: source, parts, host; whether the host could record it. */
function records(source: string, ...rest: readonly string[]): boolean {
  let ends = sourceEnds(part(source), SPEECH);
  for (const id of rest.slice(0, -1))
    ends = ends.flatMap((end) => part(id).ports.flatMap((port) => throughPart(part(id), port, end)));
  const host = part(rest.at(-1)!);
  return ends.some((end) => host.ports.some((port) => couldRecord(host, port, end)));
}

describe('what a practitioner knows is a number at the open end (common practice)', () => {
  it.each([
    [
      'a plain lead in a headset jack is seen as no microphone',
      ['receiver-trs', 'lead-trs-trs', 'phone-ctia'],
      false,
    ],
    ['the patch cable is', ['receiver-trs', 'patch-trs-trrs', 'phone-ctia'], true],
    [
      'a dongle without the chip does nothing on an 8-pin port',
      ['receiver-trs', 'patch-trs-trrs', 'dongle-8-pin-plain', 'phone-8-pin'],
      false,
    ],
    [
      'a dongle with it works',
      ['receiver-trs', 'patch-trs-trrs', 'dongle-8-pin-headset', 'phone-8-pin'],
      true,
    ],
    ['a condenser is not fed by a headset jack', ['condenser-xlr', 'lead-xlr-trrs', 'phone-ctia'], false],
    ['an interface feeds it', ['condenser-xlr', 'lead-xlr', 'interface-small', 'phone-usb-c'], true],
    ['a bare line output is no microphone', ['keyboard', 'lead-line-headset', 'phone-ctia'], false],
    ['padded it is', ['keyboard', 'lead-line-headset-pad', 'phone-ctia'], true],
    [
      'a hungry microphone is not fed by a bare adapter',
      ['usb-mic-big', 'lead-usb-a-b', 'adapter-8-pin-usb-bare', 'tablet-8-pin'],
      false,
    ],
    [
      'nor does a charge-only lead bring its numbers',
      ['usb-mic-low', 'lead-usb-a-c-charge', 'adapter-usb-c-a', 'phone-usb-c'],
      false,
    ],
  ] as const)('%s', (_, [source, ...rest], expected) => {
    expect(records(source, ...rest)).toBe(expected);
  });

  it('what it refuses the whole pipeline refuses too', () => {
    const rig = layRig({
      parts: { s: 'keyboard', l: 'lead-line-headset', h: 'phone-ctia' },
      joints: ['s.left l.big', 'l.trrs h.jack'],
    });
    expect(outcomeOf(rig).verdict).not.toBe('clean');
  });
});

describe('a pick-up that is loaded is lost where it comes in, as the engine says of the same rig (dull)', () => {
  const guitar = findPart('guitar')!;
  const beyond = (link: string, near: string, part: string, entry: string): number => {
    const lead = findPart(link)!;
    const port = (of: Part, id: string) => of.ports.find((one) => one.id === id)!;
    const box = findPart(part)!;
    const [start] = sourceEnds(guitar, dbSpl(78));
    const led = throughPart(lead, port(lead, near), start!);
    return led.flatMap((end) => throughPart(box, port(box, entry), end)).length;
  };
  it('a headphone amplifier’s input and a small sound device’s microphone input lose it', () => {
    expect(beyond('lead-jack-ts', 'a', 'headphone-amplifier', 'in')).toBe(0);
    expect(beyond('lead-headphones-aux', 'big', 'usb-sound-trs', 'mic')).toBe(0);
  });
  it('nor does a lead with a third band spare it in a line socket: the leg that it leaves open has its own way to ground', () => {
    expect(beyond('lead-jack-trs', 'a', 'mixer-monitor-fx', 'pair-1-left')).toBe(0);
    const rig = layRig({
      parts: {
        s: 'guitar',
        l: 'lead-jack-trs',
        m: 'mixer-monitor-fx',
        o: 'lead-headphones-aux',
        r: 'recorder-small',
      },
      joints: ['s.out l.a', 'l.b m.pair-1-left', 'm.phones o.big', 'o.small r.mic'],
    });
    expect(settle(rig).judged.findings.map(({ code }) => code)).toContain('dull');
  });
  it('a mixer’s microphone input loses it, whether a converter follows or none', () => {
    for (const mixer of ['mixer-rca-only', 'mixer-fx-usb'])
      expect([mixer, beyond('lead-jack-xlr', 'big', mixer, 'mic-1')]).toEqual([mixer, 0]);
    const rig = layRig({
      parts: { s: 'guitar', l: 'lead-jack-xlr', m: 'mixer-fx-usb', u: 'lead-usb-c-b', r: 'phone-usb-c' },
      joints: ['s.out l.big', 'l.pins m.mic-1', 'u.b m.usb', 'u.a r.port'],
    });
    expect(settle(rig).judged.findings.map(({ code }) => code)).toContain('dull');
  });
  it('an instrument input and a DI box do not', () => {
    expect(beyond('lead-jack-ts', 'a', 'interface-small', 'line-1')).toBeGreaterThan(0);
    expect(beyond('lead-jack-ts', 'a', 'di-active', 'in')).toBeGreaterThan(0);
  });
});

describe('what a stage hisses, and what weighs for sure, is known at the open end', () => {
  const port = (of: Part, id: string) => of.ports.find((one) => one.id === id)!;
  const into = (source: string, link: string, near: string, box: string, entry: string, pressure = 78) =>
    sourceEnds(part(source), dbSpl(pressure))
      .flatMap((end) => throughPart(part(link), port(part(link), near), end))
      .flatMap((end) => throughPart(part(box), port(part(box), entry), end));

  it.each([
    ['mixer-rca-only', 'phones', 'lead-headphones-aux', 'big', 'small'],
    ['mixer-xlr-main', 'phones', 'lead-headphones-aux', 'big', 'small'],
    ['mixer-large', 'phones', 'lead-headphones-aux', 'big', 'small'],
  ])(
    'a bare microphone in a line socket of %s is rough, as the engine finds it',
    (mixer, out, lead, a, b) => {
      const ends = into('dynamic-xlr', 'lead-xlr-jack', 'holes', mixer, 'pair-1-left');
      expect(ends.length).toBeGreaterThan(0);
      expect(ends.every((end) => end.inLine)).toBe(true);
      expect(into('dynamic-xlr', 'lead-xlr', 'holes', mixer, 'mic-1').some((end) => end.inLine)).toBe(false);
      const rig = layRig({
        parts: { s: 'dynamic-xlr', l: 'lead-xlr-jack', m: mixer, o: lead, r: 'recorder-small' },
        joints: ['s.out l.holes', 'l.big m.pair-1-left', `m.${out} o.${a}`, `o.${b} r.mic`],
      });
      expect(roughnessOf(settle(rig).facts)).toBeGreaterThanOrEqual(IN_LINE);
    },
  );

  it('whispered into it nothing comes out that stands over the hiss of the socket', () => {
    expect(into('ribbon-xlr', 'lead-xlr-jack', 'holes', 'mixer-xlr-main', 'pair-1-left', 50)).toEqual([]);
    expect(into('ribbon-xlr', 'lead-xlr', 'holes', 'mixer-xlr-main', 'mic-1', 74)).not.toEqual([]);
  });

  it('a stereo player on both legs of a balanced input is gone, as the engine finds it', () => {
    expect(into('player-portable', 'lead-headphones-aux', 'small', 'interface-small', 'line-1')).toEqual([]);
    const rig = layRig({
      parts: { s: 'player-portable', l: 'lead-headphones-aux', i: 'interface-small', h: 'phone-usb-c' },
      joints: ['s.out l.small', 'l.big i.line-1', 'i.usb h.port'],
    });
    expect(outcomeOf(rig).findings.map(({ code }) => code)).toContain('pair-cancels');
  });

  it('sounds that have to stay apart do so over leads, not where bands are tied together', () => {
    const splitter = part('splitter-left-right');
    const end = splitEnd(splitter, port(splitter, 'plug'))!;
    const beyond = (id: string, entry: string) => throughPart(part(id), port(part(id), entry), end);
    expect(beyond('coupler-trs', 'a').length).toBeGreaterThan(0);
    expect(beyond('adapter-mono-stereo', 'socket')).toEqual([]);
    expect(couldRecord(part('camera-trs'), port(part('camera-trs'), 'mic'), end)).toBe(true);
    expect(couldRecord(part('phone-ctia'), port(part('phone-ctia'), 'jack'), end)).toBe(false);
  });
});

describe('a feed that is too much for a capsule', () => {
  const [clip] = sourceEnds(part('clip-on-trs'), SPEECH);
  const box = part('interface-two-inputs');
  const input = box.ports.find(({ id }) => id === 'mic-1')!;
  const over = (adapter: string, socket: string): OpenEnd[] => {
    const one = part(adapter);
    return throughPart(
      one,
      one.ports.find(({ id }) => id === socket)!,
      clip!,
    );
  };

  // 48 V ± 4 V through 6.81 kΩ a leg (IEC 61938) drive 5.7 mA into it; without them it is not fed at all.
  it('is no feed: a plain adapter onto a phantom input leads nowhere, one that makes plug-in power of it does', () => {
    const plain = over('adapter-trs-xlr', 'small');
    expect(plain.length).toBeGreaterThan(0);
    expect(plain.flatMap((end) => throughPart(box, input, end))).toEqual([]);
    const made = over('adapter-pip-xlr', 'in');
    expect(made.flatMap((end) => throughPart(box, input, end)).length).toBeGreaterThan(0);
  });

  it('as the whole pipeline has it, whatever is switched', () => {
    const rig = (adapter: string, socket: string, plug: string) =>
      layRig({
        parts: {
          clip: 'clip-on-trs',
          adapter,
          box: 'interface-two-inputs',
          usb: 'lead-usb-c-c',
          phone: 'phone-usb-c',
        },
        joints: [
          `clip.plug adapter.${socket}`,
          `adapter.${plug} box.mic-1`,
          'usb.a box.usb',
          'usb.b phone.port',
        ],
      });
    expect(settle(rig('adapter-trs-xlr', 'small', 'pins')).judged.verdict).not.toBe('clean');
    expect(settle(rig('adapter-pip-xlr', 'in', 'out')).judged.verdict).toBe('clean');
  });
});
