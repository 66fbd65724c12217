import { readFileSync } from 'node:fs';
import { describe, expect, it } from 'vitest';
import { judge, tuned } from '../../../testing/judge';
import { layRig, type RigSketch } from '../../../testing/lay-rig';
import { applyEdit } from '../rig';
import { readRig } from '../files/read-rig';
import { fixesFor } from '../search/fixes';
import { analyse } from '.';

/** Situations of USB, phantom, line levels and polarity (common practice), each beside a twin without the fault. */
type Settings = NonNullable<RigSketch['settings']>;

const intoUsbPhone = (settings: Settings = {}, lead?: string): RigSketch => ({
  parts: {
    mic: 'dynamic-xlr',
    xlr: 'lead-xlr',
    interface: 'interface-one-input',
    ...(lead && { lead }),
    phone: 'phone-usb-c',
  },
  joints: [
    'mic.out xlr.holes',
    'xlr.pins interface.mic',
    ...(lead ? ['interface.usb lead.socket', 'lead.plug phone.port'] : ['interface.usb phone.port']),
  ],
  settings: { interface: { gain: 46 }, ...settings },
  recorder: 'phone',
});

describe('interface on a USB-C phone', () => {
  it('records a dynamic microphone, with the noise of its 150 Ω and of the preamplifier', () => {
    const found = judge(intoUsbPhone());
    expect(found).toMatchObject({ verdict: 'clean', state: 'recorded', codes: [] });
    const [arrival] = found.arrives;
    // Level: −57 dBV/Pa at 76.33 dB SPL, loaded 150 Ω into 3 kΩ beside phantom's 13.62 kΩ, +46 dB, crest 12 dB.
    const load = 1 / (1 / 3000 + 1 / 13_620);
    const rms = -57 + (62.35 + 13.9794 - 93.9794) + 20 * Math.log10(load / (load + 150)) + 46;
    expect(arrival?.peak).toBeCloseTo(rms + 12 - 7.8 - 3.0103, 1);
    // Noise: 150 Ω beside its load at 290 K, and −130.2 dBV of input noise; +46 dB against +7.8 dBV.
    const source = 1 / (1 / load + 1 / 150);
    const thermal = 10 * Math.log10(4 * 1.380649e-23 * 290 * source * 19_980);
    const noise = 10 * Math.log10(10 ** (thermal / 10) + 10 ** (-130.2 / 10)) + 46 - 7.8;
    expect(arrival?.noise).toBeCloseTo(noise, 1);
  });
  it('a charge-only lead carries no data', () => {
    const found = judge(intoUsbPhone({}, 'lead-usb-c-charge'));
    expect(found).toMatchObject({ verdict: 'silent', state: 'wrong-mic', codes: ['usb-no-data'] });
    expect(judge(intoUsbPhone({}, 'lead-usb-c-extension'))).toMatchObject({ verdict: 'clean', codes: [] });
  });
  it('a condenser without phantom is silent; with it, heard', () => {
    const condenser = (phantom: string): RigSketch => ({
      ...intoUsbPhone({ interface: { phantom, gain: 24 } }),
      parts: { ...intoUsbPhone().parts, mic: 'condenser-xlr' },
    });
    const off = judge(condenser('off'));
    expect(off).toMatchObject({ verdict: 'silent', state: 'listed-silent', codes: ['capsule-unpowered'] });
    expect(off.findings[0]?.limit?.value).toBe(11);
    expect(judge(condenser('on'))).toMatchObject({ verdict: 'clean', codes: [] });
  });
  it('phantom at the condenser: 48 V through two times 6.81 kΩ + 2.2 kΩ in parallel into 11.5 kΩ (IEC 61938)', () => {
    const rig = layRig({
      ...intoUsbPhone({ interface: { phantom: 'on' } }),
      parts: { ...intoUsbPhone().parts, mic: 'condenser-xlr' },
    });
    const pin = analyse(rig).joints[1]?.contacts.find((c) => c.jack === '2');
    const current = 48 / ((6810 + 2200) / 2 + 11_500);
    expect(pin?.volts).toBeCloseTo(48 - (current / 2) * 6810, 1);
  });
  it('too much gain clips, and the knob is the fix', () => {
    const rig = layRig(intoUsbPhone({ interface: { gain: 60 } }));
    const shouting = { ...rig, surroundings: { voice: 'shout' as const } };
    const found = analyse(shouting);
    expect(found.findings.map((f) => f.code)).toContain('clips');
    const [fix] = fixesFor(
      shouting,
      found.findings.find((f) => f.code === 'clips')!,
      {},
    );
    expect(fix?.edit).toMatchObject({ kind: 'set', setting: 'gain' });
    expect(fix?.outcome.verdict).toBe('clean');
  });
});

