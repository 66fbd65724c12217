import Ajv2020 from 'ajv/dist/2020.js';
import { readFileSync } from 'node:fs';
import { describe, expect, it } from 'vitest';
import { layRig } from '../../../testing/lay-rig';
import { DEEPEST_NESTING } from './read-rig';
import partSchema from '../parts/model/part-schema.json';
import schema from './rig-schema.json';
import { LARGEST_RIG_BYTES, sayProblem, writeRig } from '.';
import { type Rig } from '../rig';
import { checkRig, readRig } from './read-rig';

const good = (): Rig =>
  layRig({
    parts: { receiver: 'receiver-trs', lead: 'patch-trs-trrs', phone: 'phone-ctia' },
    joints: ['receiver.out lead.trs', 'lead.trrs phone.jack'],
    settings: { receiver: { output: 'high' } },
  });

/** A deep copy of the good rig, changed as any JSON may be. */
function spoil(change: (document: Record<string, never>) => void): unknown {
  const document = JSON.parse(JSON.stringify(good()));
  change(document);
  return document;
}

function messageFor(text: string): string {
  const result = readRig(text);
  return result.ok ? 'accepted' : sayProblem(result.problem);
}
const messageOf = (document: unknown): string => messageFor(JSON.stringify(document));

describe('reading a rig file', () => {
  it('takes a good one and writes it back the same', () => {
    const result = readRig(writeRig(good()));
    expect(result).toEqual({ ok: true, rig: good(), warnings: [] });
  });

  it.each([
    ['truncated', writeRig(good()).slice(0, 300), /^The file is not complete JSON: /],
    ['empty', '', /^The file is not complete JSON: /],
    ['a list', '[]', /^The file is \[\]; it must be an object\.$/],
    ['a number', '7', /^The file is 7; it must be an object\.$/],
    ['null', 'null', /^The file is null/],
  ])('refuses a file that is %s', (_, text, message) => expect(messageFor(text)).toMatch(message));

  it('refuses another format and another version, quoting it', () => {
    expect(messageOf({ format: 'song', version: 1 })).toBe(
      '/format is "song"; a Symplex rig says "symplex-rig".',
    );
    expect(messageOf({ ...good(), version: 9 })).toBe('/version is 9; this Symplex reads version 1.');
    expect(messageOf({ ...good(), version: '1' })).toBe('/version is "1"; this Symplex reads version 1.');
  });

  it.each<[string, (document: never) => void, string]>([
    [
      'a plug that is a text',
      (d: { joints: { plug: unknown }[] }) => (d.joints[1]!.plug = 'lead'),
      '/joints/1/plug is "lead"; it must be object.',
    ],
    [
      'a joint without a jack',
      (d: { joints: { jack?: unknown }[] }) => delete d.joints[0]!.jack,
      '/joints/0/jack is nothing; it must be there.',
    ],
    [
      'an unknown voice',
      (d: { surroundings: { voice: string } }) => (d.surroundings.voice = 'sung'),
      '/surroundings/voice is "sung"; it must be one of ["normal","raised","loud","shout"].',
    ],
    [
      'a person who speaks into what is not there',
      (d: { surroundings: { people: unknown } }) =>
        (d.surroundings.people = [{ id: 'ann', name: 'Ann', microphone: 'gramophone' }]),
      '/surroundings/people/0/microphone is "gramophone"; the rig has no part of that id.',
    ],
    [
      'a person who stands to what is not there',
      (d: { surroundings: { people: unknown } }) =>
        (d.surroundings.people = [{ id: 'ann', name: 'Ann', places: [{ part: 'kettle' }] }]),
      '/surroundings/people/0/places/0/part is "kettle"; the rig has no part of that id.',
    ],
    [
      'a person with an impossible distance',
      (d: { surroundings: { people: unknown } }) =>
        (d.surroundings.people = [{ id: 'ann', name: 'Ann', places: [{ part: 'lead', metres: -1 }] }]),
      '/surroundings/people/0/places/0/metres is -1; it must be >= 0.01.',
    ],
    [
      'two people of one id',
      (d: { surroundings: { people: unknown } }) =>
        (d.surroundings.people = [
          { id: 'ann', name: 'Ann' },
          { id: 'ann', name: 'Bea' },
        ]),
      '/surroundings/people/1/id is "ann"; that id is taken already.',
    ],
    [
      'a part that no catalogue has',
      (d: { parts: { part: string }[] }) => (d.parts[0]!.part = 'kettle'),
      '/parts/0/part is "kettle"; the catalogue has no such part.',
    ],
    [
      'a joint to a part that is not there',
      (d: { joints: { plug: { part: string } }[] }) => (d.joints[1]!.plug.part = 'ghost'),
      '/joints/1/plug/part is "ghost"; the rig has no part of that id.',
    ],
    [
      'a port that the part lacks',
      (d: { joints: { plug: { port: string } }[] }) => (d.joints[1]!.plug.port = 'xlr'),
      '/joints/1/plug/port is "xlr"; "patch-trs-trrs" has no such port.',
    ],
    [
      'a setting with no such place',
      (d: { parts: { settings: { output: string } }[] }) => (d.parts[0]!.settings.output = 'eleven'),
      '/parts/0/settings/output is "eleven"; "receiver-trs" has no such setting, or it cannot stand there.',
    ],
    [
      'an unknown app',
      (d: { parts: { app: string }[] }) => (d.parts[2]!.app = 'abacus'),
      '/parts/2/app is "abacus"; there is no such app class.',
    ],
    [
      'two parts of one id',
      (d: { parts: { id: string }[] }) => (d.parts[1]!.id = 'receiver'),
      '/parts/1/id is "receiver"; that id is taken already.',
    ],
    [
      'a purpose with an unknown source',
      (d: { purpose: { sources: string[] } }) => d.purpose.sources.push('nobody'),
      '/purpose/sources/1 is "nobody"; the rig has no part of that id.',
    ],
    [
      'two plugs in one jack',
      (d: { joints: { jack: unknown }[] }) => (d.joints[1]!.jack = d.joints[0]!.jack),
      '/joints/1/jack is {"part":"receiver","port":"out"}; another joint holds that port already.',
    ],
  ])('names the place and the value of %s', (_, change, message) => {
    expect(messageOf(spoil(change as (document: Record<string, never>) => void))).toBe(message);
  });

  it('refuses a file of 50 MB before parsing it', () => {
    const text = `"${'x'.repeat(50_000_000)}"`;
    expect(messageFor(text)).toBe(
      `The file has 50.0 MB; a rig file has at most ${LARGEST_RIG_BYTES / 1e6} MB.`,
    );
  });

  it('refuses nesting that would exhaust the stack', () => {
    const deep = `{"format":"symplex-rig","a":${'['.repeat(500_000)}${']'.repeat(500_000)}}`;
    expect(messageFor(deep)).toBe(
      `The file nests deeper than ${DEEPEST_NESTING} levels; a rig file does not.`,
    );
  });

  it('keeps prototypes clean whatever the keys', () => {
    const hostile = writeRig(good()).replace(
      '"name"',
      '"__proto__": {"polluted": true}, "constructor": 1, "name"',
    );
    expect(readRig(hostile).ok).toBe(true);
    expect(({} as Record<string, unknown>)['polluted']).toBeUndefined();
  });

  it('keeps unknown fields at every depth', () => {
    const document = spoil((d) => {
      Object.assign(d, { mood: 'calm' });
      Object.assign((d as unknown as { joints: object[] }).joints[0]!, { tape: { colour: 'red' } });
    });
    const result = checkRig(document);
    expect(result.ok && JSON.parse(writeRig(result.rig))).toEqual(document);
  });

  it('quotes a long value shortly and on one line', () => {
    const message = messageOf({ ...good(), format: `a\nb${'c'.repeat(900)}` });
    expect(message.length).toBeLessThan(160);
    expect(message).not.toContain('\n');
  });
});

describe('the precompiled validator', () => {
  it('agrees with the schema compiled on the spot', () => {
    const validate = new Ajv2020({
      strict: true,
      strictRequired: false,
      strictTypes: false,
      discriminator: true,
      keywords: ['tsType', 'tsList'],
    })
      .addSchema(partSchema)
      .compile(schema);
    const spoilt = [good(), { ...good(), parts: 3 }, { ...good(), name: '' }, { ...good(), purpose: {} }];
    for (const document of spoilt) {
      expect(checkRig(document).ok, JSON.stringify(document).slice(0, 80)).toBe(validate(document));
    }
  });
});

describe('the demo rigs', () => {
  it.each([
    'slipway-diary',
    'two-at-the-bench',
    'sail-loft-talk',
    'launch-day-stream',
    'harbour-call-in',
    'loft-songs',
    'quay-to-camera',
  ])('%s is a rig, under its own name', (name) => {
    const result = readRig(readFileSync(`demo/rigs/${name}.json`, 'utf8'));
    expect(result.ok && result.rig.id).toBe(name);
  });
});
