import { describe, expect, it } from 'vitest';
import { allFacts } from '../../engine';
import { layRig, type RigSketch } from '../../../../testing/lay-rig';
import {
  CONVERTED_BEHIND,
  EARS_TAKEN,
  FED_FOR_NOTHING,
  HEAPED,
  IN_LINE,
  MIXED_BEHIND,
  PLAYED_FIRST,
} from '../bother';
import { LIMITS, search } from './search';
import { weightOf } from './rank';
import type { RouteRequest } from './request';
import { roughnessOf } from './rough';

const rough = (sketch: RigSketch, given?: string): number =>
  roughnessOf(allFacts(layRig(sketch))[0], given === undefined ? {} : { given });

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

// Common practice: who buys a mixer for a host with a port for numbers takes one that converts.
describe('a mixer that is heard by another sound device', () => {
  const parts = {
    keys: 'keyboard',
    lead: 'lead-jack-ts',
    voice: 'dynamic-xlr',
    xlr: 'lead-xlr',
    mixer: 'mixer-rca-only',
    pad: 'lead-line-headset-pad',
  };
  const joints = [
    'lead.a keys.left',
    'lead.b mixer.pair-1-left',
    'voice.out xlr.holes',
    'xlr.pins mixer.mic-1',
    'pad.big mixer.phones',
  ];
  const byDongle: RigSketch = {
    others: ['voice'],
    parts: { ...parts, dongle: 'dongle-usb-c-headset', phone: 'phone-usb-c' },
    joints: [...joints, 'pad.trrs dongle.jack', 'dongle.plug phone.port'],
    settings: { mixer: { 'gain-1': 40 } },
  };

  it('weighs as much as people pay for one that converts; not where it is there already, nor into a jack', () => {
    expect(rough(byDongle)).toBe(MIXED_BEHIND + EARS_TAKEN);
    expect(rough(byDongle, 'mixer')).toBe(EARS_TAKEN);
    const byJack: RigSketch = {
      ...byDongle,
      parts: { ...parts, phone: 'phone-ctia' },
      joints: [...joints, 'pad.trrs phone.jack'],
    };
    expect(rough(byJack)).toBe(EARS_TAKEN);
  });
});

// Common practice: an instrument goes into a DI box.
describe('what plays in boxes that feed clip-ons', () => {
  it('weighs for each of them', () => {
    const keys: RigSketch = {
      parts: {
        keys: 'keyboard',
        a: 'lead-headphones-aux',
        b: 'lead-headphones-aux',
        one: 'adapter-pip-xlr',
        other: 'adapter-pip-xlr',
        x: 'lead-xlr',
        y: 'lead-xlr',
        recorder: 'recorder-xlr',
      },
      joints: [
        'a.big keys.left',
        'b.big keys.right',
        'a.small one.in',
        'b.small other.in',
        'one.out x.holes',
        'other.out y.holes',
        'x.pins recorder.mic-1',
        'y.pins recorder.mic-2',
      ],
      settings: { recorder: { phantom: 'on' } },
    };
    expect(rough(keys)).toBe(2 * FED_FOR_NOTHING);
  });
});