describe('apps', () => {
  it('a voice room leaves a USB interface alone, a recorder takes it; the app is the fix', () => {
    const inVoiceRoom = layRig({ ...intoUsbPhone(), apps: { phone: 'voice-room' } });
    const found = analyse(inVoiceRoom);
    expect(found.findings.map((f) => f.code)).toEqual(['app-does-not-take']);
    expect(found.arrives[0]).toMatchObject({ state: 'wrong-mic', evidence: { kind: 'common practice' } });
    const [fix] = fixesFor(inVoiceRoom, found.findings[0]!, {});
    expect(fix).toMatchObject({ edit: { kind: 'app' }, outcome: { verdict: 'clean' } });
    expect(judge({ ...intoUsbPhone(), apps: { phone: 'recorder-app' } })).toMatchObject({ verdict: 'clean' });
  });
  it('a browser studio does not list a USB interface', () => {
    expect(judge({ ...intoUsbPhone(), apps: { phone: 'browser-studio' } }).state).toBe('not-listed');
  });
  it('an app that sums its sides hears the same voice on both sides unchanged', () => {
    const inApp = (app: string): RigSketch => ({
      parts: { receiver: 'receiver-usb', phone: 'phone-usb-c' },
      joints: ['receiver.usb phone.port'],
      apps: { phone: app },
    });
    const [stereo, mono] = [judge(inApp('recorder-app')), judge(inApp('video-call'))];
    expect([stereo.arrives[0]?.channels, mono.arrives[0]?.channels]).toEqual(['both', 'mono']);
    expect([stereo.verdict, mono.verdict]).toEqual(['clean', 'clean']);
    expect(mono.arrives[0]?.peak).toBeCloseTo(stereo.arrives[0]?.peak ?? NaN, 6);
  });
});

describe('clipping', () => {
  it('the switch comes first among the fixes', () => {
    const rig = layRig({
      parts: { receiver: 'receiver-trs', lead: 'patch-trs-trrs', phone: 'phone-ctia' },
      joints: ['receiver.out lead.trs', 'lead.trrs phone.jack'],
      settings: { receiver: { output: 'high' } },
      voice: 'loud',
    });
    const clips = analyse(rig).findings.find((f) => f.code === 'clips');
    expect(clips && fixesFor(rig, clips, {})[0]?.edit).toMatchObject({ kind: 'set', option: 'low' });
  });
});

describe('8-pin ports', () => {
  const viaAdapter = (charger: string, phantom: string): RigSketch => ({
    parts: {
      mic: 'dynamic-xlr',
      interface: 'interface-one-input',
      bridge: 'adapter-usb-a-c',
      adapter: 'adapter-8-pin-usb',
      phone: 'phone-8-pin',
    },
    joints: [
      'mic.out interface.mic',
      'interface.usb bridge.c',
      'bridge.a adapter.usb',
      'adapter.plug phone.port',
    ],
    settings: { interface: { phantom, gain: 46 }, adapter: { charger } },
  });
  it('a bare host adapter starves an interface; with a charger it runs', () => {
    const bare = judge(viaAdapter('off', 'off'));
    expect(bare).toMatchObject({ verdict: 'silent', state: 'wrong-mic', codes: ['starved'] });
    expect(bare.findings[0]).toMatchObject({ values: [{ value: 200, unit: 'mA' }], limit: { value: 250 } });
    // Two hundred at most: such an adapter gives 100 to 200 mA without a charger (common practice).
    expect(judge(viaAdapter('on', 'off'))).toMatchObject({ verdict: 'clean', codes: [] });
  });
  it('the charger is offered as the fix', () => {
    const rig = layRig(viaAdapter('off', 'off'));
    const [fix] = fixesFor(rig, analyse(rig).findings[0]!, {});
    // A thing in the socket, and no switch that says so.
    expect(fix?.edit).toMatchObject({
      kind: 'add',
      part: 'charger-8-pin',
      at: { part: 'adapter', port: 'charge' },
    });
  });
});

