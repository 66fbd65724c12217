import { afterEach, inject } from 'vitest';
import { openBrowser, type Browser, type BrowserOptions, type Size } from './browser';
import { Page } from './page';

let browser: Browser | undefined;

/** Closes the browser that `openPage` opened. */
export async function closePage(): Promise<void> {
  await browser?.driver.quit();
  browser = undefined;
}

/** Opens the demo in a browser of its own, which is closed after the test. */
export async function openPage(path = '', size: Size = 'desk', options: BrowserOptions = {}): Promise<Page> {
  browser = await openBrowser(size, false, options);
  await browser.driver.get(inject('address') + path);
  return new Page(browser);
}

afterEach(closePage);

/** Every record of a table, as the browser stores it. */
export const table = (page: Page, name: string) =>
  page.driver.executeAsyncScript<Record<string, unknown>[]>(
    `const done = arguments[arguments.length - 1];
     const open = indexedDB.open('symplex');
     open.onsuccess = () => {
       const all = open.result.transaction('${name}').objectStore('${name}').getAll();
       all.onsuccess = () => { open.result.close(); done(all.result); };
     };`,
  );

/** Writes a record past the page. */
export async function put(page: Page, name: string, record: unknown): Promise<void> {
  await page.driver.executeAsyncScript(
    `const done = arguments[arguments.length - 1];
     const open = indexedDB.open('symplex');
     open.onsuccess = () => {
       open.result.transaction('${name}', 'readwrite').objectStore('${name}').put(arguments[0]).onsuccess =
         () => { open.result.close(); done(); };
     };`,
    record,
  );
}
