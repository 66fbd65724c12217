import { describe, expect, it } from 'vitest';
import { layRig, type RigSketch } from '../../../../testing/lay-rig';
import type { Part } from '../../parts';
import { applyEdit, type Placing, type Rig } from '../../rig';
import { dbSpl, gainToDb } from '../../units';
import { allFacts } from '..';
import { analyse } from '../../judge';
import { hearing } from '../hearing';
import { backTo, couplings } from './couplings';
import { howl } from '.';

/** A microphone on a mixer, its main output on a powered loudspeaker in a small hall; gain as a quiet talker wants it. */
const hall = (mic: string, placing: Omit<Placing, 'speaker' | 'microphone'>): Rig => {
  const rig = layRig({
    parts: {
      mic,
      mixer: 'mixer-monitor-fx',
      jack: 'lead-jack-trs',
      speaker: 'loudspeaker-stage',
      phone: 'phone-usb-c',
    },
    joints: ['mic.out mixer.mic-1', 'mixer.main-left jack.a', 'jack.b speaker.in'],
    settings: { mixer: { 'gain-1': 58, phantom: 'on' } },
  });
  const withRoom = applyEdit(rig, { kind: 'room', room: { cubicMetres: 480, seconds: 1.2 } });
  return applyEdit(withRoom, { kind: 'air', placing: { speaker: 'speaker', microphone: 'mic', ...placing } });
};

const margin = (rig: Rig): number => howl(allFacts(rig)[0])?.marginDb ?? Infinity;

/**
 * Written down first, common practice: a dynamic microphone with the loudspeaker far and behind it does not howl; a condenser at the same gain does;
 * nearer, on the axis or louder is worse; headphones in its place cannot howl.
 */
describe('loudspeakers and microphones in one room', () => {
  it('far and behind a dynamic microphone: more than six decibels of margin', () => {
    expect(margin(hall('dynamic-xlr', { metres: 5, degrees: 180 }))).toBeGreaterThan(6);
  });
  it('a condenser in its place howls, and that is said with the margin', () => {
    const rig = hall('condenser-xlr', { metres: 5, degrees: 180 });
    expect(margin(rig)).toBeLessThan(0);
    const [found] = analyse(rig).findings.filter(({ code }) => code === 'howls');
    expect(found).toMatchObject({ severity: 'blocks', where: { part: 'speaker' }, other: 'mic' });
    expect(found?.values[0]?.value).toBeCloseTo(margin(rig), 9);
  });
  it('nearer is worse, on the axis is worse, a doubled gain by six decibels', () => {
    const far = margin(hall('dynamic-xlr', { metres: 5, degrees: 180 }));
    expect(margin(hall('dynamic-xlr', { metres: 1, degrees: 180 }))).toBeLessThanOrEqual(far);
    expect(margin(hall('dynamic-xlr', { metres: 1, degrees: 0 }))).toBeLessThan(
      margin(hall('dynamic-xlr', { metres: 1, degrees: 120 })),
    );
    const louder = applyEdit(hall('dynamic-xlr', { metres: 5, degrees: 180 }), {
      kind: 'set',
      part: 'speaker',
      setting: 'volume',
      option: -4,
    });
    // Its volume stood at −10.
    expect(margin(louder)).toBeCloseTo(far - 6, 6);
  });
  it('in the open, where nothing reverberates, twice as far is six decibels more', () => {
    const open = (metres: number) =>
      margin(
        applyEdit(hall('dynamic-xlr', { metres, degrees: 0 }), {
          kind: 'room',
          room: { cubicMetres: 1_000_000, seconds: 0.05 },
        }),
      );
    expect(open(4) - open(2)).toBeCloseTo(6.02, 1);
  });
  it('is looked for in every octave: behind a capacitor the treble has less room than 1 kHz, by the filter’s own law', () => {
    const [CORNER, OHMS] = [1600, 10_000];
    const rig = hall('dynamic-xlr', { metres: 5, degrees: 180 });
    const own: Part = {
      id: 'own-thin',
      name: 'Thin loudspeaker',
      family: 'loudspeaker',
      summary: 'no bass, made up for this',
      price: 1,
      ports: [
        {
          id: 'in',
          name: 'line input',
          connector: 'trs-6.35',
          gender: 'jack',
          direction: 'in',
          roles: { T: 'hot', R: 'cold', S: 'ground' },
        },
      ],
      circuit: [
        { kind: 'capacitor', a: 'in.T', b: 'cone', farads: 1 / (2 * Math.PI * CORNER * OHMS) },
        { kind: 'resistor', a: 'cone', b: 'in.R', ohms: OHMS },
        { kind: 'wire', a: 'in.R', b: 'in.S' },
      ],
      speaker: { plus: 'cone', minus: 'in.R', spl: dbSpl(95), directivity: 6 },
    } as Part;
    const thin = {
      ...rig,
      ownParts: [own],
      parts: rig.parts.map((p) => (p.id === 'speaker' ? { id: 'speaker', part: own.id } : p)),
    };
    const found = howl(allFacts(thin)[0]);
    expect(found?.at).toBe(8000);
    const passes = (at: number) => -10 * Math.log10(1 + (CORNER / at) ** 2);
    const [facts] = allFacts(thin);
    const [pair] = couplings(facts);
    const at1k = pair ? -gainToDb(pair.gain * backTo(facts, pair.source, pair.speaker)) : NaN;
    // The mixer's own 75 Ω before 10 kΩ move the corner by less than a hundredth.
    expect(at1k - (found?.marginDb ?? NaN)).toBeCloseTo(passes(8000) - passes(1000), 1);
  });
  it('a rig without a loudspeaker has no such loop', () => {
    const rig = layRig({ parts: { mic: 'dynamic-xlr', phone: 'phone-usb-c' }, joints: [] });
    expect(howl(allFacts(rig)[0])).toBeUndefined();
    expect(couplings(allFacts(rig)[0])).toEqual([]);
  });
});

