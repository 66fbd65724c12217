import { readdirSync } from 'node:fs';
import { describe, expect, it } from 'vitest';
import { CATALOGUE, findPart, passesOn } from '../../parts';
import { outcomeOf } from '../../judge';
import { applyEdit, jointsOf, type Rig, type RigEdit } from '../../rig';
import { neededPart } from '../fixes/edit-cost';
import { sayWhyNot } from '../../words';
import { usual, wayBack } from '../../../../testing/usual-rig';
import { layRig, type RigSketch } from '../../../../testing/lay-rig';
import { wayOut } from '.';

const partsOf = (edits: readonly RigEdit[]): string[] => edits.flatMap((edit) => neededPart(edit) ?? []);
const settingsOf = (edits: readonly RigEdit[]): unknown[] =>
  edits.flatMap((edit) => (edit.kind === 'set' ? [edit.option] : []));

function cured(sketch: RigSketch) {
  const { way } = wayOut(layRig(sketch), {});
  const edits = way?.steps.map(({ edit }) => edit) ?? [];
  return { verdict: way?.verdict, parts: partsOf(edits).sort(), set: settingsOf(edits), edits };
}

const laidOut = (...parts: readonly string[]): RigSketch => ({
  parts: Object.fromEntries(parts.map((part, index) => [`p${index}`, part])),
  joints: [],
});

/** What is laid out, and what practice would join it by (common practice), written down before it was asked. */
const BARE: readonly (readonly [what: string, laid: readonly string[], by: readonly string[]])[] = [
  ['a receiver and a headset jack: the patch cable', ['receiver-trs', 'phone-ctia'], ['patch-trs-trrs']],
  ['a receiver and a camera: the plain lead', ['receiver-trs', 'camera-trs'], ['lead-trs-trs']],
  [
    'a receiver and an 8-pin phone: patch cable and headset dongle',
    ['receiver-trs', 'phone-8-pin'],
    ['dongle-8-pin-headset', 'patch-trs-trrs'],
  ],
  [
    'a receiver and a USB-C phone: the same with a dongle that converts',
    ['receiver-trs', 'phone-usb-c'],
    ['dongle-usb-c-headset', 'patch-trs-trrs'],
  ],
  [
    'a dynamic microphone and a camera: its camera lead',
    ['dynamic-xlr', 'camera-trs'],
    ['lead-xlr-trs-camera'],
  ],
  [
    'a condenser and a USB-C phone: a small interface, and a lead to it, for a microphone stands apart from a box',
    ['condenser-xlr', 'phone-usb-c'],
    ['interface-small', 'lead-xlr'],
  ],
  [
    'a clip-on with a TRS plug and a headset jack: the adapter',
    ['clip-on-trs', 'phone-ctia'],
    ['adapter-trs-trrs'],
  ],
  ['a headset and a USB-C phone: the dongle', ['headset-ctia', 'phone-usb-c'], ['dongle-usb-c-headset']],
  [
    'a guitar, an interface that is there and a USB-C phone: a lead into it and one out of it',
    ['guitar', 'interface-two-inputs', 'phone-usb-c'],
    ['lead-jack-ts', 'lead-usb-c-c'],
  ],
];

describe('what is laid out and not joined yet', () => {
  it.each(BARE)('%s', (_, laid, by) => {
    const found = cured(laidOut(...laid));
    expect(found).toMatchObject({ verdict: 'clean', parts: by });
  });
  it('a condenser gets its phantom, a guitar its instrument input', () => {
    expect(cured(laidOut('condenser-xlr', 'phone-usb-c')).set).toContain('on');
    expect(cured(laidOut('guitar', 'interface-two-inputs', 'phone-usb-c')).set).toContain('instrument');
  });
  it('a lead that lies beside is plugged in, and nothing is bought', () => {
    const found = cured(laidOut('receiver-trs', 'lead-trs-trs', 'camera-trs'));
    expect(found).toMatchObject({ verdict: 'clean', parts: [] });
    expect(found.edits.map(({ kind }) => kind)).toEqual(['join', 'join']);
  });
});

