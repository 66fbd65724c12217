import { describe, expect, it } from 'vitest';
import { layRig } from '../../../testing/lay-rig';
import { ladder } from '.';

const lanes = (sketch: Parameters<typeof layRig>[0]) =>
  ladder(layRig(sketch)).map((rung) => `${rung.depth} ${rung.placed}${rung.lane ? ` ${rung.lane}` : ''}`);

describe('lanes beside the chain', () => {
  it('names supply, monitoring and what joins', () => {
    expect(
      lanes({
        parts: {
          voice: 'dynamic-xlr',
          interface: 'interface-two-inputs',
          usb: 'lead-usb-c-b',
          guitar: 'guitar',
          lead: 'lead-jack-ts',
          ears: 'headphones-big',
          phone: 'phone-usb-c',
        },
        joints: [
          'voice.out interface.mic-1',
          'lead.a guitar.out',
          'lead.b interface.line-2',
          'ears.plug interface.phones',
          'usb.b interface.usb',
          'usb.a phone.port',
        ],
        others: ['guitar'],
      }),
    ).toEqual([
      '0 voice',
      '0 interface',
      '1 lead joins',
      '2 guitar joins',
      '1 ears monitoring',
      '0 usb',
      '0 phone',
    ]);
  });
  it('knows a charger, and a second recorder', () => {
    expect(
      lanes({
        parts: {
          receiver: 'receiver-both',
          usb: 'lead-usb-c-c',
          hub: 'hub-usb-c',
          charger: 'charger-usb-c',
          bridge: 'lead-usb-a-c',
          lead: 'lead-trs-trs',
          camera: 'camera-trs',
          phone: 'phone-usb-c',
        },
        joints: [
          'bridge.b receiver.usb',
          'bridge.a hub.one',
          'charger.out hub.charge',
          'hub.plug phone.port',
          'receiver.out lead.a',
          'lead.b camera.mic',
        ],
      }).filter((line) => !line.startsWith('0')),
    ).toEqual(['1 lead beside', '2 camera beside', '1 charger supply']);
  });
  it('draws every joint once: those that close a loop hang on the lower rung', () => {
    const rig = layRig({
      parts: {
        deck: 'deck',
        lead: 'lead-rca-pair-trs',
        camera: 'camera-trs',
      },
      joints: ['lead.left deck.left', 'lead.right deck.right', 'lead.small camera.mic'],
    });
    const rungs = ladder(rig);
    const drawn = rungs.flatMap((rung) => [...(rung.joint ? [rung.joint] : []), ...(rung.also ?? [])]);
    expect(drawn.sort()).toEqual(['j1', 'j2', 'j3']);
    expect(rungs[1]?.also).toEqual(['j2']);
  });
});
