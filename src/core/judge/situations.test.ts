import { describe, expect, it } from 'vitest';
import { analyse } from '.';
import { judge, type Judged } from '../../../testing/judge';
import { layRig, type RigSketch } from '../../../testing/lay-rig';

/**
 * Situations of the trade (common practice), each with the finding that names its cause, and a near twin without the
 * fault on which nothing may be found.
 */
const valueOf = (judged: Judged, index = 0) => judged.findings[0]?.values[index]?.value;

const packToPhone = (lead: string, from: string, to: string, phone = 'phone-ctia'): RigSketch => ({
  parts: { receiver: 'receiver-trs', lead, phone },
  joints: [`receiver.out lead.${from}`, `lead.${to} phone.jack`],
});

describe('receiver with TRS output to a headset jack', () => {
  it('the TRS lead shorts the microphone line: the phone stays on its own microphone', () => {
    const found = judge(packToPhone('lead-trs-trs', 'a', 'b'));
    expect(found).toMatchObject({ verdict: 'silent', state: 'wrong-mic', codes: ['mic-line-shorted'] });
    expect(found.findings[0]?.where).toEqual({ joint: 'j2', plug: ['S'], jack: ['S', 'R2'] });
    expect(valueOf(found, 0)).toBeLessThan(1);
    expect(valueOf(found, 1)).toBeCloseTo(0, 3);
  });
  it('a recorder with a source list does not list it', () => {
    const sketch = { ...packToPhone('lead-trs-trs', 'a', 'b'), apps: { phone: 'recorder-app' } as const };
    expect(judge(sketch)).toMatchObject({ verdict: 'silent', state: 'not-listed' });
  });
  it('the patch cable records, in mono', () => {
    const found = judge(packToPhone('patch-trs-trrs', 'trs', 'trrs'));
    expect(found).toMatchObject({ verdict: 'clean', state: 'recorded', codes: [] });
    expect(found.arrives[0]?.channels).toBe('mono');
  });
  it('the patch cable turned round fails again', () => {
    const found = judge(packToPhone('patch-trs-trrs', 'trrs', 'trs'));
    expect(found).toMatchObject({ verdict: 'silent', state: 'wrong-mic' });
    expect(found.codes).toContain('mic-line-shorted');
  });
  it('the same through the headset dongle of an 8-pin phone', () => {
    const viaDongle = (lead: string, from: string, to: string): RigSketch => ({
      parts: { receiver: 'receiver-trs', lead, dongle: 'dongle-8-pin-headset', phone: 'phone-8-pin' },
      joints: [`receiver.out lead.${from}`, `lead.${to} dongle.jack`, 'dongle.plug phone.port'],
    });
    expect(judge(viaDongle('lead-trs-trs', 'a', 'b')).state).toBe('wrong-mic');
    expect(judge(viaDongle('patch-trs-trrs', 'trs', 'trrs'))).toMatchObject({ verdict: 'clean' });
  });
  it('a dongle that hangs on no phone records nothing', () => {
    const found = judge({
      parts: {
        receiver: 'receiver-trs',
        lead: 'patch-trs-trrs',
        dongle: 'dongle-8-pin-headset',
        phone: 'phone-8-pin',
      },
      joints: ['receiver.out lead.trs', 'lead.trrs dongle.jack'],
    });
    expect(found).toMatchObject({ verdict: 'silent', codes: ['no-path'] });
  });
  it('an older (OMTP) phone takes the patch cable too: a floating pack may have its two contacts exchanged', () => {
    const found = judge(packToPhone('patch-trs-trrs', 'trs', 'trrs', 'phone-omtp'));
    expect(found).toMatchObject({ state: 'recorded' });
    expect(found.joints[1]?.expects.map((e) => e.role)).toEqual(['left', 'right', 'microphone', 'ground']);
  });
});

