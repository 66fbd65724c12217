import { layRig, type RigSketch } from './lay-rig';

/** Two microphones on a desk with RCA outputs that goes to both sides of a camera; each is to have a side of its own. */
export const twoOnADesk = (mic: string, settings: RigSketch['settings'] = {}) =>
  layRig({
    parts: {
      one: mic,
      two: mic,
      first: 'lead-xlr',
      second: 'lead-xlr',
      desk: 'mixer-rca-only',
      lead: 'lead-rca-pair-trs',
      camera: 'camera-trs',
    },
    joints: [
      'first.holes one.out',
      'first.pins desk.mic-1',
      'second.holes two.out',
      'second.pins desk.mic-2',
      'lead.left desk.tape-left',
      'lead.right desk.tape-right',
      'lead.small camera.mic',
    ],
    others: ['two'],
    apart: true,
    settings,
  });
