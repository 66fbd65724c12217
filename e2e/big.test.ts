import { Key } from 'selenium-webdriver';
import { expect, inject, it } from 'vitest';
import { grown } from '../src/cli/grown';
import { openPage, put, table } from './opened';

const PARTS = 63;
const STEPS = 200;
const RIGS = 500;
/** Steps after each of which the answer is waited for. */
const WATCHED = 30;

const BIG = { ...grown(PARTS / 7), id: 'big-rig', name: 'Nine groups' };
const stored = (doc: { id: string }) => ({ id: doc.id, doc, updatedAt: 1, cursor: 0, oldest: 0, newest: 0 });

interface Cursor {
  readonly id: string;
  readonly cursor: number;
  readonly doc: typeof BIG;
}

it(
  `a rig of ${PARTS} parts opens, is judged while a knob is turned, and ${STEPS} steps are undone`,
  { timeout: 240_000 },
  async () => {
    const page = await openPage('');
    await page.verdict('silent', 'wrong-mic');
    await put(page, 'rigs', stored(BIG));
    const begun = performance.now();
    await page.driver.get(`${inject('address')}?rig=big-rig`);
    await page.find('//h1[text()="Nine groups"]');
    await page.find('//aside//*[@data-verdict]');
    const opened = performance.now() - begun;
    // Folded, but where something is wrong.
    const folded = await page.driver.findElements({ css: 'button[data-folded]' });
    const open = await page.driver.findElements({ css: 'ol article' });
    expect(folded.length + open.length).toBe(PARTS);
    expect(folded.length).toBeGreaterThan(PARTS / 2);
    await page.click('(//button[@data-folded][contains(., "Mixer")])[1]');
    const thumb = await page.find('(//*[@role="slider" and @aria-label="Gain"])[1]');
    await page.driver.executeScript(
      `const thumb = arguments[0];
     thumb.focus();
     window.took = [];
     let pressed;
     addEventListener('keydown', () => (pressed = performance.now()), true);
     new MutationObserver(() => {
       if (pressed !== undefined) window.took.push(performance.now() - pressed);
       pressed = undefined;
     }).observe(document.querySelector('aside[aria-label="What arrives"]'), { subtree: true, childList: true, characterData: true });`,
      thumb,
    );
    const now = async (): Promise<Cursor | undefined> =>
      ((await table(page, 'rigs')) as unknown as Cursor[]).find(({ id }) => id === 'big-rig');
    const press = (key: string) => page.driver.actions().sendKeys(key).perform();
    const shown = () => page.driver.executeScript<number[]>('return window.took');
    for (let step = 0; step < WATCHED; step += 1) {
      await press(Key.ARROW_LEFT);
      await page.driver.wait(async () => (await shown()).length > step, 5000, 'the answer follows the knob');
    }
    for (let step = WATCHED; step < STEPS; step += 1) {
      await press(step % 2 === 0 ? Key.ARROW_LEFT : Key.ARROW_RIGHT);
    }
    await page.driver.wait(async () => (await now())?.cursor === STEPS, 60_000, 'every step is kept');
    const took = (await shown()).slice(0, WATCHED).sort((a, b) => a - b);
    console.log(
      `a rig of ${PARTS} parts: open after ${opened.toFixed(0)} ms, an edit judged and shown after ${took[took.length >> 1]?.toFixed(0)} ms at the median of ${took.length}`,
    );
    for (let step = 0; step < STEPS; step += 1) await page.control('z');
    await page.driver.wait(async () => (await now())?.cursor === 0, 60_000, 'every step is undone');
    expect((await now())?.doc).toEqual(BIG);
  },
);

it(`a list of ${RIGS} rigs is there, and another rig opens from it`, { timeout: 120_000 }, async () => {
  const page = await openPage('');
  await page.verdict('silent', 'wrong-mic');
  await page.driver.executeAsyncScript(
    `const [records, done] = arguments;
     const open = indexedDB.open('symplex');
     open.onsuccess = () => {
       const change = open.result.transaction('rigs', 'readwrite');
       for (const record of records) change.objectStore('rigs').put(record);
       change.oncomplete = () => { open.result.close(); done(); };
     };`,
    Array.from({ length: RIGS }, (_, n) =>
      stored({ ...BIG, id: `rig-${n}`, name: `Rig ${n}` } as typeof BIG),
    ),
  );
  const begun = performance.now();
  await page.driver.get(inject('address'));
  await page.find(`//section[@aria-label="Rigs"]//button[text()="Rig ${RIGS - 1}"]`);
  console.log(
    `a list of ${RIGS} rigs of ${PARTS} parts: shown after ${(performance.now() - begun).toFixed(0)} ms`,
  );
  await page.click('//section[@aria-label="Rigs"]//button[text()="Rig 7"]');
  await page.find('//h1[text()="Rig 7"]');
});