describe('splitters', () => {
  const viaSplitter = (splitter: string, lead: string, from: string, to: string): RigSketch => ({
    parts: { receiver: 'receiver-trs', lead, splitter, phone: 'phone-ctia' },
    joints: [`receiver.out lead.${from}`, `lead.${to} splitter.mic`, 'splitter.plug phone.jack'],
  });
  it('a patch cable’s TRRS end in a TRS microphone socket: listed but silent, nothing on the tip', () => {
    const found = judge(viaSplitter('splitter-trs', 'patch-trs-trrs', 'trs', 'trrs'));
    expect(found).toMatchObject({ verdict: 'silent', state: 'listed-silent' });
    expect(found.findings[0]).toMatchObject({
      code: 'mic-contact-open',
      where: { joint: 'j2', jack: ['T'], plug: ['T'] },
    });
  });
  it('the plain TRS lead is the right one there', () => {
    expect(judge(viaSplitter('splitter-trs', 'lead-trs-trs', 'a', 'b'))).toMatchObject({
      verdict: 'clean',
      state: 'recorded',
    });
  });
  it('in a TRRS microphone socket it is the other way about', () => {
    expect(judge(viaSplitter('splitter-trrs', 'patch-trs-trrs', 'trs', 'trrs'))).toMatchObject({
      verdict: 'clean',
    });
    const found = judge(viaSplitter('splitter-trrs', 'lead-trs-trs', 'a', 'b'));
    expect(found).toMatchObject({ state: 'wrong-mic', codes: ['mic-line-shorted'] });
    expect(found.findings[0]?.where.joint).toBe('j2');
  });
  it('headphones in the splitter’s other socket hear the phone on both sides', () => {
    const sketch = viaSplitter('splitter-trs', 'lead-trs-trs', 'a', 'b');
    const found = judge({
      ...sketch,
      parts: { ...sketch.parts, ears: 'headphones-trs' },
      joints: [...sketch.joints, 'ears.plug splitter.phones'],
      recorder: 'phone',
    });
    expect(found.verdict).toBe('clean');
    expect(found.listeners).toMatchObject([
      { listener: 'ears', hears: [{ device: 'phone', sides: 'both' }] },
    ]);
  });
});

describe('headset plugs and pinouts', () => {
  const intoPhone = (microphone: string, phone: string): RigSketch => ({
    parts: { microphone, phone },
    joints: ['microphone.plug phone.jack'],
  });
  it.each(['clip-on-trrs', 'headset-ctia'])('%s on a CTIA phone records', (microphone) => {
    expect(judge(intoPhone(microphone, 'phone-ctia'))).toMatchObject({ verdict: 'clean', codes: [] });
  });
  it('a clip-on with CTIA plug on an OMTP phone is biased backwards', () => {
    const found = judge(intoPhone('clip-on-trrs', 'phone-omtp'));
    expect(found).toMatchObject({ verdict: 'silent', state: 'listed-silent' });
    expect(found.codes[0]).toBe('contacts-swapped');
    expect(found.findings[0]?.where).toEqual({ joint: 'j1', plug: ['R2', 'S'], jack: ['R2', 'S'] });
    expect(valueOf(found)).toBeCloseTo(-0.926, 3);
  });
  it('a headset with CTIA plug on an OMTP phone also shorts its microphone line through the earpieces', () => {
    const found = judge(intoPhone('headset-ctia', 'phone-omtp'));
    // The common return of the earpieces stands on the microphone line: what both sides have in common is not heard either.
    expect(found).toMatchObject({
      state: 'wrong-mic',
      codes: ['contacts-swapped', 'mic-line-shorted', 'playback-cancels'],
    });
    // Two earpieces of 32 Ω, each behind 2 Ω of headphone amplifier, in parallel; the capsule's 1.6 kΩ beside them.
    expect(found.findings[1]?.values[0]?.value).toBeCloseTo(1 / (1 / 17 + 1 / 1600), 1);
  });
});

