import 'fake-indexeddb/auto';
import { beforeEach, describe, expect, it } from 'vitest';
import { database } from './database';
import { addOne, changeCount, describeItem, putItems } from './drawer';
import { keepValue, keptValue } from './kept';

const item = (part: string) => database.drawer.get(part);
beforeEach(async () => {
  await Promise.all([database.drawer.clear(), database.meta.clear()]);
});

describe('the drawer in the store', () => {
  it('counts, and keeps what was written of a thing while it does', async () => {
    await addOne('lead-rca');
    await describeItem('lead-rca', { condition: 'worn', label: 'red and white', note: 'old' });
    await addOne('lead-rca');
    await describeItem('lead-rca', { note: undefined });
    await changeCount('lead-rca', 3);
    expect(await item('lead-rca')).toEqual({
      part: 'lead-rca',
      count: 5,
      condition: 'worn',
      label: 'red and white',
    });
  });

  it('none left takes it out', async () => {
    await addOne('lead-rca');
    await changeCount('lead-rca', -1);
    expect(await item('lead-rca')).toBeUndefined();
  });

  it('twenty counts at once are all kept, and writing of a thing meanwhile changes none of them', async () => {
    await addOne('lead-rca');
    const more = Array.from({ length: 19 }, () => addOne('lead-rca'));
    await Promise.all([...more, describeItem('lead-rca', { label: 'tarred' }), changeCount('lead-rca', -2)]);
    expect(await item('lead-rca')).toEqual({ part: 'lead-rca', count: 18, label: 'tarred' });
  });

  it('a thing that is gone is not brought back by what is written of it', async () => {
    await describeItem('lead-rca', { label: 'late' });
    expect(await item('lead-rca')).toBeUndefined();
  });

  it('a list exchanges what it names and leaves the rest', async () => {
    await putItems([
      { part: 'lead-rca', count: 1, note: 'old' },
      { part: 'coupler-rca', count: 2 },
    ]);
    await putItems([{ part: 'lead-rca', count: 4 }]);
    expect(await item('lead-rca')).toEqual({ part: 'lead-rca', count: 4 });
    expect(await item('coupler-rca')).toMatchObject({ count: 2 });
  });
});

describe('small values', () => {
  it('come back as they were, and nothing for what is not there or is no JSON', async () => {
    await keepValue('question', { sources: ['a'], n: 1 });
    expect(await keptValue('question')).toEqual({ sources: ['a'], n: 1 });
    expect(await keptValue('nothing')).toBeUndefined();
    await database.meta.put({ key: 'broken', value: '{' });
    expect(await keptValue('broken')).toBeUndefined();
  });
});
