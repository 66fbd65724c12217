import { readdirSync, readFileSync } from 'node:fs';
import { describe, expect, it } from 'vitest';
import { allFacts } from '../../engine';
import { programmeAt } from '../../engine/hearing';
import { readRig } from '../../files/read-rig';
import { outcomeOf } from '../../judge';
import { applyEdit, type Rig } from '../../rig';
import { sayEdit, sayNotLightest } from '../../words';
import { layRig } from '../../../../testing/lay-rig';
import { twoOnADesk } from '../../../../testing/two-on-a-desk';
import { hallBy } from '../../../../testing/power-rigs';
import { MOST_STEPS, wayOut } from '.';

const demo = (name: string): Rig => {
  const result = readRig(readFileSync(`demo/rigs/${name}`, 'utf8'));
  if (!result.ok) throw new Error(name);
  return result.rig;
};

/** The steps in words, and the rig after them, judged anew by the whole pipeline. */
function followed(rig: Rig, drawer = {}) {
  const { way, ended } = wayOut(rig, drawer);
  let at = rig;
  const says = (way?.steps ?? []).map(({ edit }) => {
    const said = sayEdit(at, edit);
    at = applyEdit(at, edit);
    return said;
  });
  return { way, ended, says, after: outcomeOf(at) };
}

describe('the way out of the yard’s rigs', () => {
  it.each(readdirSync('demo/rigs'))('%s is clean after at most four steps', (name) => {
    const { way, after } = followed(demo(name));
    expect(way?.steps.length).toBeGreaterThan(0);
    expect(way?.steps.length).toBeLessThanOrEqual(MOST_STEPS);
    expect(after.verdict).toBe('clean');
    expect(after.findings.filter(({ severity }) => severity !== 'note')).toEqual([]);
  });

  // What a practitioner does, written down before: see the issue and common practice.
  it.each([
    ['slipway-diary.json', [/Swap TRS–TRS lead for TRS-to-TRRS patch cable/, /Output to low/]],
    ['sail-loft-talk.json', [/USB hub.*Mains supply to on/]],
    ['quay-to-camera.json', [/mic jack/]],
    ['two-at-the-bench.json', [/both packs on both sides/]],
    ['launch-day-stream.json', [/Take desk charger.* out/]],
    [
      'harbour-call-in.json',
      [/Line pair 1: Monitor send to −60/, /Line pair 1: FX send to 0/, /Line pair 2: Monitor send to 0/],
    ],
    ['loft-songs.json', [/Track . armed, yes/]],
  ])('%s goes as people would do it', (name, expected) => {
    const { says } = followed(demo(name));
    expect(says).toHaveLength(expected.length);
    says.forEach((said, index) => expect(said).toMatch(expected[index] ?? /^$/));
  });

  it('takes from the drawer what is there', () => {
    const { way } = followed(demo('slipway-diary.json'), { 'splitter-trs': 1 });
    expect(way?.steps[0]).toMatchObject({
      edit: { kind: 'insert', part: 'splitter-trs' },
      cost: { owned: true, price: 0 },
    });
  });
});

it('two sources that share both sides of a desk are panned to either side: two steps that do nothing alone', () => {
  const { says, after } = followed(twoOnADesk('dynamic-xlr'));
  expect(says).toHaveLength(2);
  expect(says.join(' ')).toMatch(/pan to left.*pan to right/i);
  expect(after.verdict).toBe('clean');
});