describe('cameras', () => {
  const toCamera = (receiver: string, jack: string): RigSketch => ({
    parts: { receiver, lead: 'lead-trs-trs', camera: 'camera-trs' },
    joints: ['receiver.out lead.a', `lead.b camera.${jack}`],
  });
  it('mic jack: both sides', () => {
    const found = judge(toCamera('receiver-trs', 'mic'));
    expect(found).toMatchObject({ verdict: 'clean', state: 'recorded' });
    expect(found.arrives[0]?.channels).toBe('both');
  });
  it('headphone jack: the wrong socket of the two, and the camera’s own microphone', () => {
    const found = judge(toCamera('receiver-trs', 'phones'));
    expect(found).toMatchObject({ verdict: 'silent', state: 'wrong-mic', codes: ['wrong-socket'] });
    expect(found.findings[0]?.where).toEqual({ joint: 'j2', part: 'camera', port: 'mic' });
  });
  it('a tip-only output arrives on the left alone', () => {
    const found = judge(toCamera('receiver-tip-only', 'mic'));
    expect(found).toMatchObject({ verdict: 'faulty', state: 'recorded', codes: ['one-side-only'] });
    expect(found.arrives[0]?.channels).toBe('left');
  });
  it('the same tip-only output into a mono headset input is no fault', () => {
    const found = judge({
      parts: { receiver: 'receiver-tip-only', lead: 'patch-trs-trrs', phone: 'phone-ctia' },
      joints: ['receiver.out lead.trs', 'lead.trrs phone.jack'],
    });
    expect(found).toMatchObject({ verdict: 'clean', codes: [] });
  });
});

describe('levels', () => {
  it('a receiver on high clips a headset contact at a raised voice; low does not', () => {
    const loud = (output: string): RigSketch => ({
      ...packToPhone('patch-trs-trrs', 'trs', 'trrs'),
      settings: { receiver: { output } },
      voice: 'raised',
    });
    expect(judge(loud('high'))).toMatchObject({ verdict: 'faulty', codes: ['clips'] });
    expect(judge(loud('low'))).toMatchObject({ verdict: 'clean', codes: [] });
  });
  it('the two steps of the output switch are 12 dB apart at the recorder', () => {
    const peak = (output: string) =>
      judge({ ...packToPhone('patch-trs-trrs', 'trs', 'trrs'), settings: { receiver: { output } } })
        .arrives[0]?.peak ?? NaN;
    expect(peak('high') - peak('low')).toBeCloseTo(12, 6);
  });
  it('a phone’s own microphone at 90 dB SPL gives −22.35 dBFS RMS (Android Compatibility Definition)', () => {
    const rig = layRig(packToPhone('lead-trs-trs', 'a', 'b'));
    // 62.35 dB SPL at 1 m is 90 dB SPL where 20·log10(1 m / r) = 27.65 dB.
    const distance = 10 ** (-(90 - 62.35) / 20);
    const near = { ...rig, surroundings: { ...rig.surroundings, distances: { phone: distance } } };
    expect((analyse(near).arrives[0]?.peak ?? NaN) - 12).toBeCloseTo(-22.35, 2);
  });
});

describe('rigs with holes', () => {
  it('a source joined to nothing', () => {
    const found = judge({ parts: { receiver: 'receiver-trs', phone: 'phone-ctia' }, joints: [] });
    expect(found).toMatchObject({ verdict: 'silent', codes: ['no-path'] });
  });
  it('no source chosen', () => {
    const rig = layRig(packToPhone('patch-trs-trrs', 'trs', 'trrs'));
    const found = analyse({ ...rig, purpose: { sources: [], recorders: [] } });
    expect(found).toMatchObject({ verdict: 'silent' });
    expect(found.findings.map((f) => f.code)).toEqual(['nothing-intended']);
  });
  it('an empty rig', () => {
    const empty = { ...layRig({ parts: { a: 'phone-ctia' }, joints: [] }), parts: [], joints: [] };
    expect(analyse({ ...empty, purpose: { sources: [], recorders: [] } }).rungs).toEqual([]);
  });
});
