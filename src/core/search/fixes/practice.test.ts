import { describe, expect, it } from 'vitest';
import { layRig, type RigSketch } from '../../../../testing/lay-rig';
import { hallBy, LIT } from '../../../../testing/power-rigs';
import { outcomeOf } from '../../judge';
import { sayEdit } from '../../words';
import { fixesFor } from '.';

/** A rig with one fault, and what somebody of the trade does first. Common practice. */
const CASES: readonly (readonly [fault: string, does: string, sketch: RigSketch])[] = [
  [
    'a plain lead into a headset jack',
    'Swap TRS–TRS lead for TRS-to-TRRS patch cable',
    {
      parts: { receiver: 'receiver-trs', lead: 'lead-trs-trs', phone: 'phone-ctia' },
      joints: ['receiver.out lead.a', 'lead.b phone.jack'],
    },
  ],
  [
    'the lead in the headphone jack of the camera',
    'Move the plug to the mic jack of camera',
    {
      parts: { receiver: 'receiver-trs', lead: 'lead-trs-trs', camera: 'camera-trs' },
      joints: ['receiver.out lead.a', 'lead.b camera.phones'],
    },
  ],
  [
    'a big USB microphone on an adapter without its charger',
    'Plug mains charger, 8-pin plug on its lead into the charging socket',
    {
      parts: { mic: 'usb-mic-big', lead: 'lead-usb-a-b', adapter: 'adapter-8-pin-usb', phone: 'phone-8-pin' },
      joints: ['mic.usb lead.b', 'lead.a adapter.usb', 'adapter.plug phone.port'],
      apps: { phone: 'recorder-app' },
    },
  ],
  ['a microphone that comes and goes when its lights are on', 'Lights to off', LIT],
  [
    'a powered loudspeaker that hums on an unbalanced lead',
    'Swap 6.35 mm TS lead for 6.35 mm TRS lead',
    hallBy('lead-jack-ts'),
  ],
  [
    'a phone that takes no notice of an interface: headphones into it, plain ones, and the interface stays',
    'Plug headphones, TRS plug into the headphone socket of mobile voice interface',
    {
      parts: { mic: 'dynamic-xlr', lead: 'lead-xlr', box: 'mobile-voice', phone: 'phone-ctia' },
      joints: ['mic.out lead.holes', 'lead.pins box.mic', 'box.plug phone.jack'],
      voice: 'raised',
      distances: { mic: 0.05 },
    },
  ],
  [
    'a tip-only receiver in a camera',
    'Swap TRS–TRS lead for left-to-both lead',
    {
      parts: { receiver: 'receiver-tip-only', lead: 'lead-trs-trs', camera: 'camera-trs' },
      joints: ['receiver.out lead.a', 'lead.b camera.mic'],
    },
  ],
  [
    'a lead that only charges',
    'Swap USB lead, A to C, charge only for USB lead, A to C',
    {
      parts: {
        mic: 'usb-mic-low',
        lead: 'lead-usb-a-c-charge',
        adapter: 'adapter-8-pin-usb',
        phone: 'phone-8-pin',
      },
      joints: ['mic.usb lead.b', 'lead.a adapter.usb', 'adapter.plug phone.port'],
      apps: { phone: 'recorder-app' },
    },
  ],
  [
    'an older headset in a current jack',
    'Put headset pinout adapter between',
    {
      parts: { headset: 'headset-omtp', phone: 'phone-ctia' },
      joints: ['headset.plug phone.jack'],
      apps: { phone: 'voice-room' },
    },
  ],
  [
    'a receiver that is off',
    'Set receiver, TRS output: Receiver on to on',
    {
      parts: { receiver: 'receiver-trs', lead: 'patch-trs-trrs', phone: 'phone-ctia' },
      joints: ['receiver.out lead.trs', 'lead.trrs phone.jack'],
      settings: { receiver: { power: 'off' } },
    },
  ],
  [
    'a plug that hangs loose',
    'into the headset jack of phone, CTIA headset jack',
    {
      parts: { receiver: 'receiver-trs', lead: 'patch-trs-trrs', phone: 'phone-ctia' },
      joints: ['receiver.out lead.trs'],
    },
  ],
  [
    'a patch cable the wrong way round',
    'Turn TRS-to-TRRS patch cable round',
    {
      parts: { receiver: 'receiver-trs', lead: 'patch-trs-trrs', phone: 'phone-ctia' },
      joints: ['receiver.out lead.trrs', 'lead.trs phone.jack'],
    },
  ],
  [
    'a dongle that is not authenticated',
    'Swap headset dongle, 8-pin, no authentication for headset dongle, 8-pin',
    {
      parts: {
        receiver: 'receiver-trs',
        lead: 'patch-trs-trrs',
        dongle: 'dongle-8-pin-plain',
        phone: 'phone-8-pin',
      },
      joints: ['receiver.out lead.trs', 'lead.trrs dongle.jack', 'dongle.plug phone.port'],
    },
  ],
  [
    'a hub whose supply is off',
    'Set USB hub, USB-A plug: Mains supply to on',
    {
      parts: {
        mic: 'usb-mic-big',
        lead: 'lead-usb-a-b',
        hub: 'hub-usb-a',
        adapter: 'adapter-8-pin-usb',
        phone: 'phone-8-pin',
      },
      joints: ['mic.usb lead.b', 'lead.a hub.three', 'hub.plug adapter.usb', 'adapter.plug phone.port'],
      apps: { phone: 'recorder-app' },
    },
  ],
  [
    'a socket of a hub that is switched off',
    'Set powered USB hub with odd sockets: Switch of socket 2 to on',
    {
      parts: {
        mic: 'usb-mic-low',
        lead: 'lead-usb-a-c',
        hub: 'hub-powered-odd',
        up: 'lead-usb-a-b',
        adapter: 'adapter-8-pin-usb',
        phone: 'phone-8-pin',
      },
      joints: [
        'mic.usb lead.b',
        'lead.a hub.two',
        'up.b hub.up',
        'up.a adapter.usb',
        'adapter.plug phone.port',
      ],
      settings: { hub: { supply: 'on', 'switch-two': 'off' } },
      apps: { phone: 'recorder-app' },
    },
  ],
  [
    'one plug of a pair that hangs loose',
    '(6.35 mm end, right) into the output right of keyboard, line outputs',
    {
      parts: { keys: 'keyboard', lead: 'lead-line-pair-stereo', pad: 'pad-jack-40', camera: 'camera-trs' },
      joints: ['lead.left keys.left', 'pad.in lead.small', 'pad.out camera.mic'],
    },
  ],
  [
    'a fader that was left down: up again, to where the peaks come nearest to the target',
    'Set mixer, one FX send, USB: Microphone 1: fader to 10.0 dB',
    {
      parts: { mic: 'dynamic-xlr', mixer: 'mixer-fx-usb', lead: 'lead-usb-c-b', tablet: 'tablet-usb-c' },
      joints: ['mic.out mixer.mic-1', 'lead.b mixer.usb', 'lead.a tablet.port'],
      settings: { mixer: { 'fader-mic-1': -60, 'gain-1': 50 } },
      apps: { tablet: 'recorder-app' },
    },
  ],
  [
    'a computer that plays and charges the phone at once: its lead out, not a dongle that cuts the charge unsaid',
    'Pull USB lead, A to C out of the USB-A port of laptop',
    {
      parts: {
        computer: 'laptop-combo',
        lead: 'lead-breakout-jacks',
        mixer: 'mixer-monitor-fx',
        pad: 'lead-line-headset-pad',
        dongle: 'dongle-usb-c-charge',
        usb: 'lead-usb-a-c',
        phone: 'phone-usb-c',
      },
      joints: [
        'computer.jack lead.small',
        'lead.left mixer.pair-1-left',
        'lead.right mixer.pair-1-right',
        'pad.big mixer.main-left',
        'pad.trrs dongle.jack',
        'dongle.plug phone.port',
        'usb.a computer.usb-a',
        'usb.b dongle.charge',
      ],
      settings: { computer: { fed: 'battery', asked: 'headphones' } },
      apps: { phone: 'live-stream' },
    },
  ],
  [
    'a lead to the loudspeaker that does not go in, though it records nothing',
    'Swap 6.35 mm TRS to XLR lead for 6.35 mm T',
    {
      parts: {
        mic: 'condenser-xlr',
        xlr: 'lead-xlr',
        mixer: 'mixer-monitor-fx',
        run: 'lead-jack-xlr',
        speaker: 'loudspeaker-stage',
        pad: 'lead-line-headset-pad',
        phone: 'phone-ctia',
      },
      joints: [
        'mic.out xlr.holes',
        'xlr.pins mixer.mic-1',
        'run.big mixer.monitor-left',
        'run.pins speaker.in',
        'pad.big mixer.main-left',
        'pad.trrs phone.jack',
      ],
      settings: { mixer: { phantom: 'on', 'gain-1': 40 } },
      apps: { phone: 'recorder-app' },
    },
  ],
];

describe('the first fix of a single fault', () => {
  it.each(CASES)('%s', (_fault, does, sketch) => {
    const rig = layRig(sketch);
    const cause = outcomeOf(rig).findings.find(({ severity, because }) => severity !== 'note' && !because)!;
    const [first] = fixesFor(rig, cause, {});
    expect(first && sayEdit(rig, first.edit)).toContain(does);
    expect(first?.outcome.verdict).toBe('clean');
  });
});
