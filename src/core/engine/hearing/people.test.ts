import { describe, expect, it } from 'vitest';
import { layRig } from '../../../../testing/lay-rig';
import { analyse } from '../../judge';
import { applyEdit, LIMITS, type Person, type Rig, type RigEdit, type Stand } from '../../rig';
import { fixesFor } from '../../search/fixes';
import { allFacts } from '..';
import { peopleHearing } from './people';

const SOUND = 343;
const OPEN = { cubicMetres: 1_000_000, seconds: 0.05 };

/** Two dynamic microphones on a mixer that goes into a phone by USB; Ann speaks into the first, Bea into the second. */
function table(mouths: { readonly ann: number; readonly bea: number }, app = 'live-stream'): Rig {
  return layRig({
    parts: {
      one: 'dynamic-xlr',
      two: 'dynamic-xlr',
      'lead-one': 'lead-xlr',
      'lead-two': 'lead-xlr',
      mixer: 'mixer-fx-usb',
      usb: 'lead-usb-c-b',
      ears: 'headphones-big',
      phone: 'phone-usb-c',
    },
    joints: [
      'one.out lead-one.holes',
      'lead-one.pins mixer.mic-1',
      'two.out lead-two.holes',
      'lead-two.pins mixer.mic-2',
      'usb.b mixer.usb',
      'usb.a phone.port',
      'ears.plug mixer.phones',
    ],
    source: 'one',
    others: ['two'],
    recorder: 'phone',
    settings: { mixer: { 'gain-1': 50, 'gain-2': 50 } },
    apps: { phone: app },
    distances: { one: mouths.ann, two: mouths.bea },
  });
}

const put = (rig: Rig, ...people: readonly Person[]): Rig =>
  people.reduce<Rig>((at, person) => applyEdit(at, { kind: 'person', person }), rig);

const ann = (...places: readonly Stand[]): Person => ({
  id: 'ann',
  name: 'Ann',
  microphone: 'one',
  wears: 'ears',
  places,
});
const BEA: Person = { id: 'bea', name: 'Bea', microphone: 'two' };

const cell = (rig: Rig, listener: string, voice: string) => {
  const found = peopleHearing(allFacts(rig)[0]).cells.find(
    (c) => c.listener === listener && c.voice === voice,
  );
  if (!found) throw new Error(`${listener} ← ${voice}`);
  return found;
};
const codes = (rig: Rig) => analyse(rig).findings.map(({ code }) => code);
const inTheOpen = (rig: Rig) => applyEdit(rig, { kind: 'room', room: OPEN });

describe('two at one table (three-to-one rule, common practice)', () => {
  it('nothing said but names: each is heard by their own microphone', () => {
    const rig = put(table({ ann: 0.1, bea: 0.1 }), ann(), BEA);
    expect(cell(rig, 'phone', 'ann')).toMatchObject({ state: 'hears' });
    expect(cell(rig, 'phone', 'bea').path[0]).toBe('two');
    expect(codes(rig)).not.toContain('bleeds');
  });
  it('six times as far from the other microphone is enough', () => {
    const rig = put(table({ ann: 0.1, bea: 0.1 }), ann({ part: 'two', metres: 0.6, degrees: 0 }), BEA);
    expect(codes(rig)).not.toContain('bleeds');
  });
  it('less than twice as far is not: the second is so much lower and so much later as distances say', () => {
    const rig = put(table({ ann: 0.3, bea: 0.1 }), ann({ part: 'two', metres: 0.5, degrees: 0 }), BEA);
    const heard = cell(inTheOpen(rig), 'phone', 'ann');
    expect(heard.state).toBe('twice');
    expect(heard.also?.under).toBeCloseTo(20 * Math.log10(0.5 / 0.3), 1);
    expect(heard.apart).toBeCloseTo((0.2 / SOUND) * 1000, 6);
    const [found] = analyse(rig).findings.filter(({ code }) => code === 'bleeds');
    expect(found).toMatchObject({ severity: 'spoils', person: 'ann', source: 'one', other: 'two' });
    expect(found?.limit?.value).toBeCloseTo(9.54, 2);
  });
  it('the microphone’s deaf side towards them is enough, too', () => {
    const rig = put(table({ ann: 0.3, bea: 0.1 }), ann({ part: 'two', metres: 0.5, degrees: 180 }), BEA);
    expect(codes(rig)).not.toContain('bleeds');
  });
  it('what is offered cures it, as judged anew', () => {
    const rig = put(table({ ann: 0.3, bea: 0.1 }), ann({ part: 'two', metres: 0.5, degrees: 0 }), BEA);
    const [finding] = analyse(rig).findings.filter(({ code }) => code === 'bleeds');
    const fixes = fixesFor(rig, finding!, {});
    expect(fixes.length).toBeGreaterThan(0);
    for (const { edit } of fixes) expect(codes(applyEdit(rig, edit))).not.toContain('bleeds');
    expect(fixes.map(({ edit }) => edit.kind)).toEqual(expect.arrayContaining(['distance']));
  });
  it('who has no microphone is heard by that of another: twice as far six decibels lower', () => {
    const cy = (metres: number): Person => ({
      id: 'cy',
      name: 'Cy',
      places: [{ part: 'one', metres, degrees: 0 }],
    });
    const level = (metres: number) =>
      cell(inTheOpen(put(table({ ann: 0.1, bea: 0.1 }), cy(metres))), 'phone', 'cy').level;
    expect(level(0.5) - level(1)).toBeCloseTo(6.02, 2);
    // At the distance of whoever speaks into it, as loud as they.
    const own = cell(put(table({ ann: 0.1, bea: 0.1 }), ann()), 'phone', 'ann').level;
    expect(level(0.1)).toBeCloseTo(own, 2);
  });
});

