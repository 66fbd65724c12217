import { describe, expect, it } from 'vitest';
import { applyEdit, laidParts, type Rig, type RigEdit } from '../../rig';
import { layRig, type RigSketch } from '../../../../testing/lay-rig';
import { twoOnADesk } from '../../../../testing/two-on-a-desk';
import { outcomeOf, type Outcome } from '../../judge';
import { LEAST_OVER_NOISE, levelMiss, overNoise, polish, settle, TARGET_PEAK } from '.';

const isGood = ({ verdict, arrives }: Outcome): boolean =>
  verdict === 'clean' && arrives.every((a) => a.state === 'recorded' && levelMiss(a) === 0);

/** Every place of every switch, and knobs at their ends and in the middle, one after the other. */
function* everySetting(rig: Rig): Generator<Rig> {
  const choices = laidParts(rig).flatMap(({ placed, part }) =>
    (part.settings ?? []).map((setting): RigEdit[] => {
      const places =
        setting.kind === 'switch'
          ? setting.options.map((option) => option.id)
          : [setting.from, Math.round((setting.from + setting.to) / 2), setting.to];
      return places.map((option) => ({ kind: 'set', part: placed.id, setting: setting.id, option }));
    }),
  );
  function* from(index: number, at: Rig): Generator<Rig> {
    const options = choices[index];
    if (!options) yield at;
    else for (const edit of options) yield* from(index + 1, applyEdit(at, edit));
  }
  yield* from(0, rig);
}

const SKETCHES: Readonly<Record<string, RigSketch>> = {
  'a condenser on an interface whose phantom is off': {
    parts: { mic: 'condenser-xlr', interface: 'interface-small', phone: 'phone-usb-c' },
    joints: ['mic.out interface.mic-1', 'interface.usb phone.port'],
  },
  'a shouting voice into a camera': {
    parts: { receiver: 'receiver-trs', lead: 'lead-trs-trs', camera: 'camera-trs' },
    joints: ['receiver.out lead.a', 'lead.b camera.mic'],
    settings: { receiver: { output: 'high' }, camera: { gain: 30 } },
    voice: 'shout',
    distances: { receiver: 0.1 },
  },
  'a hub without its supply': {
    parts: {
      mic: 'usb-mic-low',
      lead: 'lead-usb-a-c',
      hub: 'hub-usb-a',
      adapter: 'adapter-8-pin-usb-bare',
      phone: 'phone-8-pin',
    },
    joints: ['lead.b mic.usb', 'lead.a hub.three', 'hub.plug adapter.usb', 'adapter.plug phone.port'],
    settings: { hub: { supply: 'off' } },
  },
  'a pack that is muted': {
    parts: { pack: 'pack-clip-on', receiver: 'receiver-two-channel-usb', phone: 'phone-usb-c' },
    joints: ['pack.radio receiver.a', 'receiver.usb phone.port'],
    settings: { pack: { live: 'off' } },
  },
  'a plain lead in a headset jack: nothing helps': {
    parts: { receiver: 'receiver-trs', lead: 'lead-trs-trs', phone: 'phone-ctia' },
    joints: ['receiver.out lead.a', 'lead.b phone.jack'],
  },
};

describe.each(Object.entries(SKETCHES))('%s', (_, sketch) => {
  const rig = layRig(sketch);
  it('is settled where some setting settles it, and only there', () => {
    const tried = [...everySetting(rig)];
    expect(tried.length).toBeLessThan(3000);
    const possible = tried.some((one) => isGood(outcomeOf(one)));
    const settled = settle(rig);
    expect(isGood(settled.judged)).toBe(possible);
    expect(settled.judged).toEqual(outcomeOf(settled.rig));
    expect(settled.runs).toBeLessThanOrEqual(30);
  });
});

describe('two packs that are to be kept apart', () => {
  it('the receiver’s mode is found', () => {
    const rig = layRig({
      parts: {
        one: 'pack-clip-on',
        two: 'pack-clip-on',
        receiver: 'receiver-two-channel-usb',
        phone: 'phone-usb-c',
      },
      joints: ['one.radio receiver.a', 'two.radio receiver.b', 'receiver.usb phone.port'],
      apps: { phone: 'recorder-app' },
      others: ['two'],
      apart: true,
    });
    expect(outcomeOf(rig).verdict).not.toBe('clean');
    const { rig: settled, judged } = settle(rig);
    expect(judged.verdict).toBe('clean');
    expect(settled.parts.find((p) => p.id === 'receiver')?.settings).toMatchObject({ mode: 'stereo' });
  });
});

