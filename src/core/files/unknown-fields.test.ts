import { readFileSync } from 'node:fs';
import { describe, expect, it } from 'vitest';
import { checkRequest } from './read-request';
import { checkRig } from './read-rig';
import { sayWarning } from './warnings';

type Json = Record<string, unknown>;
const demo = (path: string): Json => JSON.parse(readFileSync(`demo/${path}`, 'utf8')) as Json;
const rig = (): Json & { parts: Json[]; joints: Json[]; purpose: Json; surroundings: Json } =>
  demo('rigs/slipway-diary.json') as never;
const warningsOf = (document: unknown) => {
  const result = checkRig(document);
  return result.ok ? result.warnings : result.problem;
};

describe('fields that no schema names', () => {
  it('are told by their place, with the name that was likely meant', () => {
    const typed = rig();
    typed.parts[1] = { ...typed.parts[1], lenght: 3 };
    typed.surroundings = { ...typed.surroundings, Voice: 'loud' };
    expect(warningsOf(typed)).toEqual([
      { code: 'unknown-field', at: '/parts/1/lenght', field: 'lenght', nearest: 'length' },
      { code: 'unknown-field', at: '/surroundings/Voice', field: 'Voice', nearest: 'voice' },
    ]);
    const [first] = warningsOf(typed) as Parameters<typeof sayWarning>;
    expect(sayWarning(first)).toBe(
      '/parts/1/lenght is no field that Symplex knows, and says nothing; did you mean "length"?',
    );
  });

  it('one that is like no other is told without a guess; names that the document gives itself are not fields', () => {
    const typed = { ...rig(), weather: 'fog' };
    expect(warningsOf(typed)).toEqual([{ code: 'unknown-field', at: '/weather', field: 'weather' }]);
    expect(warningsOf(rig())).toEqual([]);
  });

  it('in a request, too', () => {
    const request = demo('requests/loft-condenser.json');
    const result = checkRequest({ ...request, wishes: { ...(request['wishes'] as Json), chrage: true } });
    expect(result.ok && result.warnings).toEqual([
      { code: 'unknown-field', at: '/wishes/chrage', field: 'chrage', nearest: 'charge' },
    ]);
  });

  it('no more than twenty of them', () => {
    const many = Object.fromEntries(Array.from({ length: 50 }, (_, n) => [`odd-${n}`, n]));
    expect(warningsOf({ ...rig(), ...many })).toHaveLength(20);
  });
});

describe('who is plug and who is jack', () => {
  it('exchanged, the two are put right, and that is told', () => {
    const turned = rig();
    const { plug, jack, ...rest } = turned.joints[1]!;
    turned.joints[1] = { ...rest, plug: jack, jack: plug };
    const result = checkRig(turned);
    expect(result.ok && result.rig.joints).toEqual(rig().joints);
    expect(result.ok && result.warnings).toEqual([{ code: 'roles-exchanged', at: '/joints/1', joint: 'j2' }]);
  });

  it('two sockets are no joint', () => {
    const wrong = rig();
    wrong.joints = [
      {
        id: 'j1',
        plug: { part: 'receiver', port: 'out' },
        jack: { part: 'dongle', port: 'jack' },
      },
    ];
    expect(warningsOf(wrong)).toMatchObject({ code: 'no-plug-and-jack', at: '/joints/0', gender: 'jack' });
  });
});

describe('a lead neither sounds nor records', () => {
  it.each(['sources', 'recorders'])('named among the %s it is refused', (list) => {
    const wrong = rig();
    wrong.purpose = { ...wrong.purpose, [list]: ['lead'] };
    expect(warningsOf(wrong)).toMatchObject({ code: 'only-a-link', at: `/purpose/${list}/0` });
  });
});
