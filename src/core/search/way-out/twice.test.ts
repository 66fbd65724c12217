import { readdirSync } from 'node:fs';
import { describe, expect, it } from 'vitest';
import { outcomeOf } from '../../judge';
import { standIns } from '../../parts';
import { applyEdit, laidParts, settingOf, type LaidPart, type Rig, type RigEdit } from '../../rig';
import { cleaningEdits, searchFixes } from '../fixes';
import { usual, wayBack } from '../../../../testing/usual-rig';
import { layRig } from '../../../../testing/lay-rig';

const done = (rig: Rig, edits: readonly RigEdit[]): Rig => edits.reduce(applyEdit, rig);
const pulled = (rig: Rig, ...joints: readonly string[]): Rig =>
  done(
    rig,
    joints.map((joint) => ({ kind: 'unplug', joint })),
  );

/** Every other place of the switches of a part: what somebody may have done to it. */
const thrown = (laid: LaidPart): Extract<RigEdit, { kind: 'set' }>[] =>
  (laid.part.settings ?? []).flatMap((setting) =>
    setting.kind !== 'switch' || standIns(laid.part).has(setting.id)
      ? []
      : setting.options
          .filter(({ id }) => id !== settingOf(laid, setting.id))
          .map(({ id }) => ({ kind: 'set', part: laid.placed.id, setting: setting.id, option: id }) as const),
  );

const isWrong = (rig: Rig): boolean => outcomeOf(rig).verdict !== 'clean';

describe('two plugs are out: both go in again, and nothing is bought', () => {
  // Every seventh file, for time.
  const files = readdirSync('demo/usual').filter((_, index) => index % 7 === 6);
  const cases = files.flatMap((file) => {
    const { joints } = usual(file);
    return joints.flatMap((one, index) =>
      joints
        .slice(index + 1)
        .filter((other) => isWrong(pulled(usual(file), one.id, other.id)))
        .map((other) => [file, one.id, other.id] as const),
    );
  });
  it('there are enough', () => {
    expect(cases.length).toBeGreaterThan(30);
  });
  it.each(cases)('%s: %s and %s', { timeout: 60_000 }, (file, one, other) => {
    const way = wayBack(pulled(usual(file), one, other));
    expect(way?.verdict).toBe('clean');
    expect(way?.weight).toBeLessThanOrEqual(2);
  });
  it('the lead and the adapter between lie beside, in one another', () => {
    expect(wayBack(pulled(usual('guitar-voice-tracks.json'), 'j5', 'j7'))).toMatchObject({
      verdict: 'clean',
      weight: 2,
    });
  });
  it('of a caller’s lead to a desk, where nobody but the callers is cut off', () => {
    const left = pulled(usual('two-callers.json'), 'j6');
    const deaf = outcomeOf(left).findings.find(({ code }) => code === 'callers-deaf');
    expect(deaf && cleaningEdits([searchFixes(left, deaf, {})])).toEqual([
      { kind: 'join', a: { part: 'from-a', port: 'small' }, b: { part: 'split-a', port: 'phones' } },
    ]);
  });
});

describe('a lead of which the wrong end hangs loose', () => {
  it('is plugged in and turned round, both', () => {
    // The plug with three bands in the receiver, the one with two loose.
    const way = wayBack(
      layRig({
        parts: {
          receiver: 'receiver-trs',
          patch: 'patch-trs-trrs',
          dongle: 'dongle-usb-c-headset',
          phone: 'phone-usb-c',
        },
        joints: ['receiver.out patch.trrs', 'dongle.plug phone.port'],
      }),
    );
    expect(way?.verdict).toBe('clean');
    expect(way?.steps.map(({ edit }) => edit.kind).sort()).toEqual(['join', 'turn']);
  });
});

describe('two switches stand wrong: the way out is both', () => {
  // Every sixth file, for time.
  const files = readdirSync('demo/usual').filter((_, index) => index % 6 === 4);
  const cases = files.flatMap((file) => {
    const rig = usual(file);
    const wrong = laidParts(rig)
      .flatMap(thrown)
      .filter((edit) => isWrong(applyEdit(rig, edit)));
    return wrong.flatMap((one, index) =>
      wrong
        .slice(index + 1)
        .filter((other) => JSON.stringify({ ...one, option: 0 }) !== JSON.stringify({ ...other, option: 0 }))
        .filter((other) => isWrong(done(rig, [one, other])))
        .map((other) => [file, [one, other]] as const),
    );
  });
  it('there are enough', () => {
    expect(cases.length).toBeGreaterThan(20);
  });
  it.each(cases)('%s: %o', { timeout: 60_000 }, (file, edits) => {
    const way = wayBack(done(usual(file), edits));
    expect(way?.verdict).toBe('clean');
    expect(way?.weight).toBeLessThanOrEqual(2);
  });
  it('of two mutes on one way each is taken off by the fix of its own finding', () => {
    const left = done(usual('pack-laptop.json'), [
      { kind: 'set', part: 'laptop-combo', setting: 'asked', option: 'headphones' },
      { kind: 'set', part: 'receiver-trs', setting: 'live', option: 'off' },
    ]);
    const { findings } = outcomeOf(left);
    const weighing = findings.filter(({ severity }) => severity !== 'note');
    expect(weighing.map(({ code, setting }) => [code, setting]).sort()).toEqual([
      ['switched-off', 'asked'],
      ['switched-off', 'live'],
    ]);
    for (const finding of weighing)
      expect(searchFixes(left, finding, {}).fixes[0]?.edit).toMatchObject({
        kind: 'set',
        part: finding.where.part,
        setting: finding.setting,
      });
  });
  it.each([
    ['plug-on.json', 'pack-plug-on', 'battery', ['receiver-two-channel', 'power']],
    ['mixer-headset.json', 'mixer-monitor-fx', 'mains', ['mixer-monitor-fx', 'on-mic-1']],
  ] as const)(
    '%s: power for %s is a cure though another switch is off as well',
    (file, part, setting, [other, its]) => {
      const left = done(usual(file), [
        { kind: 'set', part, setting, option: 'off' },
        { kind: 'set', part: other, setting: its, option: 'off' },
      ]);
      const dark = outcomeOf(left).findings.find(
        ({ code, where }) => code === 'part-unpowered' && where.part === part,
      );
      const fixes = dark ? searchFixes(left, dark, {}).fixes : [];
      expect(fixes.map(({ edit }) => edit)).toContainEqual({ kind: 'set', part, setting, option: 'on' });
    },
  );
});