/** A stream with guests on a phone; a USB microphone whose headphone socket feeds headphones, or a loudspeaker half a metre away. */
const call = (ears: 'loudspeaker-portable' | 'headphones-trs'): Rig => {
  const loud = ears === 'loudspeaker-portable';
  const sketch: RigSketch = {
    parts: {
      mic: 'usb-mic-low-phones',
      usb: 'lead-usb-c-c',
      ...(loud && { lead: 'lead-trs-trs' }),
      ears,
      phone: 'phone-usb-c',
    },
    joints: [
      'usb.a mic.usb',
      'usb.b phone.port',
      ...(loud ? ['lead.a mic.phones', 'lead.b ears.in'] : ['ears.plug mic.phones']),
    ],
    settings: { mic: { gain: 30, phones: 0 } },
    apps: { phone: 'live-stream' },
    recorder: 'phone',
  };
  const rig = layRig(sketch);
  return loud
    ? applyEdit(rig, {
        kind: 'air',
        placing: { speaker: 'ears', microphone: 'mic', metres: 0.5, degrees: 90 },
      })
    : rig;
};

const own = (rig: Rig) =>
  hearing(allFacts(rig)[0]).cells.find(({ listener, voice }) => listener === 'phone' && voice === 'phone');

describe('guests out of a loudspeaker', () => {
  it('come back to themselves through the air, and that is found with its echo loss, delay and limit', () => {
    const rig = call('loudspeaker-portable');
    expect(own(rig)).toMatchObject({ state: 'late' });
    expect(own(rig)?.path).toEqual(expect.arrayContaining(['phone', 'ears', 'mic']));
    const [found] = analyse(rig).findings.filter(({ code }) => code === 'speakers-open');
    expect(found?.where.part).toBe('ears');
    // ITU-T G.131: at 120 ms and more one way some fifty decibels are wanted.
    expect(found?.limit?.value).toBeGreaterThan(47);
  });
  it('in headphones they do not', () => {
    expect(own(call('headphones-trs'))?.state).not.toBe('late');
    expect(analyse(call('headphones-trs')).findings.map(({ code }) => code)).not.toContain('speakers-open');
  });
});
