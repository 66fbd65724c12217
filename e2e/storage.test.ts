import { mkdirSync, readFileSync } from 'node:fs';
import { join } from 'node:path';
import { describe, expect, inject, it } from 'vitest';
import { closePage, openPage, put, table } from './opened';
import { freeDisk, fillDisk, smallDisk, unmount } from './small-disk';

describe('blocked storage', () => {
  const NOTICE = '//*[@role="alert" and contains(., "Nothing is kept")]';

  it.each([
    ['is absent', 'Object.defineProperty(window, "indexedDB", { value: undefined })', 'has no storage'],
    [
      'is refused',
      'IDBFactory.prototype.open = () => { throw new DOMException("no", "SecurityError"); }',
      'does not let Symplex store',
    ],
    ['never answers', 'IDBFactory.prototype.open = () => ({})', 'does not answer'],
  ])('that %s is told, and the page works and exports', async (_, first, says) => {
    const page = await openPage('', 'desk', { first });
    expect(await page.text(NOTICE)).toContain(says);
    await page.verdict('silent', 'wrong-mic');
    await page.choose('Output', 'low');
    await page.find('//button[normalize-space(.)="Undo" and not(@disabled)]');
    await page.button('More for this rig');
    await page.click('//*[@role="menuitem" and text()="Export as a file"]');
    expect(JSON.parse(readFileSync(await page.downloaded(), 'utf8')).parts[0].settings).toEqual({
      output: 'low',
    });
  });

  it('of a newer Symplex is neither written nor changed', async () => {
    const page = await openPage('');
    await page.verdict('silent', 'wrong-mic');
    const raise = `const done = arguments[arguments.length - 1];
      indexedDB.databases().then(([found]) => {
        const open = indexedDB.open('symplex', found.version + 50);
        open.onupgradeneeded = () => open.result.createObjectStore('future');
        open.onblocked = () => done('blocked');
        open.onsuccess = () => { open.result.close(); done(found.version + 50); };
      });`;
    const raised = await page.driver.executeAsyncScript<number>(raise);
    await page.driver.get(inject('address'));
    expect(await page.text(NOTICE)).toContain('A newer Symplex has stored things here');
    await page.verdict('silent', 'wrong-mic');
    await page.choose('Output', 'low');
    await page.find('//button[normalize-space(.)="Undo" and not(@disabled)]');
    const now = await page.driver.executeAsyncScript<number>(
      'const done = arguments[0]; indexedDB.databases().then(([found]) => done(found.version));',
    );
    expect(now).toBe(raised);
    const kept = await table(page, 'rigs');
    expect(JSON.stringify(kept.find((rig) => rig['id'] === 'slipway-diary'))).not.toContain('"output":"low"');
  });
});

const GOOD = JSON.parse(readFileSync('demo/rigs/slipway-diary.json', 'utf8')) as Record<string, unknown>;
const without = (key: string) => Object.fromEntries(Object.entries(GOOD).filter(([name]) => name !== key));

/** Records that must harm nothing but themselves. */
const DAMAGED: Readonly<Record<string, unknown>> = {
  'a null document': null,
  'no document': undefined,
  'a document that is a text': 'rope',
  'no purpose': without('purpose'),
  'no surroundings': without('surroundings'),
  'parts that are a text': { ...GOOD, parts: 'none' },
  'a part that is null': { ...GOOD, parts: [null] },
  'joints of numbers': { ...GOOD, joints: [1, 2] },
  'a name that is a number': { ...GOOD, name: 7 },
  'an unknown part': { ...GOOD, parts: [{ id: 'receiver', part: 'no-such-thing' }] },
  'a setting that is an object': {
    ...GOOD,
    parts: [{ id: 'receiver', part: 'receiver-trs', settings: { output: {} } }],
  },
  'an own part without a circuit': { ...GOOD, ownParts: [{ id: 'own-x', name: 'X' }] },
};