describe('two channels of a desk that are to be kept apart', () => {
  // Common practice: one hard left, the other hard right. One of them alone does nothing: the other is on both sides.
  it.each([
    ['dynamic microphones', 'dynamic-xlr', {}],
    ['condensers, of which the level is off as well', 'condenser-xlr', {}],
    ['both panned to one side', 'dynamic-xlr', { desk: { 'pan-mic-1': 'left', 'pan-mic-2': 'left' } }],
  ])('%s are panned to either side', (_, mic, begun) => {
    const { rig, judged } = settle(twoOnADesk(mic, begun));
    expect(judged.verdict).toBe('clean');
    expect(judged.arrives.map(({ channels }) => channels).sort()).toEqual(['left', 'right']);
    const { settings } = rig.parts.find(({ id }) => id === 'desk')!;
    expect([settings?.['pan-mic-1'], settings?.['pan-mic-2']].sort()).toEqual(['left', 'right']);
  });
});

describe('a source that stands on a side for good, and another that can be panned', () => {
  it('the other is panned away from it', () => {
    const { rig, judged } = settle(
      layRig({
        parts: {
          deck: 'deck',
          voice: 'dynamic-xlr',
          into: 'lead-jack-rca',
          cable: 'lead-xlr',
          desk: 'mixer-rca-only',
          lead: 'lead-rca-pair-trs',
          camera: 'camera-trs',
        },
        joints: [
          'into.rca deck.left',
          'into.big desk.pair-1-left',
          'cable.holes voice.out',
          'cable.pins desk.mic-1',
          'lead.left desk.tape-left',
          'lead.right desk.tape-right',
          'lead.small camera.mic',
        ],
        others: ['voice'],
        apart: true,
      }),
    );
    expect(judged.verdict).toBe('clean');
    expect(judged.arrives.map(({ channels }) => channels).sort()).toEqual(['left', 'right']);
    expect(rig.parts.find(({ id }) => id === 'desk')!.settings?.['pan-mic-1']).toBe('right');
  });
});

describe('a pair on two inputs with a gain each', () => {
  // Either gain alone leaves the other side clipped; a stereo pair is set alike (common practice).
  it.each([
    ['mic-1', 'mic-2'],
    ['mic-2', 'mic-1'],
  ])('is turned down on both, left on %s', (left, right) => {
    const { rig, judged } = settle(
      layRig({
        parts: { keys: 'keyboard', one: 'lead-jack-xlr', two: 'lead-jack-xlr', recorder: 'recorder-xlr' },
        joints: [
          'one.big keys.left',
          'two.big keys.right',
          `one.pins recorder.${left}`,
          `two.pins recorder.${right}`,
        ],
      }),
    );
    expect(judged.verdict).toBe('clean');
    const { settings } = rig.parts.find(({ id }) => id === 'recorder')!;
    expect(settings?.['gain-1']).toBe(settings?.['gain-2']);
  });
});

describe('polishing', () => {
  const rig = layRig({
    parts: { mic: 'dynamic-xlr', interface: 'interface-small', phone: 'phone-usb-c' },
    joints: ['mic.out interface.mic-1', 'interface.usb phone.port'],
  });
  it('brings speech near −12 dBFS (common practice) and costs no clearness', () => {
    const first = outcomeOf(rig);
    expect(first.arrives[0]?.peak).toBeLessThan(TARGET_PEAK - 6);
    const { judged } = polish(rig, first);
    const [before, after] = [first.arrives[0]!, judged.arrives[0]!];
    expect(Math.abs(after.peak - TARGET_PEAK)).toBeLessThan(Math.abs(before.peak - TARGET_PEAK) - 6);
    expect(overNoise(after)).toBeGreaterThan(overNoise(before) - 1);
    expect(judged.verdict).toBe('clean');
  });
  it('leaves alone what is near enough', () => {
    const { rig: once, judged } = polish(rig, outcomeOf(rig));
    expect(polish(once, judged)).toEqual({ rig: once, judged, runs: 0 });
  });
});

it('drowned speech counts as a miss, clear speech does not', () => {
  const arrival = outcomeOf(layRig(SKETCHES['a condenser on an interface whose phantom is off']!))
    .arrives[0]!;
  const clear = { ...arrival, state: 'recorded', headroom: 12, peak: -12, noise: -60 } as typeof arrival;
  expect(levelMiss(clear)).toBe(0);
  expect(levelMiss({ ...clear, noise: -22 } as typeof arrival)).toBeCloseTo(LEAST_OVER_NOISE - 10, 9);
});
