import 'fake-indexeddb/auto';
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest';
import { checkRig } from '../core/files/read-rig';
import { findPart } from '../core/parts';
import { ownCopy } from '../core/parts/own-part';
import { database } from './database';
import { dropOwnPart, keepOwnPart, restoreOwnPart } from './own-parts';
import { addOne } from './drawer';
import { openDemo, openDemoOnce } from './demo';
import {
  addRig,
  canRedo,
  deleteRig,
  duplicateRig,
  editRig,
  leaveStepOut,
  redoRig,
  restoreRig,
  RigGone,
  StepDamaged,
  undoRig,
} from './rigs';
import { STARTER } from './starter';
import { isTake } from './stored-take';
import { sayStoreTrouble } from './trouble';

const stored = async (id: string) => (await database.rigs.get(id))!;
const set = (option: string) => ({ kind: 'set', part: 'receiver', setting: 'output', option }) as const;

beforeEach(async () => {
  await Promise.all([
    database.rigs.clear(),
    database.edits.clear(),
    database.drawer.clear(),
    database.meta.clear(),
  ]);
});

describe('which rig was changed last', () => {
  const last = async () => (await database.rigs.orderBy('updatedAt').last())?.id;

  afterEach(() => void vi.useRealTimers());

  it('is known though all of the demo is stored within a millisecond', async () => {
    vi.useFakeTimers({ toFake: ['Date'] });
    expect(await openDemo()).toBe('slipway-diary');
    expect(await last()).toBe('slipway-diary');
  });

  it('is known though the clock was set back', async () => {
    vi.useFakeTimers({ toFake: ['Date'], now: 2_000_000_000_000 });
    await openDemo();
    vi.setSystemTime(1_000_000_000_000);
    await addRig({ ...STARTER, id: 'newest' });
    expect(await last()).toBe('newest');
    await editRig('slipway-diary', set('low'));
    expect(await last()).toBe('slipway-diary');
  });
});

describe('rigs in the store', () => {
  it('the starter is a good rig', () => {
    expect(checkRig(STARTER).ok).toBe(true);
  });

  it('an edit can be undone and redone to the very same document', async () => {
    const id = await addRig(STARTER);
    await editRig(id, set('high'));
    const edited = (await stored(id)).doc;
    await undoRig(id);
    expect((await stored(id)).doc).toEqual(STARTER);
    await redoRig(id);
    expect((await stored(id)).doc).toEqual(edited);
  });

  it('a new edit after an undo drops what could be redone; an empty edit leaves no trace', async () => {
    const id = await addRig(STARTER);
    await editRig(id, set('high'));
    await undoRig(id);
    await editRig(id, { kind: 'voice', voice: 'loud' });
    await redoRig(id);
    expect(canRedo(await stored(id))).toBe(false);
    await editRig(id, { kind: 'swap', part: 'receiver', to: 'no-such-part', ports: [] });
    expect((await stored(id)).cursor).toBe(1);
  });

  it('edits from two tabs at once are both kept', async () => {
    const id = await addRig(STARTER);
    await Promise.all([editRig(id, set('high')), editRig(id, { kind: 'voice', voice: 'shout' })]);
    const { doc } = await stored(id);
    expect(doc.parts[0]?.settings).toEqual({ output: 'high' });
    expect(doc.surroundings.voice).toBe('shout');
  });

  it('a second rig of one id gets an id of its own, and a deleted one comes back whole', async () => {
    await addRig(STARTER);
    expect(await addRig(STARTER)).toBe('new-rig-2');
    expect(await duplicateRig(STARTER)).toBe('new-rig-3');
    await editRig('new-rig-2', set('high'));
    const gone = await deleteRig('new-rig-2');
    expect(await database.rigs.get('new-rig-2')).toBeUndefined();
    await restoreRig(gone!);
    expect((await stored('new-rig-2')).cursor).toBe(1);
    await undoRig('new-rig-2');
    expect((await stored('new-rig-2')).doc).toEqual({ ...STARTER, id: 'new-rig-2' });
  });

  it('a deleted rig whose id has been taken meanwhile comes back under another, and overwrites nothing', async () => {
    await addRig(STARTER);
    await editRig('new-rig', set('high'));
    const gone = await deleteRig('new-rig');
    await addRig({ ...STARTER, name: 'Another' });
    expect(await restoreRig(gone!)).toBe('new-rig-2');
    expect((await stored('new-rig')).doc.name).toBe('Another');
    await undoRig('new-rig-2');
    expect((await stored('new-rig-2')).doc).toEqual({ ...STARTER, id: 'new-rig-2' });
  });

  it('an edit of a rig that another tab has deleted is refused by name', async () => {
    await addRig(STARTER);
    await deleteRig('new-rig');
    await expect(editRig('new-rig', set('high'))).rejects.toThrow(RigGone);
  });

  it('two hundred steps can be walked back and no more, each edit writing one step', async () => {
    const id = await addRig(STARTER);
    for (let n = 0; n < 205; n += 1) await editRig(id, { kind: 'note', text: `note ${n}` });
    expect(await database.edits.count()).toBe(200);
    for (let n = 0; n < 210; n += 1) await undoRig(id);
    expect((await stored(id)).doc.note).toBe('note 4');
    for (let n = 0; n < 210; n += 1) await redoRig(id);
    expect((await stored(id)).doc.note).toBe('note 204');
    await deleteRig(id);
    expect(await database.edits.count()).toBe(0);
  });
});

