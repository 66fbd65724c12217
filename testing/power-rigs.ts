import type { RigSketch } from './lay-rig';

/** A talk in a hall: mixer and powered loudspeaker on the mains, a phone on its battery that records; by that lead to the loudspeaker. */
export const hallBy = (run: string): RigSketch => ({
  parts: {
    mic: 'dynamic-xlr',
    xlr: 'lead-xlr',
    mixer: 'mixer-monitor-fx',
    run,
    speaker: 'loudspeaker-stage',
    pad: 'lead-line-headset-pad',
    phone: 'phone-ctia',
  },
  joints: [
    'mic.out xlr.holes',
    'xlr.pins mixer.mic-1',
    'run.a mixer.mon',
    'run.b speaker.in',
    'pad.big mixer.main-left',
    'pad.trrs phone.jack',
  ],
  source: 'mic',
  recorder: 'phone',
  settings: { mixer: { 'gain-1': 54, 'mon-mic-1': 8 }, speaker: { volume: -20 } },
  distances: { mic: 0.05 },
  apps: { phone: 'camera-app' },
});

/** A microphone that takes 260 mA with its lights on, behind a hub without a supply: 100 mA a socket (USB 2.0, 7.2.1). */
export const LIT: RigSketch = {
  parts: {
    mic: 'usb-mic-lights',
    lead: 'lead-usb-a-c',
    hub: 'hub-unpowered',
    up: 'adapter-usb-c-a',
    phone: 'phone-usb-c',
  },
  joints: ['lead.b mic.usb', 'lead.a hub.s1', 'hub.plug up.a', 'up.c phone.port'],
  distances: { mic: 0.15 },
};
