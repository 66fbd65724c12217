import { describe, expect, it } from 'vitest';
import { judge } from '../../../testing/judge';
import { layRig, type RigSketch } from '../../../testing/lay-rig';
import { analyse } from '.';
import { applyEdit } from '../rig';
import { testTwins, type Twins } from '../../../testing/twins';

/** Faults that practitioners know by their sound, each beside a rig without it (common practice). */
const splitterEars = (socket: string): RigSketch => ({
  parts: { receiver: 'receiver-trs', lead: 'lead-trs-trs', splitter: 'splitter-trs', phone: 'phone-ctia' },
  joints: ['receiver.out lead.a', `lead.b splitter.${socket}`, 'splitter.plug phone.jack'],
});

/** A balanced output of a mixer toward an app that sums: on a stereo lead both sides are one voice, one of them turned over. */
const intoMonoStream = (lead: string): RigSketch => ({
  parts: {
    mic: 'dynamic-xlr',
    mixer: 'mixer-aux-fx',
    lead,
    coupler: 'coupler-trs',
    rca: 'lead-rca-pair-trs',
    streamer: 'line-streamer',
    phone: 'phone-usb-c',
  },
  joints: [
    'mic.out mixer.mic-1',
    'mixer.main-left lead.big',
    'lead.small coupler.a',
    'coupler.b rca.small',
    'rca.left streamer.left',
    'rca.right streamer.right',
    'streamer.usb phone.port',
  ],
  settings: { mixer: { 'gain-1': 36, mains: 'on' } },
  apps: { phone: 'live-stream' },
  choices: { phone: { sides: 'mono' } },
});

/** What a phone plays by its dongle, into a laptop that records. */
const playedBy = (between: Readonly<Record<string, string>>, joints: readonly string[]): RigSketch => ({
  parts: { phone: 'phone-usb-c', dongle: 'dongle-usb-c-headset', ...between, laptop: 'laptop-combo' },
  joints: ['dongle.plug phone.port', ...joints],
  source: 'phone',
  recorder: 'laptop',
  apps: { laptop: 'recorder-app' },
});

const stream = (receiver: string, sides: string): RigSketch => ({
  parts: { receiver, lead: 'lead-rca-pair-trs', streamer: 'line-streamer', phone: 'phone-usb-c' },
  joints: [
    'receiver.out lead.small',
    'lead.left streamer.left',
    'lead.right streamer.right',
    'streamer.usb phone.port',
  ],
  settings: { receiver: { output: 'high' } },
  voice: 'raised',
  apps: { phone: 'live-stream' },
  choices: { phone: { sides } },
});

const guitarInto = (kind: string): RigSketch => ({
  parts: {
    guitar: 'guitar',
    lead: 'lead-jack-ts',
    interface: 'interface-two-inputs',
    usb: 'lead-usb-c-c',
    phone: 'phone-usb-c',
  },
  joints: ['guitar.out lead.a', 'lead.b interface.line-1', 'usb.a interface.usb', 'usb.b phone.port'],
  settings: { interface: { 'kind-1': kind, 'gain-1': 20 } },
  apps: { phone: 'multitrack' },
});

/** One microphone to a tablet by USB, and by the interface's line output and a pad to a camera. */
const quay = (direct: string): RigSketch => ({
  parts: {
    mic: 'dynamic-xlr',
    xlr: 'lead-xlr',
    interface: 'interface-two-inputs-mains',
    usb: 'lead-usb-c-b',
    tablet: 'tablet-usb-c',
    out: 'lead-line-mono-both',
    pad: 'pad-jack-40',
    camera: 'camera-trs',
  },
  joints: [
    'mic.out xlr.holes',
    'xlr.pins interface.mic-1',
    'interface.usb usb.b',
    'usb.a tablet.port',
    'interface.out-left out.big',
    'out.small pad.in',
    'pad.out camera.mic',
  ],
  settings: { interface: { 'gain-1': 50, direct } },
});

/** A mixer's own send back into a line pair that feeds the send. */
const returned = (send: number): RigSketch => ({
  parts: {
    mic: 'dynamic-xlr',
    mixer: 'mixer-aux-fx',
    back: 'lead-jack-trs',
    out: 'lead-line-mono-both',
    recorder: 'recorder-small',
  },
  joints: [
    'mic.out mixer.mic-1',
    'mixer.aux back.a',
    'back.b mixer.pair-1-left',
    'mixer.main-left out.big',
    'out.small recorder.mic',
  ],
  settings: { recorder: { kind: 'line' }, mixer: { 'aux-pair-1': send, 'aux-mic-1': 0, 'gain-1': 36 } },
});