// Common practice: a splitter shares out; what is joined goes into a mixer. Two receivers of one kind, or two clip-ons, in a splitter's sockets are the exception.
describe('sources that copper joins', () => {
  const others = ['other'];
  const into = (splitter: string): RigSketch => ({
    others,
    parts: {
      one: 'dynamic-xlr',
      other: 'dynamic-xlr',
      a: 'lead-xlr-trs-camera',
      b: 'lead-xlr-trs-camera',
      splitter,
      camera: 'camera-trs',
    },
    joints: [
      'one.out a.holes',
      'other.out b.holes',
      'a.small splitter.one',
      'b.small splitter.two',
      'splitter.plug camera.mic',
    ],
  });

  it('two bare microphones are heaped, and loaded down; a side each they are neither', () => {
    expect(rough(into('splitter-headphones'))).toBe(HEAPED + IN_LINE);
    expect(rough(into('splitter-left-right'))).toBe(0);
    const [apart] = allFacts(layRig(into('splitter-left-right')));
    expect(roughnessOf(apart, { isHeaped: true }), 'where each is wanted on every side').toBe(HEAPED);
  });

  it.each([
    ['two receivers of one kind', 'receiver-trs', 'receiver-trs', 0],
    ['unlike receivers', 'receiver-trs', 'receiver-tip-only', HEAPED],
    [
      'what plays, be it of one kind: an output is made to drive an input',
      'player-portable',
      'player-portable',
      HEAPED,
    ],
  ])('%s', (_, one, other, weighs) => {
    const joined: RigSketch = {
      others,
      parts: {
        one,
        other,
        a: 'lead-trs-trs',
        b: 'lead-trs-trs',
        splitter: 'splitter-headphones',
        camera: 'camera-trs',
      },
      joints: [
        'a.a one.out',
        'b.a other.out',
        'a.b splitter.one',
        'b.b splitter.two',
        'splitter.plug camera.mic',
      ],
    };
    expect(rough(joined)).toBe(weighs);
  });

  it('outputs of two boxes of one kind are heaped, too', () => {
    const boxes: RigSketch = {
      others,
      parts: {
        one: 'dynamic-xlr',
        other: 'dynamic-xlr',
        x: 'lead-xlr',
        y: 'lead-xlr',
        box: 'mixer-one-mic',
        further: 'mixer-one-mic',
        a: 'lead-line-mono-both',
        b: 'lead-line-mono-both',
        splitter: 'splitter-headphones',
        camera: 'camera-trs',
      },
      joints: [
        'one.out x.holes',
        'x.pins box.mic',
        'other.out y.holes',
        'y.pins further.mic',
        'box.left a.big',
        'further.left b.big',
        'a.small splitter.one',
        'b.small splitter.two',
        'splitter.plug camera.mic',
      ],
    };
    expect(rough(boxes)).toBe(HEAPED);
  });

  it('weigh so where nothing better is to be had, and are not left out; a side each they do not', () => {
    const request = (channels: 'mixed' | 'apart'): RouteRequest => ({
      format: 'symplex-request',
      version: 1,
      sources: [{ part: 'dynamic-xlr' }, { part: 'dynamic-xlr' }],
      destinations: [{ part: 'camera-trs', app: 'camera' }],
      wishes: { channels },
      catalogue: ['lead-xlr-trs-camera', 'splitter-headphones', 'splitter-left-right'],
    });
    const best = (channels: 'mixed' | 'apart') => {
      const steps = search(request(channels), { ...LIMITS, milliseconds: Infinity });
      for (;;) {
        const next = steps.next();
        if (next.done) return next.value.found[0];
      }
    };
    const [mixed, apart] = [best('mixed'), best('apart')];
    expect(mixed && weightOf(mixed) - mixed.cost.weight).toBeGreaterThanOrEqual(HEAPED);
    expect(mixed?.layout.sure).toBe(HEAPED);
    expect(apart && weightOf(apart) - apart.cost.weight).toBeLessThan(HEAPED);
  });
});

// Common practice: a mixer is the sound device of what records; what plays comes by a lead from a jack.
describe('a mixer that one host plays into by numbers', () => {
  const parts = { tablet: 'tablet-usb-c', usb: 'lead-usb-c-b', mixer: 'mixer-fx-usb' };
  const joints = ['usb.a tablet.port', 'usb.b mixer.usb'];

  it('is not what another hears as a voltage that could take its numbers', () => {
    const phone: RigSketch = {
      parts: { ...parts, pad: 'lead-line-headset-pad', phone: 'phone-jack-usb-c' },
      joints: [...joints, 'pad.big mixer.main-left', 'pad.trrs phone.jack'],
    };
    expect(rough(phone, 'mixer')).toBe(PLAYED_FIRST);
  });

  it('but is heard by a camera, which takes none', () => {
    const camera: RigSketch = {
      parts: { ...parts, lead: 'lead-line-mono-both', camera: 'camera-trs' },
      joints: [...joints, 'lead.big mixer.main-left', 'lead.small camera.mic'],
    };
    expect(rough(camera, 'mixer')).toBe(0);
  });
});
