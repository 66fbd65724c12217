import { describe, expect, it } from 'vitest';
import { allFacts } from '../../engine';
import { layRig, type RigSketch } from '../../../../testing/lay-rig';
import { CONVERTED_BEHIND, EARS_TAKEN } from '../bother';
import { roughnessOf } from './rough';

const rough = (sketch: RigSketch, given?: string): number => roughnessOf(allFacts(layRig(sketch))[0], given);

// Common practice: a box with a converter of its own goes into the phone by its own port.
describe('a sound device that is heard by another one', () => {
  /** An interface, fed by a charger, by its headphone socket. */
  const parts = {
    voice: 'dynamic-xlr',
    lead: 'lead-xlr',
    box: 'interface-small',
    charger: 'charger-usb-c-socket',
    aux: 'lead-headphones-aux',
  };
  const joints = ['voice.out lead.holes', 'lead.pins box.mic-1', 'box.usb charger.out', 'aux.big box.phones'];
  const settings = { box: { 'gain-1': 50, 'kind-1': 'line' } };
  /** The same into a small sound device. */
  const behind: RigSketch = {
    parts: { ...parts, sound: 'usb-sound-trs', adapter: 'adapter-usb-c-a', phone: 'phone-usb-c' },
    joints: [...joints, 'aux.small sound.mic', 'sound.usb adapter.a', 'adapter.c phone.port'],
    settings,
  };

  it('weighs as much as the smallest interface, beside the headphone socket that it takes', () => {
    expect(rough(behind)).toBe(CONVERTED_BEHIND + EARS_TAKEN);
  });

  it('but not where it is there already, and is taken as it can be', () => {
    expect(rough(behind, 'box')).toBe(EARS_TAKEN);
  });

  it('nor by a camera, which converts what comes to it itself', () => {
    const camera: RigSketch = {
      parts: { ...parts, camera: 'camera-trs' },
      joints: [...joints, 'aux.small camera.mic'],
      settings,
    };
    expect(rough(camera)).toBe(EARS_TAKEN);
  });
});