/** A caller's phone on the phone socket of a portable mixer, with the sunk switch between microphone and phone. */
const portable = (phoneSwitch: string): RigSketch => ({
  parts: {
    caller: 'phone-ctia',
    lead: 'lead-trrs-trrs',
    mixer: 'mixer-portable-phone',
    usb: 'lead-usb-c-c',
    laptop: 'laptop-combo',
  },
  joints: ['caller.jack lead.a', 'lead.b mixer.phone', 'mixer.usb usb.a', 'usb.b laptop.usb-c'],
  settings: { mixer: { 'phone-switch': phoneSwitch }, caller: { volume: -20 } },
});

const intoSmallRecorder = (kind: string): RigSketch => ({
  parts: { mic: 'dynamic-xlr', lead: 'lead-xlr-trs-camera', recorder: 'recorder-small' },
  joints: ['mic.out lead.holes', 'lead.small recorder.mic'],
  settings: { recorder: { kind, level: 30 } },
});

/** Behind a powered hub: current flows all the same, and no data. */
const behindHub = (lead: string): RigSketch => ({
  parts: {
    mic: 'usb-mic-low',
    lead,
    hub: 'hub-usb-a',
    adapter: 'adapter-usb-c-a',
    phone: 'phone-usb-c',
  },
  joints: ['mic.usb lead.b', 'lead.a hub.three', 'hub.plug adapter.a', 'adapter.c phone.port'],
  settings: { hub: { supply: 'on' } },
});

const CASES: readonly Twins[] = [
  {
    name: 'a microphone lead in the headphone socket of a splitter',
    code: 'wrong-socket',
    faulty: splitterEars('phones'),
    clean: splitterEars('mic'),
  },
  {
    name: 'a receiver in the headphone socket of a hub that has no other; a converter cable takes it',
    code: 'output-into-output',
    faulty: {
      parts: {
        receiver: 'receiver-trs',
        lead: 'lead-trs-trs',
        hub: 'hub-usb-c-phones',
        phone: 'phone-usb-c',
      },
      joints: ['receiver.out lead.a', 'lead.b hub.phones', 'hub.plug phone.port'],
    },
    clean: {
      parts: { receiver: 'receiver-trs', cable: 'cable-converter-usb-c', phone: 'phone-usb-c' },
      joints: ['receiver.out cable.in', 'cable.plug phone.port'],
    },
  },
  {
    name: 'what a phone plays by its dongle, straight into a headset jack: output on output, and what leaks over the shared ground',
    code: 'output-into-output',
    state: 'recorded',
    faulty: playedBy({ lead: 'lead-trrs-trrs' }, ['lead.a dongle.jack', 'lead.b laptop.jack']),
    clean: playedBy({ adapter: 'adapter-small-jack', lead: 'lead-line-headset-pad' }, [
      'adapter.small dongle.jack',
      'lead.big adapter.big',
      'lead.trrs laptop.jack',
    ]),
  },
  {
    name: 'a balanced output on a stereo lead into an app that sums: gone in mono',
    code: 'cancels-in-mono',
    state: 'listed-silent',
    faulty: intoMonoStream('lead-line-stereo'),
    clean: intoMonoStream('lead-line-mono-both'),
  },
  {
    name: 'a tip-only receiver in a stereo live stream',
    code: 'one-side-only',
    faulty: stream('receiver-tip-only', 'stereo'),
    clean: stream('receiver-trs', 'stereo'),
  },
  {
    name: 'the same receiver once the stream is mono',
    code: 'one-side-only',
    faulty: stream('receiver-tip-only', 'stereo'),
    clean: stream('receiver-tip-only', 'mono'),
  },
  {
    name: 'a guitar on a line input that loads it; the instrument input does not',
    code: 'dull',
    faulty: guitarInto('line'),
    clean: guitarInto('instrument'),
  },
  {
    name: 'one microphone to tablet and camera: the direct knob of the interface is down',
    code: 'switched-off',
    state: 'listed-silent',
    faulty: { ...quay('off'), recorder: 'camera' },
    clean: { ...quay('on'), recorder: 'camera' },
  },
  {
    name: 'a send that comes back into itself',
    code: 'feeds-back',
    faulty: returned(10),
    clean: returned(-60),
  },
  {
    name: 'a portable mixer whose switch stands at microphone while a phone is in the socket',
    code: 'switched-off',
    state: 'listed-silent',
    faulty: portable('off'),
    clean: portable('on'),
  },
  {
    name: 'a charge-only lead behind a powered hub',
    code: 'usb-no-data',
    faulty: behindHub('lead-usb-a-c-charge'),
    clean: behindHub('lead-usb-a-c'),
  },
  {
    name: 'a microphone in a line socket: out of the noise, far too low, and no gain left',
    code: 'faint',
    state: 'recorded',
    faulty: intoSmallRecorder('line'),
    clean: intoSmallRecorder('microphone'),
  },
];

