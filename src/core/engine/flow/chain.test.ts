import { describe, expect, it } from 'vitest';
import { analyse } from '../../judge';
import { checkReport } from '../../files';
import { layRig, type RigSketch } from '../../../../testing/lay-rig';

const mixer: RigSketch = {
  parts: { mic: 'dynamic-xlr', mixer: 'mixer-one-mic', lead: 'lead-line-mono-both', camera: 'camera-trs' },
  joints: ['mic.out mixer.mic', 'mixer.left lead.big', 'lead.small camera.mic'],
  settings: { mixer: { gain: 30, fader: -20 } },
};
const chainOf = (sketch: RigSketch, number = 1) => {
  const chain = analyse(layRig(sketch)).chains.find((c) => c.number === number);
  if (!chain) throw new Error('no chain');
  return chain;
};

describe('the way from a source to a converter', () => {
  it('names every stage in the order in which the sound passes', () => {
    expect(chainOf(mixer).stages.map((s) => `${s.placed} ${s.is}`)).toEqual([
      'mic source',
      'mixer input',
      'mixer output',
      'camera converter',
    ]);
  });

  it('adds gain, fader, pan law and half a balanced output up to the stage’s level', () => {
    const [source, input, output] = chainOf(mixer).stages;
    // 150 Ω into 3 kΩ, with two times 6.81 kΩ of phantom feed beside it: by hand.
    const load = 1 / (1 / 3000 + 1 / 13_620);
    const loaded = 20 * Math.log10(load / (load + 150));
    expect((input?.level ?? 0) - (source?.level ?? 0)).toBeCloseTo(loaded, 2);
    expect((output?.level ?? 0) - (input?.level ?? 0)).toBeCloseTo(30 - 20 - 3 - 6.02, 2);
  });

  it('ends at the level that arrives, and at the peak that the converter still bears', () => {
    const analysis = analyse(layRig(mixer));
    const last = chainOf(mixer).stages.at(-1);
    const [arrival] = analysis.arrives;
    expect((last?.clipLevel ?? 0) - (last?.peak ?? 0)).toBeCloseTo(arrival?.headroom ?? NaN, 6);
  });

  it('tells polarity: the cold leg of a balanced output is the inverted one', () => {
    const stereo = {
      ...mixer,
      parts: { ...mixer.parts, lead: 'lead-line-stereo' },
    };
    expect([chainOf(stereo, 1).polarity, chainOf(stereo, 2).polarity]).toEqual([1, -1]);
  });

  it('adds the delay of digital stages: a radio link of 5 ms (typical)', () => {
    const packs: RigSketch = {
      parts: {
        pack: 'pack-clip-on',
        receiver: 'receiver-two-channel',
        cable: 'cable-converter-usb-c',
        phone: 'phone-usb-c',
      },
      joints: ['pack.radio receiver.a', 'cable.in receiver.out', 'cable.plug phone.port'],
    };
    expect(chainOf(packs).stages.at(-1)?.delay).toBe(5);
    expect(chainOf(mixer).stages.at(-1)?.delay).toBe(0);
    expect(checkReport(layRig(packs)).arrives[0]).toMatchObject({ delayMs: 5, polarity: 1, inputs: [1, 2] });
  });
});

describe('nets without an answer', () => {
  it('floating contacts are reported by name', () => {
    const lone = layRig({
      parts: { receiver: 'receiver-tip-only', lead: 'patch-trs-trrs', phone: 'phone-ctia' },
      joints: ['receiver.out lead.trs', 'lead.trrs phone.jack'],
    });
    const { nets } = checkReport(lone);
    expect(nets.singular).toEqual([]);
    expect(nets.floating).toContain('lead/trs.R');
  });
});
