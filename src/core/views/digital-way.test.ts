import { readdirSync } from 'node:fs';
import { describe, expect, it } from 'vitest';
import { analyse } from '../judge';
import { usual } from '../../../testing/usual-rig';
import { layRig, type RigSketch } from '../../../testing/lay-rig';

const alive = (sketch: RigSketch) =>
  Object.fromEntries(
    analyse(layRig(sketch)).joints.map(({ plug, jack, alive }) => [`${plug.part} ${jack.part}`, alive]),
  );

describe('joints by which the wanted sound goes as numbers are alive', () => {
  it.each(readdirSync('demo/usual'))('all of the main chain of a clean rig: %s', (file) => {
    const { rungs, joints } = analyse(usual(file));
    const spine = rungs.filter(({ depth }, place) => depth === 0 && place > 0);
    const dead = spine.filter(({ joint }) => !joints.find(({ id }) => id === joint)?.alive);
    expect(dead.map(({ placed }) => placed)).toEqual([]);
  });

  it('over lead and adapter as far as the tablet, and no charger beside them', () => {
    const dead = analyse(usual('usb-mic-tablet-hungry.json')).joints.filter((joint) => !joint.alive);
    expect(dead.map(({ plug, jack }) => [plug.port, jack.port])).toEqual([['out', 'charge']]);
  });
  it('none where the lead brings supply alone', () => {
    const bare: RigSketch = {
      parts: {
        mic: 'usb-mic-lights',
        lead: 'lead-usb-a-c-charge',
        adapter: 'adapter-8-pin-usb',
        phone: 'phone-8-pin',
      },
      joints: ['lead.b mic.usb', 'lead.a adapter.usb', 'adapter.plug phone.port'],
      apps: { phone: 'recorder-app' },
    };
    expect(Object.values(alive(bare))).toEqual([false, false, false]);
  });
  it('and the other way: what a tablet plays into a mixer', () => {
    const plays: RigSketch = {
      parts: {
        tablet: 'tablet-usb-c',
        usb: 'lead-usb-c-b',
        mixer: 'mixer-fx-usb',
        lead: 'lead-line-mono-both',
        pad: 'pad-jack-40',
        camera: 'camera-trs',
      },
      joints: [
        'usb.a tablet.port',
        'usb.b mixer.usb',
        'lead.big mixer.main-left',
        'lead.small pad.in',
        'pad.out camera.mic',
      ],
      source: 'tablet',
      recorder: 'camera',
    };
    expect(Object.values(alive(plays))).toEqual([true, true, true, true, true]);
  });
});