describe('faults known by their sound', () => testTwins(CASES));

describe('what the findings name', () => {
  const first = (sketch: RigSketch) => judge(sketch).findings[0];
  it('gone in mono is told by its cause, and not as lost in the noise', () => {
    expect(judge(intoMonoStream('lead-line-stereo')).codes).toEqual(['cancels-in-mono']);
  });
  it('the switch of the portable mixer', () => {
    expect(first(portable('off'))).toMatchObject({
      code: 'switched-off',
      where: { part: 'mixer' },
      setting: 'phone-switch',
    });
  });
  it('the mix control of the interface', () => {
    expect(first({ ...quay('off'), recorder: 'camera' })).toMatchObject({
      where: { part: 'interface' },
      setting: 'direct',
    });
  });
  it('the loop gain: send +10 dB and half of a pair (−6.0 dB), less what the input’s load takes', () => {
    const loop = first(returned(10))?.values[0];
    expect(loop?.unit).toBe('dB');
    // 150 Ω balanced into 10 kΩ: 20·log10(10000 / 10150) = −0.13 dB (voltage divider).
    expect(loop?.value).toBeCloseTo(10 - 6.02 - 0.13, 1);
  });
  it('the lead without data lines, behind the hub too', () => {
    expect(first(behindHub('lead-usb-a-c-charge'))).toMatchObject({
      code: 'usb-no-data',
      where: { part: 'lead' },
    });
  });
  it('the tablet on the quay records as well', () => {
    expect(judge({ ...quay('on'), recorder: 'tablet' })).toMatchObject({ state: 'recorded' });
  });
  it('a pick-up’s treble is lost in a long lead, and not in a short one', () => {
    const rig = layRig(guitarInto('instrument'));
    const withLead = (metres: number) =>
      analyse(applyEdit(rig, { kind: 'length', part: 'lead', metres })).findings.find(
        (f) => f.code === 'dull',
      );
    expect(withLead(3)).toBeUndefined();
    expect(withLead(10)?.values[0]?.value).toBeGreaterThan(3);
    expect(withLead(20)?.values[0]?.value).toBeGreaterThan(withLead(10)?.values[0]?.value ?? Infinity);
  });
  it('what stops two sources is told once, for both', () => {
    const { findings } = judge({
      parts: {
        one: 'dynamic-xlr',
        two: 'dynamic-xlr',
        mixer: 'mixer-aux-fx',
        out: 'lead-line-mono-both',
        recorder: 'recorder-small',
      },
      joints: [
        'one.out mixer.mic-1',
        'two.out mixer.mic-2',
        'mixer.main-left out.big',
        'out.small recorder.mic',
      ],
      settings: { recorder: { kind: 'line' }, mixer: { mains: 'off' } },
      others: ['two'],
    });
    expect(findings.map((f) => f.code)).toEqual(['part-unpowered']);
    expect(findings[0]?.sources).toEqual(['one', 'two']);
  });
  it('what goes when the switch is turned stands under it as its consequence', () => {
    const [cause, ...rest] = judge(portable('off')).findings;
    expect(cause?.because).toBeUndefined();
    expect(rest.map((f) => f.because?.split('|')[0])).toEqual(rest.map(() => 'switched-off'));
    expect(rest).toHaveLength(1);
  });
  it('of a lead that is not plugged in goes whatever one plug would mend', () => {
    const laid = judge({
      parts: { m: 'condenser-xlr', x: 'lead-xlr', i: 'interface-one-input', t: 'tablet-usb-c' },
      joints: ['x.pins i.mic', 'i.usb t.port'],
      source: 'm',
      settings: { i: { phantom: 'on' } },
    });
    expect(laid.findings.map((f) => [f.code, f.because?.split('|')[0]])).toEqual([
      ['no-path', undefined],
      ['mic-contact-open', 'no-path'],
      ['capsule-unpowered', 'no-path'],
    ]);
  });
  it('and not what would stay: phantom off is a trouble of its own', () => {
    const laid = judge({
      parts: { m: 'condenser-xlr', x: 'lead-xlr', i: 'interface-one-input', t: 'tablet-usb-c' },
      joints: ['x.pins i.mic', 'i.usb t.port'],
      source: 'm',
    });
    expect(laid.findings.find((f) => f.code === 'capsule-unpowered')?.because).toBeUndefined();
  });
});