describe('damaged records', () => {
  it(
    'of twelve kinds harm nothing but themselves: each is named and offered as a file',
    { timeout: 180_000 },
    async () => {
      const page = await openPage('?rig=slipway-diary');
      await page.verdict('silent', 'wrong-mic');
      const kinds = Object.entries(DAMAGED);
      for (const [index, [, doc]] of kinds.entries()) {
        const renamed = typeof doc === 'object' && doc !== null ? { ...doc, id: `bad-${index}` } : doc;
        await put(page, 'rigs', {
          id: `bad-${index}`,
          doc: renamed,
          updatedAt: 1,
          cursor: 0,
          oldest: 0,
          newest: 0,
        });
      }
      await put(page, 'ownParts', {
        id: 'own-broken',
        name: 'Broken pack',
        summary: '',
        ports: [],
        circuit: 'none',
      });
      await put(page, 'ownParts', {
        id: 'own-odd',
        name: 'Odd pack',
        summary: 'x',
        ports: [7],
        circuit: [null],
      });
      await put(page, 'drawer', { part: 'lead-rca', count: 'many' });
      await put(page, 'policies', { id: 99, app: 5 });
      for (const [index, [kind]] of kinds.entries()) {
        await page.driver.get(`${inject('address')}?rig=bad-${index}`);
        const said = await page.text('//main//*[@role="alert"]');
        expect([kind, said]).toEqual([kind, expect.stringContaining('damaged')]);
        await page.find('//main//button[text()="Export it as it is"]');
        await page.find(`//section[@aria-label="Rigs"]//button[text()="Sail-loft talk"]`);
      }
      await page.button('Sail-loft talk');
      await page.verdict('silent', 'not-listed');
      for (const path of ['drawer', 'route', 'compare']) {
        await page.driver.get(inject('address') + path);
        await page.find('//h1');
        expect(await page.driver.executeScript('return document.body.innerText')).not.toContain(
          'This view broke',
        );
      }
      await page.driver.get(`${inject('address')}drawer`);
      await page.find('//*[@role="alert" and contains(., "Odd pack")]//button[text()="Export it as it is"]');
      await page.find('//*[@role="alert" and contains(., "Broken pack")]');
    },
  );
});

describe('the engine’s thread', () => {
  /** The first thread that the page starts answers nothing, and then errs. */
  const first = `const Real = window.Worker;
    let started = 0;
    window.Worker = class extends Real {
      constructor(...args) {
        super(...args);
        started += 1;
        if (started > 1) return;
        this.postMessage = () => setTimeout(() => this.dispatchEvent(new ErrorEvent('error', { message: 'out of rope' })), 50);
      }
    };`;

  it('one that dies is told of and started again', async () => {
    const page = await openPage('?rig=slipway-diary', 'desk', { first });
    const said = await page.text('//main//*[@role="alert"]');
    expect(said).toContain('out of rope');
    await page.driver.get(`${inject('address')}?rig=sail-loft-talk`);
    await page.find('//main//*[@role="alert"]');
  });
});

describe('a full disk', () => {
  const disk = smallDisk();

  it.runIf(disk !== undefined)('that is really full loses nothing that was there, and says so', async () => {
    const at = disk ?? '';
    mkdirSync(join(at, 'profile'));
    try {
      const page = await openPage('?rig=slipway-diary', 'desk', { profile: join(at, 'profile') });
      await page.verdict('silent', 'wrong-mic');
      await page.choose('Output', 'low');
      await page.find('//button[normalize-space(.)="Undo" and not(@disabled)]');
      fillDisk(at);
      const long = `Caulked ${'tar '.repeat(900)}`;
      for (let n = 0; n < 40; n += 1) {
        await page.button('More for this rig');
        await page.click('//*[@role="menuitem" and text()="Note"]');
        const area = await page.find('//textarea');
        await page.driver.executeScript(
          `const set = Object.getOwnPropertyDescriptor(HTMLTextAreaElement.prototype, 'value').set;
           set.call(arguments[0], arguments[1]);
           arguments[0].dispatchEvent(new Event('input', { bubbles: true }));`,
          area,
          `${n} ${long}`,
        );
        await page.click('//*[@role="dialog"]//button[text()="Keep"]');
        const told = await page.driver.executeScript<string>(
          'return [...document.querySelectorAll("[data-sonner-toast]")].map((e) => e.textContent).join()',
        );
        if (told.includes('not kept')) break;
      }
      const said = await page.message('not kept');
      expect(said).toContain('Export');
      freeDisk(at);
      await page.driver.get(`${inject('address')}?rig=slipway-diary`);
      await page.verdict('silent', 'wrong-mic');
      expect(
        await (
          await page.find('//label[starts-with(normalize-space(.), "Output")]/select')
        ).getAttribute('value'),
      ).toBe('low');
    } finally {
      await closePage();
      unmount(at);
    }
  });
});
