import { readFileSync } from 'node:fs';
import { describe, expect, it } from 'vitest';
import { FINDING_CODES } from '../checks';
import { applyEdit } from '../rig';
import { checkRig } from '../files/read-rig';
import { layRig, type RigSketch } from '../../../testing/lay-rig';
import { FINDING_WORDS, findingsPage } from '.';
import { checkReport } from '../files';

const trsIntoPhone: RigSketch = {
  parts: { receiver: 'receiver-trs', lead: 'lead-trs-trs', phone: 'phone-ctia' },
  joints: ['receiver.out lead.a', 'lead.b phone.jack'],
};

describe('the check report', () => {
  const report = checkReport(layRig(trsIntoPhone));
  const [finding] = report.findings;

  it('says it as a person would, with value and limit in the reason', () => {
    expect(report.arrives[0]?.says).toBe('The phone will record its own microphone, not the pack.');
    expect(finding?.title).toBe('Three contacts into four');
    expect(finding?.says).toBe(
      'The lead’s sleeve lies on both the sleeve spring (microphone) and the ring 2 spring (ground) of the jack: ' +
        '0 Ω to ground, and the phone wants 1 kΩ or more before it believes in a microphone.',
    );
    expect(finding?.source.text).toContain('Android wired headset specification 1.1');
  });

  it('says of a call that it is sent, not recorded', () => {
    const inRoom = (lead: string, ends: readonly [string, string]) =>
      checkReport(
        layRig({
          parts: { receiver: 'receiver-trs', lead, phone: 'phone-ctia' },
          joints: [`receiver.out lead.${ends[0]}`, `lead.${ends[1]} phone.jack`],
          apps: { phone: 'voice-room' },
        }),
      ).arrives[0]?.says;
    expect(inRoom('patch-trs-trrs', ['trs', 'trrs'])).toBe(
      'The phone will send the pack to the far end, in mono.',
    );
    expect(inRoom('lead-trs-trs', ['a', 'b'])).toBe(
      'The phone will send its own microphone to the far end, not the pack.',
    );
  });

  it('survives JSON: what has no level is null, never a hole', () => {
    const open = checkReport(
      layRig({
        parts: {
          receiver: 'receiver-trs',
          lead: 'patch-trs-trrs',
          splitter: 'splitter-trs',
          phone: 'phone-ctia',
        },
        joints: ['receiver.out lead.trs', 'lead.trrs splitter.mic', 'splitter.plug phone.jack'],
      }),
    );
    expect(JSON.parse(JSON.stringify(open))).toEqual(open);
    expect(open.arrives[0]).toMatchObject({ state: 'listed-silent', peakDbfs: null, clipsAt: null });
    expect(open.findings[0]?.values[0]).toMatchObject({ value: null, unit: 'ohm' });
  });

  it('offers each fix as an edit that gives a valid rig', () => {
    expect(finding?.fixes.length).toBeGreaterThan(0);
    expect(finding?.fixes[0]?.says).toBe(
      'Swap TRS–TRS lead for TRS-to-TRRS patch cable, end with two dark bands first',
    );
    for (const fix of finding?.fixes ?? []) {
      expect(checkRig(applyEdit(layRig(trsIntoPhone), fix.edit)).ok, fix.says).toBe(true);
    }
  });

  it.each<[string, RigSketch, RegExp]>([
    [
      'no lead',
      { parts: { receiver: 'receiver-trs', phone: 'phone-ctia' }, joints: [] },
      /^No lead joins the pack to the phone\.$/,
    ],
    [
      'wrong size or kind',
      { parts: { lead: 'lead-trs-trs', phone: 'phone-8-pin' }, joints: ['lead.a phone.port'] },
      /^A 3\.5 mm TRS plug and an 8-pin jack do not go together: they are of different kinds\.$/,
    ],
    [
      'swapped contacts',
      { parts: { mic: 'clip-on-trrs', phone: 'phone-omtp' }, joints: ['mic.plug phone.jack'] },
      /−0\.93 V across the capsule, which wants 0\.50 V or more\.$/,
    ],
    [
      'the wrong socket of the same box',
      {
        parts: { receiver: 'receiver-trs', lead: 'lead-trs-trs', camera: 'camera-trs' },
        joints: ['receiver.out lead.a', 'lead.b camera.phones'],
      },
      /^The plug is in the headphone jack of .*, and nothing listens there\. The mic jack beside it takes the same plug, and listens\.$/,
    ],
    [
      'output into output',
      {
        parts: {
          receiver: 'receiver-trs',
          lead: 'lead-trs-trs',
          hub: 'hub-usb-c-phones',
          phone: 'phone-usb-c',
        },
        joints: ['receiver.out lead.a', 'lead.b hub.phones', 'hub.plug phone.port'],
      },
      /^The pack gives sound out, and so does the headphone socket of .*\. Nothing listens there\.$/,
    ],
    [
      'one side',
      {
        parts: { receiver: 'receiver-tip-only', lead: 'lead-trs-trs', camera: 'camera-trs' },
        joints: ['receiver.out lead.a', 'lead.b camera.mic'],
      },
      /^The camera records two sides, and the pack is on one of them: the right side has nothing, the left side has −[\d.]+ dBFS/,
    ],
  ])('has a sentence for %s', (_, sketch, reason) => {
    expect(checkReport(layRig(sketch)).findings[0]?.says).toMatch(reason);
  });
});

describe('the list of findings', () => {
  it('has every code once', () => {
    expect(Object.keys(FINDING_WORDS).sort()).toEqual([...FINDING_CODES].sort());
  });
  it('docs/findings.md is up to date', () => {
    expect(readFileSync('docs/findings.md', 'utf8')).toBe(findingsPage());
  });
});
