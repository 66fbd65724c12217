import { closeSync, ftruncateSync, mkdtempSync, openSync, writeSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { By } from 'selenium-webdriver';
import { afterEach, describe, expect, inject, it } from 'vitest';
import { openBrowser, type Browser } from './browser';
import { Page } from './page';

/** Puts another in the place of the browser's own way to an input. */
const asking = (how: string): string =>
  `navigator.mediaDevices.getUserMedia = async (constraints) => { ${how} };`;
const refusing = (name: string): string => asking(`throw new DOMException('', '${name}')`);

const FAKE = ['--use-fake-ui-for-media-stream', '--use-fake-device-for-media-stream'];

describe('a take that cannot be', () => {
  let browser: Browser;
  let page: Page;
  afterEach(() => browser.driver.quit());

  async function open(first: string, flags: readonly string[] = FAKE): Promise<void> {
    browser = await openBrowser('desk', false, { first, flags });
    page = new Page(browser);
    await browser.driver.get(`${inject('address')}sound-check?rig=two-at-the-bench`);
    await page.find('//*[@data-ready]');
  }
  const alarm = (says: string) => page.find(`//p[@role="alert"][contains(., "${says}")]`);
  const takes = () => browser.driver.findElements(By.css('[aria-label="Takes"] li'));

  it.each([
    ['NotAllowedError', 'The browser does not let this page hear the microphone. Allow it'],
    ['NotFoundError', 'The browser finds no such input. Plug it in'],
    ['NotReadableError', 'Another program holds this input'],
  ])('%s is told with what to do, and leaves no take behind', async (error, says) => {
    await open(refusing(error));
    await page.button('Record');
    await alarm(says);
    expect(await takes()).toEqual([]);
  });

  it('a machine without any input, asked in earnest, says so', async () => {
    await open('', ['--use-fake-ui-for-media-stream']);
    await page.button('Record');
    await alarm('The browser finds no such input. Plug it in');
    expect(await takes()).toEqual([]);
  });

  it('an input that is pulled: what came up to then is kept and read', async () => {
    await open(
      `const own = navigator.mediaDevices.getUserMedia.bind(navigator.mediaDevices);
       navigator.mediaDevices.getUserMedia = async (asked) => {
         const stream = await own(asked);
         window.pull = () => {
           for (const track of stream.getAudioTracks()) { track.stop(); track.dispatchEvent(new Event('ended')); }
         };
         return stream;
       };`,
    );
    await page.button('Record');
    await page.find('//*[@data-recording]//p[contains(., "0:03")]');
    await browser.driver.executeScript('window.pull()');
    await alarm('The input was pulled. What was recorded up to then is kept.');
    await page.find('//article[starts-with(@aria-label, "Take of")][@data-take]');
    expect(await takes()).toHaveLength(1);
  });

  it('processing that the browser leaves on is told while it records', async () => {
    await open(
      `const settings = MediaStreamTrack.prototype.getSettings;
       MediaStreamTrack.prototype.getSettings = function () {
         return { ...settings.call(this), noiseSuppression: true };
       };`,
    );
    await page.button('Record');
    await page.find('//*[@data-recording]//p[contains(., "This browser leaves on: noise suppression")]');
    await page.button('Stop and read');
    await page.find('//article[@data-take]');
  });

  it('a hidden tab goes on recording', async () => {
    await open('');
    await page.button('Record');
    await page.find('//*[@data-recording]//p[contains(., "0:01")]');
    const here = await browser.driver.getWindowHandle();
    await browser.driver.switchTo().newWindow('tab');
    await browser.driver.sleep(4000);
    await browser.driver.close();
    await browser.driver.switchTo().window(here);
    await page.button('Stop and read');
    const title = await page.text('//article[starts-with(@aria-label, "Take of")]//h2');
    // A machine that is too busy hands in less than goes by, and then the take says how much.
    const [lost] = await browser.driver.findElements(By.css('[data-lost]'));
    const never = Number((await lost?.getAttribute('data-lost')) ?? 0);
    const came = Number(/(\d+(?:\.\d+)?) s/.exec(title)?.[1]);
    expect(came + never).toBeGreaterThanOrEqual(4.9);
    expect(came).toBeGreaterThan(2.5);
  });

  it('a file of 3 GB is read with the page alive, or stopped', async () => {
    // Nearly all of it is a hole in the file system: 3 GB that take no room. The head says 16 bits, stereo, 48 kHz.
    const path = join(mkdtempSync(join(tmpdir(), 'symplex-large-')), 'day.wav');
    const file = openSync(path, 'w');
    const head = Buffer.alloc(44);
    head.write('RIFF', 0, 'latin1');
    head.writeUInt32LE(3_000_000_036, 4);
    head.write('WAVEfmt ', 8, 'latin1');
    head.writeUInt32LE(16, 16);
    head.writeUInt16LE(1, 20);
    head.writeUInt16LE(2, 22);
    head.writeUInt32LE(48_000, 24);
    head.writeUInt32LE(192_000, 28);
    head.writeUInt16LE(4, 32);
    head.writeUInt16LE(16, 34);
    head.write('data', 36, 'latin1');
    head.writeUInt32LE(3_000_000_000, 40);
    writeSync(file, head);
    ftruncateSync(file, 3_000_000_044);
    closeSync(file);
    await open('');
    await (await page.find('//input[@type="file"][starts-with(@accept, "audio")]')).sendKeys(path);
    await page.find('//p[@role="status"][contains(., "Reading day.wav")]');
    const share = async () => Number(/(\d+) %/.exec(await page.text('//p[@role="status"]'))?.[1]);
    await browser.driver.wait(async () => (await share()) >= 1, 30_000);
    await page.button('Stop');
    await browser.driver.wait(
      async () => (await browser.driver.findElements(By.css('p[role="status"]'))).length === 0,
      5000,
    );
    expect(await takes()).toEqual([]);
  });
});