describe('the order in which people work', () => {
  it('ends at once when the time is over, and says what is ruled out', () => {
    const out = wayOut(demo('slipway-diary.json'), {}, { spent: () => true });
    expect(out).toMatchObject({ ended: 'cut' });
    expect(out.way).toBeUndefined();
    expect(out.under).toBeGreaterThan(0);
  });

  it('then gives the lightest single edit that is known to make it clean, and says that a lighter way was not ruled out', () => {
    const rig = demo('sail-loft-talk.json');
    const hub = { kind: 'set', part: 'hub', setting: 'supply', option: 'on' } as const;
    const useless = { kind: 'set', part: 'interface', setting: 'direct', option: 'on' } as const;
    const cut = { spent: () => true };
    expect(wayOut(rig, {}, { ...cut, known: [useless] }).way).toBeUndefined();
    const out = wayOut(rig, {}, { ...cut, known: [useless, hub] });
    expect(out.way?.steps.map(({ edit }) => edit)).toEqual([hub]);
    expect(out.way?.verdict).toBe('clean');
    expect(sayNotLightest(out)).toContain('before lighter ways were ruled out');
    expect(sayNotLightest(wayOut(rig, {}))).toBeUndefined();
  });
});

// Common practice: guests are heard where the app plays, and a jack that is taken is split.
it('whoever listens ahead of the phone gets a splitter at its jack, and plugs in there', () => {
  const rig = layRig({
    parts: {
      mic: 'dynamic-xlr',
      xlr: 'lead-xlr',
      mixer: 'mixer-monitor-fx',
      send: 'lead-line-headset-pad',
      dongle: 'dongle-usb-c-headset',
      phone: 'phone-usb-c',
      small: 'adapter-jack-small',
      ears: 'headphones-trs',
    },
    joints: [
      'mic.out xlr.holes',
      'xlr.pins mixer.mic-1',
      'send.big mixer.main-left',
      'send.trrs dongle.jack',
      'dongle.plug phone.port',
      'small.big mixer.phones',
      'ears.plug small.small',
    ],
    settings: { mixer: { 'gain-1': 56 } },
    distances: { mic: 0.1 },
    apps: { phone: 'live-stream' },
    recorder: 'phone',
  });
  expect(outcomeOf(rig).findings.map(({ code }) => code)).toEqual(['guests-not-heard']);
  const { says, after } = followed(rig);
  expect(says[0]).toContain('Put headset splitter, TRRS microphone socket between');
  expect(says.at(-1)).toContain('Plug headphones, TRS plug into the headphone socket of headset splitter');
  expect(after.verdict).toBe('clean');
});

// Common practice: a phone that would be empty before the end is charged through what hangs on it.
describe('a phone that does not last', () => {
  it('gets a dongle that hands a charge on, with a charger in it', () => {
    const rig = layRig({
      parts: { mic: 'clip-on-trrs', dongle: 'dongle-usb-c-headset', phone: 'phone-usb-c' },
      joints: ['mic.plug dongle.jack', 'dongle.plug phone.port'],
      distances: { mic: 0.2 },
      apps: { phone: 'live-stream' },
    });
    const long: Rig = { ...rig, surroundings: { ...rig.surroundings, session: { minutes: 300 } } };
    expect(outcomeOf(long).findings.map(({ code }) => code)).toContain('runs-flat');
    const { says, after } = followed(long);
    expect(says).toHaveLength(2);
    expect(says[0]).toMatch(/Swap .* for .*charge-through/);
    expect(says[1]).toMatch(/charger|power bank/);
    expect(after.verdict).toBe('clean');
  });
});

// Common practice: a balanced lead to the powered loudspeaker. What would leave it without a sound is no way out.
describe('a loudspeaker that hums', () => {
  const hall = (run: string) => layRig(hallBy(run));

  it('gets a balanced lead, and plays as before', () => {
    const { says, way } = followed(hall('lead-jack-ts'));
    expect(says).toEqual([expect.stringMatching(/Swap 6\.35 mm TS lead for 6\.35 mm TRS lead/)]);
    const [before] = allFacts(hall('lead-jack-ts'));
    const [after] = allFacts(way?.rig ?? hall('lead-jack-ts'));
    expect(programmeAt(after, 'speaker')).toBeGreaterThan(programmeAt(before, 'speaker') - 3);
  });
});