describe('hubs', () => {
  const viaHub = (supply: string, second: boolean): RigSketch => ({
    parts: {
      receiver: 'receiver-usb',
      hub: 'hub-usb-a',
      adapter: 'adapter-8-pin-usb',
      ...(second && { other: 'receiver-usb' }),
      phone: 'phone-8-pin',
    },
    joints: [
      'receiver.usb hub.one',
      'hub.plug adapter.usb',
      'adapter.plug phone.port',
      ...(second ? ['other.usb hub.two'] : []),
    ],
    settings: { hub: { supply }, adapter: { charger: 'off' } },
    recorder: 'phone',
  });
  it('without its supply it has little or nothing left for a receiver behind a bare 8-pin adapter', () => {
    const found = judge(viaHub('off', false));
    // The adapter gives 100 to 200 mA (common practice), of which a hub keeps 100 (USB 2.0, 7.2.1.1).
    expect(found.codes).toEqual(['may-starve']);
    expect(found.findings[0]).toMatchObject({
      values: [{ name: 'declared', value: 100 }],
      limit: { value: 0, to: 100 },
    });
    expect(judge(viaHub('on', false))).toMatchObject({ verdict: 'clean', codes: [] });
  });
  it('two sound devices: one works', () => {
    const found = judge(viaHub('on', true));
    expect(found.codes).toEqual(['two-sound-devices']);
    expect(found.verdict).toBe('faulty');
  });
});

describe('line outputs', () => {
  const mixerTo = (parts: Record<string, string>, joints: string[], settings: Settings = {}): RigSketch => ({
    parts: { mic: 'dynamic-xlr', mixer: 'mixer-one-mic', ...parts },
    joints: ['mic.out mixer.mic', ...joints],
    settings: { mixer: { gain: 40 }, ...settings },
  });
  const toPhone = (lead: string) =>
    mixerTo({ lead, phone: 'phone-ctia' }, ['mixer.left lead.big', 'lead.trrs phone.jack']);

  it('a bare line output on a headset contact is not taken for a microphone: 75 Ω', () => {
    const found = judge(toPhone('lead-line-headset'));
    expect(found).toMatchObject({ verdict: 'silent', state: 'wrong-mic' });
    expect(found.codes).toContain('mic-line-loaded');
    expect(found.findings[0]?.values[0]?.value).toBeCloseTo(75.6, 0);
  });
  it('a padded lead is: 1.8 kΩ, and the level fits', () => {
    const found = judge(toPhone('lead-line-headset-pad'), tuned);
    expect(found).toMatchObject({ verdict: 'clean', state: 'recorded', codes: [] });
  });
  it('a balanced output into a stereo input is gone in mono; one leg on both sides is not', () => {
    const toCamera = (lead: string) =>
      mixerTo({ lead, camera: 'camera-trs' }, ['mixer.left lead.big', 'lead.small camera.mic'], {
        mixer: { gain: 50, fader: -20 },
      });
    const found = judge(toCamera('lead-line-stereo'));
    expect(found).toMatchObject({ verdict: 'faulty', codes: ['cancels-in-mono'] });
    expect(found.findings[0]?.values[0]?.value).toBeLessThan(-40);
    expect(judge(toCamera('lead-line-mono-both'))).toMatchObject({ verdict: 'clean', codes: [] });
  });
  it('fader and gain add up in dB; the pan law takes 3 dB from each side', () => {
    const peak = (fader: number) =>
      judge(
        mixerTo(
          { lead: 'lead-line-headset-pad', phone: 'phone-ctia' },
          ['mixer.left lead.big', 'lead.trrs phone.jack'],
          {
            mixer: { gain: 40, fader },
          },
        ),
      ).arrives[0]?.peak ?? NaN;
    expect(peak(0) - peak(-10)).toBeCloseTo(10, 6);
  });
  it('a stage driven past its largest output clips, whatever the input does', () => {
    const found = judge({
      ...mixerTo(
        { lead: 'lead-line-headset-pad', phone: 'phone-ctia' },
        ['mixer.left lead.big', 'lead.trrs phone.jack'],
        {
          mixer: { gain: 60, fader: 10 },
        },
      ),
      voice: 'shout',
    });
    expect(found.codes).toContain('stage-clips');
  });
});