describe('own parts in the store', () => {
  const pack = ownCopy(findPart('receiver-trs')!, 'Tarred pack', new Set());
  beforeEach(() => database.ownParts.clear());

  it('can be laid out in any rig, which then carries what it uses and no more', async () => {
    const id = await addRig(STARTER);
    await keepOwnPart(pack);
    await keepOwnPart({ ...pack, id: 'own-unused' });
    await editRig(id, { kind: 'swap', part: 'receiver', to: pack.id, ports: ['out'] });
    const { doc } = await stored(id);
    expect(doc.ownParts).toEqual([pack]);
    expect(checkRig(doc).ok).toBe(true);
    await undoRig(id);
    expect((await stored(id)).doc).toEqual(STARTER);
  });

  it('one that is dropped from the drawer stays in the rigs that use it', async () => {
    const id = await addRig(STARTER);
    await keepOwnPart(pack);
    await editRig(id, { kind: 'swap', part: 'receiver', to: pack.id, ports: ['out'] });
    expect((await dropOwnPart(pack.id))?.part).toEqual(pack);
    await editRig(id, { kind: 'voice', voice: 'loud' });
    expect((await stored(id)).doc.ownParts).toEqual([pack]);
  });

  it('one that is forgotten comes back with what the drawer held of it', async () => {
    await keepOwnPart(pack);
    await addOne(pack.id);
    const gone = await dropOwnPart(pack.id);
    await restoreOwnPart(gone!);
    expect(await database.ownParts.get(pack.id)).toEqual(pack);
    expect((await database.drawer.get(pack.id))?.count).toBe(1);
  });

  it('an edit that the rig does not suit leaves no trace, own parts or not', async () => {
    const id = await addRig(STARTER);
    await keepOwnPart(pack);
    await editRig(id, { kind: 'swap', part: 'receiver', to: 'no-such-part', ports: [] });
    expect((await stored(id)).cursor).toBe(0);
  });
});

describe('the demo', () => {
  it('brings its rigs and drawer, and never overwrites', async () => {
    await openDemo();
    await editRig('slipway-diary', { kind: 'rename', name: 'Mine now' });
    await openDemo();
    expect((await stored('slipway-diary')).doc.name).toBe('Mine now');
    expect(await database.drawer.count()).toBeGreaterThan(5);
  });
  it('opens by itself once only', async () => {
    await openDemoOnce();
    await database.rigs.clear();
    await openDemoOnce();
    expect(await database.rigs.count()).toBe(0);
  });
});

describe('trouble with the store', () => {
  it('says what happened to the last change', () => {
    const full = Object.assign(new Error('x'), { name: 'AbortError', inner: { name: 'QuotaExceededError' } });
    expect(sayStoreTrouble(full)).toContain('storage is full');
    expect(sayStoreTrouble(Object.assign(new Error('x'), { name: 'VersionError' }))).toContain(
      'newer Symplex',
    );
    const closed = Object.assign(new Error('x'), { name: 'DatabaseClosedError' });
    expect(sayStoreTrouble(closed)).toContain('Another tab has opened a newer Symplex');
    expect(sayStoreTrouble(new Error('odd'))).toBe('The change was not kept: odd.');
  });
});

describe('a damaged step of a history', () => {
  const STEPS: readonly (readonly [string, unknown])[] = [
    ['a word where a step is', 'torn'],
    ['a number', 7],
    ['nothing at all', null],
    ['a list', [1, 2, 3, 4]],
    ['a step into a list that is none', { parts: { _t: 'a', 0: 'torn' } }],
    ['a step that gives no rig', { parts: ['gone', STARTER.parts] }],
  ];
  it.each(STEPS)('%s is named, changes nothing, and can be left out', async (_, delta) => {
    const id = await addRig(STARTER);
    await editRig(id, { kind: 'note', text: 'first' });
    await editRig(id, set('high'));
    const before = await stored(id);
    await database.edits.put({ rig: id, n: 2, delta });
    await expect(undoRig(id)).rejects.toThrow(StepDamaged);
    await expect(undoRig(id)).rejects.toMatchObject({ rig: id, n: 2 });
    expect(await stored(id)).toEqual(before);
    await leaveStepOut(id, 2);
    await undoRig(id);
    const { doc, cursor } = await stored(id);
    expect(doc.note).toBe(STARTER.note);
    expect(cursor).toBe(0);
    expect(checkRig(doc).ok).toBe(true);
    await redoRig(id);
    expect((await stored(id)).doc.note).toBe('first');
  });
});

describe('takes as they are stored', () => {
  const take = { id: 't', name: 'Quay', at: 1, origin: 'file', sampleRate: 48_000, channels: 2, bytes: 0 };
  it('a whole one is shown, a damaged one left out of the list', () => {
    expect(isTake(take)).toBe(true);
    const torn = [
      { name: 4 },
      { at: 'noon' },
      { measures: 'torn' },
      { measures: {} },
      { origin: 'x' },
      { stretches: 5 },
    ];
    for (const change of torn) expect(isTake({ ...take, ...change })).toBe(false);
    expect(isTake(null)).toBe(false);
  });
});