describe('who hears the far end', () => {
  it('who wears headphones on the mixer does; who wears nothing is told so, and hears the others in the room', () => {
    const rig = put(table({ ann: 0.1, bea: 0.1 }), ann(), BEA);
    expect(cell(rig, 'bea', 'phone').state).toBe('not');
    expect(cell(rig, 'bea', 'ann').state).toBe('hears');
    expect(analyse(rig).findings).toContainEqual(
      expect.objectContaining({ code: 'hears-nobody', person: 'bea', severity: 'note' }),
    );
  });
  it('by a loudspeaker: as loud as its distance says, and later by its way', () => {
    const loud = layRig({
      parts: { phone: 'phone-ctia', lead: 'lead-trs-trs', loudspeaker: 'loudspeaker-portable' },
      joints: ['lead.a phone.jack', 'lead.b loudspeaker.in'],
      source: 'phone',
      recorder: 'phone',
      apps: { phone: 'voice-room' },
      settings: { loudspeaker: { volume: 0 } },
    });
    const at = (metres: number) =>
      cell(
        inTheOpen(put(loud, { id: 'bea', name: 'Bea', places: [{ part: 'loudspeaker', metres }] })),
        'bea',
        'phone',
      );
    expect(at(2).state).toBe('hears');
    expect(at(2).level - at(4).level).toBeCloseTo(6.02, 2);
    expect(at(4).delay.typical - at(2).delay.typical).toBeCloseTo((2 / SOUND) * 1000, 6);
  });
});

describe('one’s own voice in one’s headphones', () => {
  const monitored = (direct: string): Rig =>
    put(
      layRig({
        parts: {
          mic: 'dynamic-xlr',
          interface: 'interface-one-input',
          ears: 'headphones-big',
          phone: 'phone-usb-c',
        },
        joints: ['mic.out interface.mic', 'interface.usb phone.port', 'ears.plug interface.phones'],
        settings: { interface: { gain: 46, direct } },
        apps: { phone: 'multitrack' },
        choices: { phone: { monitor: 'on' } },
        recorder: 'phone',
        distances: { mic: 0.06 },
      }),
      { id: 'ann', name: 'Ann', microphone: 'mic', wears: 'ears' },
    );
  it('by the app alone is too late for a singer, 20 ms, typical', () => {
    const [found] = analyse(monitored('off')).findings.filter(({ code }) => code === 'monitored-late');
    expect(found?.values[0]).toMatchObject({ value: 20, unit: 'ms' });
  });
  it('direct as well it is doubled, which is another trouble', () => {
    expect(codes(monitored('on'))).toContain('heard-twice');
    expect(codes(monitored('on'))).not.toContain('monitored-late');
  });
});

describe('people as edits', () => {
  const rig = put(table({ ann: 0.1, bea: 0.1 }), ann({ part: 'two', metres: 0.4 }), BEA);
  it.each<[string, RigEdit]>([
    ['no such microphone', { kind: 'person', person: { id: 'cy', name: 'Cy', microphone: 'nothing' } }],
    ['the id of a part', { kind: 'person', person: { id: 'mixer', name: 'Cy' } }],
    ['no name', { kind: 'person', person: { id: 'cy', name: ' ' } }],
    ['nobody of that name leaves', { kind: 'leave', person: 'cy' }],
    ['somebody comes without a name', { kind: 'come', name: ' ' }],
  ])('%s: nothing changes', (_, edit) => expect(applyEdit(rig, edit)).toBe(rig));
  it('two of one name who come before either is drawn are two, at a microphone each', () => {
    const come: RigEdit = { kind: 'come', name: 'Ann Rope' };
    const people = [come, come].reduce<Rig>(applyEdit, table({ ann: 0.1, bea: 0.1 })).surroundings.people;
    expect(people?.map(({ id, name, microphone }) => [id, name, microphone])).toEqual([
      ['ann-rope', 'Ann Rope', 'one'],
      ['ann-rope-2', 'Ann Rope', 'two'],
    ]);
  });
  it('no more come than a rig may have, and a name in no Latin letter is one', () => {
    const crowd = Array.from({ length: LIMITS.people + 1 }, (): RigEdit => ({ kind: 'come', name: 'Аня' }));
    const people = crowd.reduce<Rig>(applyEdit, rig).surroundings.people ?? [];
    expect(people).toHaveLength(LIMITS.people);
    expect(people.at(-1)).toMatchObject({ name: 'Аня', id: expect.stringMatching(/^person(-\d+)?$/) });
  });
  it('two changes that follow one another before either is drawn both stand', () => {
    const near: RigEdit = { kind: 'person', person: { id: 'ann', places: [{ part: 'two', metres: 0.2 }] } };
    const ahead: RigEdit = { kind: 'person', person: { id: 'ann', places: [{ part: 'two', degrees: 0 }] } };
    const bare: RigEdit = { kind: 'person', person: { id: 'ann', wears: null } };
    expect([near, ahead, bare].reduce<Rig>(applyEdit, rig).surroundings.people?.[0]).toEqual({
      id: 'ann',
      name: 'Ann',
      microphone: 'one',
      places: [{ part: 'two', metres: 0.2, degrees: 0 }],
    });
  });
  it('a part that goes is forgotten by all, and the last who leaves leaves no list', () => {
    const less = applyEdit(rig, { kind: 'remove', part: 'two' });
    expect(less.surroundings.people).toEqual([
      { id: 'ann', name: 'Ann', microphone: 'one', wears: 'ears' },
      { id: 'bea', name: 'Bea' },
    ]);
    const empty = ['ann', 'bea'].reduce<Rig>((at, person) => applyEdit(at, { kind: 'leave', person }), rig);
    expect('people' in empty.surroundings).toBe(false);
  });
});
