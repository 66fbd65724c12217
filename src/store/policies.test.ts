import 'fake-indexeddb/auto';
import { beforeEach, describe, expect, it } from 'vitest';
import type { PolicyNote, Rig } from '../core/rig';
import { database } from './database';
import { keepPolicy, knownPolicies, withPolicies } from './policies';
import { STARTER } from './starter';

const note: PolicyNote = {
  app: 'camera-app',
  way: 'usb',
  takes: false,
  kind: 'tested by you',
  date: '2026-11-20',
};

beforeEach(() => database.policies.clear());

describe('what the user knows of apps', () => {
  it('is kept in the order in which it was written', async () => {
    await keepPolicy(note);
    await keepPolicy({ ...note, takes: true });
    expect(await knownPolicies()).toEqual([note, { ...note, takes: true }]);
  });
  it('is written into a rig that uses the app, once, and into no other', () => {
    const rig = withPolicies(STARTER, [note, { ...note, app: 'voice-room' }]);
    expect(rig.policies).toEqual([note]);
    expect(withPolicies(rig, [note])).toBe(rig);
    const without: Rig = { ...STARTER, parts: STARTER.parts.map(({ app: _app, ...placed }) => placed) };
    expect(withPolicies(without, [note])).toBe(without);
  });
});