it('between very many free ends no two parts at a time are tried, and that is said', () => {
  // Two large mixers, one into the other, on either side of the gap.
  const wide = layRig({
    parts: {
      mic: 'dynamic-xlr',
      xlr: 'lead-xlr',
      near: 'mixer-large',
      on: 'lead-jack-ts',
      'near-2': 'mixer-large',
      'far-2': 'mixer-large',
      into: 'lead-jack-ts',
      far: 'mixer-large',
      pad: 'lead-line-headset-pad',
      phone: 'phone-ctia',
    },
    joints: [
      'mic.out xlr.holes',
      'xlr.pins near.mic-1',
      'near.main-left on.a',
      'on.b near-2.pair-1-left',
      'far-2.main-left into.a',
      'into.b far.pair-1-left',
      'far.main-left pad.big',
      'pad.trrs phone.jack',
    ],
  });
  const out = wayOut(wide, {}, { spent: () => true });
  expect(out).toMatchObject({ ended: 'cut', isWide: true });
  expect(sayWhyNot(out)).toContain('no two parts at a time were tried');
  const narrow = wayOut(layRig(laidOut('receiver-trs', 'phone-8-pin')), {}, { spent: () => true });
  expect(sayWhyNot(narrow)).not.toContain('no two parts');
});

describe('what is to be fed and is not', () => {
  const byHeadphones = (more: Record<string, string> = {}): RigSketch => ({
    parts: {
      mic: 'usb-mic-big',
      small: 'adapter-small-jack',
      pad: 'lead-line-headset-pad',
      ...more,
      phone: 'phone-ctia',
    },
    joints: ['mic.phones small.small', 'small.big pad.big', 'pad.trrs phone.jack'],
  });
  it('a charger lies beside: the lead between', () => {
    expect(cured(byHeadphones({ charger: 'charger-usb-a' }))).toMatchObject({
      verdict: 'clean',
      parts: ['lead-usb-a-b'],
    });
  });
  it('nothing does: the lead and a charger, no computer that nobody has', () => {
    expect(cured(byHeadphones())).toMatchObject({
      verdict: 'clean',
      parts: ['charger-usb-a', 'lead-usb-a-b'],
    });
  });
});

describe('a fix is along the way that a finding is about, be it not that of the first source to the first recorder', () => {
  const keys = (keyboard: string) =>
    [`${keyboard}.left ${keyboard}-l.a`, `${keyboard}.right ${keyboard}-r.a`] as const;
  it('the plug of the second keyboard’s second lead lies loose: into its socket', () => {
    const found = cured({
      parts: {
        one: 'keyboard',
        two: 'keyboard',
        'one-l': 'lead-jack-ts',
        'one-r': 'lead-jack-ts',
        'two-l': 'lead-jack-ts',
        'two-r': 'lead-jack-ts',
        mixer: 'mixer-fx-usb',
        usb: 'lead-usb-c-b',
        tablet: 'tablet-usb-c',
      },
      joints: [
        ...keys('one'),
        ...keys('two'),
        'one-l.b mixer.pair-1-left',
        'one-r.b mixer.pair-1-right',
        'two-l.b mixer.pair-2-left',
        'mixer.usb usb.b',
        'usb.a tablet.port',
      ],
      others: ['two'],
    });
    expect(found.edits).toEqual([
      { kind: 'join', a: { part: 'two-r', port: 'b' }, b: { part: 'mixer', port: 'pair-2-right' } },
    ]);
  });
});

/** Any part with two ends goes from a rig that works; it costs no more to have it again than to buy and plug it in. */
describe('something is taken away from a usual rig', () => {
  const LAYING = 9;
  const goneFrom = (rig: Rig) =>
    rig.parts.filter(({ id, part }) => {
      const found = findPart(part);
      return found && passesOn(found) && found.ports.length === 2 && jointsOf(rig, id).length === 2;
    });
  // Every third file, for time: another mixture of cables, dongles and USB leads each.
  const files = readdirSync('demo/usual').filter((_, index) => index % 3 === 0);
  const cases = files.flatMap((file) =>
    goneFrom(usual(file)).map(({ id, part }) => [`${file}: ${part}`, file, id, part] as const),
  );
  it('there are enough', () => {
    expect(cases.length).toBeGreaterThan(8);
  });
  it.each(cases)('%s', { timeout: 60_000 }, (_, file, id, part) => {
    const left = applyEdit(usual(file), { kind: 'remove', part: id });
    expect(outcomeOf(left).verdict).not.toBe('clean');
    const way = wayBack(left);
    expect(way?.verdict).toBe('clean');
    const price = CATALOGUE.find((one) => one.id === part)?.price ?? NaN;
    expect(way?.weight).toBeLessThanOrEqual(price + LAYING);
  });
});
