import 'fake-indexeddb/auto';
import { beforeEach, describe, expect, it } from 'vitest';
import { database } from './database';
import { addOne, putItem, putItems, setCount } from './drawer';
import { keepValue, keptValue } from './kept';

const item = (part: string) => database.drawer.get(part);
beforeEach(async () => {
  await Promise.all([database.drawer.clear(), database.meta.clear()]);
});

describe('the drawer in the store', () => {
  it('counts, and keeps what was written of a thing while it does', async () => {
    await addOne('lead-rca');
    await putItem({ part: 'lead-rca', count: 1, condition: 'worn', label: 'red and white' });
    await addOne('lead-rca');
    await setCount('lead-rca', 5);
    expect(await item('lead-rca')).toEqual({
      part: 'lead-rca',
      count: 5,
      condition: 'worn',
      label: 'red and white',
    });
  });

  it('none left takes it out', async () => {
    await addOne('lead-rca');
    await setCount('lead-rca', 0);
    expect(await item('lead-rca')).toBeUndefined();
  });

  it('two counts at once are both kept', async () => {
    await Promise.all([addOne('lead-rca'), addOne('lead-rca'), addOne('lead-rca')]);
    expect((await item('lead-rca'))?.count).toBe(3);
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