describe('voltages that do harm', () => {
  const playInto = (phantom: string): RigSketch => ({
    parts: {
      phone: 'phone-ctia',
      lead: 'lead-trs-trs',
      adapter: 'adapter-trs-xlr',
      mixer: 'mixer-one-mic',
    },
    joints: ['phone.jack lead.a', 'lead.b adapter.small', 'adapter.pins mixer.mic'],
    settings: { mixer: { phantom } },
    source: 'phone',
    recorder: 'phone',
  });
  it('a plain adapter lets phantom back into a phone’s headphone output; without phantom nothing is said', () => {
    // The headphone amplifier’s 2 Ω holds its contact down; the open ring of the adapter does not matter.
    const volts = (phantom: string) =>
      judge(playInto(phantom)).joints[2]?.contacts.find((c) => c.jack === '2')?.volts ?? NaN;
    expect(volts('off')).toBeCloseTo(0, 6);
    expect(volts('on')).toBeCloseTo((48 * 2) / 6812, 2);
    expect(judge(playInto('off')).codes).not.toContain('voltage-harms');
  });
  it('on a headset’s microphone contact it is dangerous', () => {
    const onMicrophone = (phantom: string): RigSketch => ({
      parts: {
        phone: 'phone-ctia',
        patch: 'patch-trs-trrs',
        adapter: 'adapter-trs-xlr',
        mixer: 'mixer-one-mic',
      },
      joints: ['phone.jack patch.trrs', 'patch.trs adapter.small', 'adapter.pins mixer.mic'],
      settings: { mixer: { phantom } },
      source: 'phone',
      recorder: 'phone',
    });
    const found = judge(onMicrophone('on'));
    expect(found.verdict).toBe('unsafe');
    expect(found.findings[0]).toMatchObject({ code: 'voltage-harms', severity: 'danger' });
    // Two supplies against one another: 48 V behind 6.81 kΩ, 2.2 V behind 2.2 kΩ.
    expect(found.findings[0]?.values[0]?.value).toBeCloseTo(
      (48 / 6810 + 2.2 / 2200) / (1 / 6810 + 1 / 2200),
      1,
    );
    expect(judge(onMicrophone('off')).codes).not.toContain('voltage-harms');
  });
});

describe('other leads', () => {
  it('left-to-both puts a tip-only receiver on both sides of a camera', () => {
    const toCamera = (lead: string, from: string, to: string): RigSketch => ({
      parts: { receiver: 'receiver-tip-only', lead, camera: 'camera-trs' },
      joints: [`receiver.out lead.${from}`, `lead.${to} camera.mic`],
    });
    expect(judge(toCamera('lead-trs-trs', 'a', 'b')).codes).toEqual(['one-side-only']);
    const both = judge(toCamera('lead-left-to-both', 'mono', 'both'));
    expect(both).toMatchObject({ verdict: 'clean', codes: [] });
    expect(both.arrives[0]?.channels).toBe('both');
  });
  it('an isolator passes sound and no direct current', () => {
    const found = judge({
      parts: {
        receiver: 'receiver-trs',
        lead: 'lead-trs-trs',
        isolator: 'isolator-trs',
        camera: 'camera-trs',
      },
      joints: ['receiver.out lead.a', 'lead.b isolator.in', 'isolator.out camera.mic'],
    });
    expect(found).toMatchObject({ state: 'recorded' });
    expect(found.arrives[0]?.channels).toBe('both');
  });
  it('two packs on a two-microphone splitter are heard as one, each 6 dB down and more', () => {
    const alone: RigSketch = {
      parts: {
        one: 'receiver-trs',
        lead: 'lead-trs-trs',
        splitter: 'splitter-two-mics',
        phone: 'phone-ctia',
      },
      joints: ['one.out lead.a', 'lead.b splitter.one', 'splitter.plug phone.jack'],
    };
    const both: RigSketch = {
      parts: { ...alone.parts, two: 'receiver-trs', other: 'lead-trs-trs' },
      joints: [...alone.joints, 'two.out other.a', 'other.b splitter.two'],
      recorder: 'phone',
    };
    const [single, shared] = [judge(alone), judge(both)];
    expect(shared).toMatchObject({ verdict: 'clean', state: 'recorded' });
    expect((single.arrives[0]?.peak ?? NaN) - (shared.arrives[0]?.peak ?? NaN)).toBeGreaterThan(4);
  });
});

describe('Sail-loft talk', () => {
  it('opens starved of power, and the hub’s own supply cures it', () => {
    const result = readRig(readFileSync('demo/rigs/sail-loft-talk.json', 'utf8'));
    if (!result.ok) throw new Error('Sail-loft talk is no rig');
    const found = analyse(result.rig);
    expect(found.verdict).toBe('silent');
    expect(found.findings.map((f) => f.code)).toContain('starved');
    const [fix] = fixesFor(
      result.rig,
      found.findings.find((f) => f.code === 'starved')!,
      {},
    );
    expect(fix).toMatchObject({
      edit: { kind: 'set', part: 'hub', setting: 'supply', option: 'on' },
      outcome: { verdict: 'clean' },
    });
  });
});

describe('edits', () => {
  it('turning a knob there and back gives the same analysis', () => {
    const rig = layRig(intoUsbPhone());
    const there = applyEdit(rig, { kind: 'set', part: 'interface', setting: 'gain', option: 10 });
    const back = applyEdit(there, { kind: 'set', part: 'interface', setting: 'gain', option: 46 });
    expect(analyse(back)).toEqual(analyse(rig));
  });
});
