import { spawnSync } from 'node:child_process';
import { copyFileSync, mkdtempSync, readFileSync, renameSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { By, error, Key } from 'selenium-webdriver';
import { afterAll, beforeAll, describe, expect, inject, it } from 'vitest';
import { violationsOn } from './axe';
import { openBrowser, type Browser } from './browser';
import { Page } from './page';

const run = (command: string, args: readonly string[]): void => {
  const { status, stderr } = spawnSync(command, args, { encoding: 'utf8' });
  if (status !== 0) throw new Error(`${command}: ${stderr}`);
};

/** Speech on the left at −20 dBFS RMS or so, on the right a tone 12 dB lower than the left’s peaks: sides that cannot be mixed up. */
function twoSides(folder: string): string {
  const [spoken, left, right, both] = ['spoken', 'left', 'right', 'both'].map((name) =>
    join(folder, `${name}.wav`),
  ) as [string, string, string, string];
  run('espeak-ng', [
    '-s',
    '150',
    '-w',
    spoken,
    'Test, one, two, three. The tide is out, and the old boat sits on the mud.',
  ]);
  run('sox', ['-D', spoken, '-r', '48000', left, 'norm', '-6', 'pad', '0.5', '0.5', 'trim', '0', '5']);
  run('sox', ['-D', '-n', '-r', '48000', right, 'synth', '5', 'sine', '700', 'gain', '-18']);
  run('sox', ['-D', '-M', left, right, '-b', '16', both]);
  return both;
}

/** The file’s own figures by SoX’s statistics: left, right. */
function bySox(path: string, row: string): number[] {
  const { stderr } = spawnSync('sox', [path, '-n', 'stats'], { encoding: 'utf8' });
  const line = new RegExp(`^${row}\\s+(.*)$`, 'm').exec(stderr)?.[1] ?? '';
  return line.trim().split(/\s+/).map(Number).slice(1);
}

const row = (name: string) => `//section[@aria-label="Every measure"]//tr[th="${name}"]/td[1]`;
const figures = (text: string): number[] =>
  [...text.replaceAll('−', '-').matchAll(/-?\d+\.\d+/g)].map(([value]) => Number(value));

describe('sound check', () => {
  const folder = mkdtempSync(join(tmpdir(), 'symplex-takes-'));
  const take = twoSides(folder);
  let browser: Browser;
  let page: Page;
  beforeAll(async () => {
    browser = await openBrowser('desk', false, {
      flags: [
        '--use-fake-ui-for-media-stream',
        '--use-fake-device-for-media-stream',
        `--use-file-for-fake-audio-capture=${take}`,
      ],
    });
    page = new Page(browser);
  });
  afterAll(() => browser.driver.quit());

  const open = (rig: string) => browser.driver.get(`${inject('address')}sound-check?rig=${rig}`);
  const give = async (path: string) => {
    await page.find('//*[@data-ready]');
    await browser.driver.findElement(By.css('input[type=file][accept^="audio"]')).sendKeys(path);
  };
  /** The take as the page saves it. */
  const savedTake = async () => {
    await page.click('//button[starts-with(normalize-space(.), "Save WAV")]');
    const saved = join(folder, 'saved.wav');
    renameSync(await page.downloaded('.wav'), saved);
    return saved;
  };
  const shown = (name: string) => page.find(`//article[@aria-label="${name}"][@data-take]`);

  it('reads a file, says what it shows, and is without fault for a screen reader', async () => {
    await open('launch-day-stream');
    await give(take);
    await shown('both.wav');
    const own = bySox(take, 'Pk lev dB');
    figures(await page.text(row('Sample peak'))).forEach((peak, i) =>
      expect(peak).toBeCloseTo(own[i] ?? NaN, 1),
    );
    await page.find('//*[@data-compared]');
    // It can be heard: the browser has opened the sound.
    await browser.driver.wait(
      () => browser.driver.executeScript<boolean>('return document.querySelector("audio")?.duration > 4.9'),
      10_000,
    );
    expect(await violationsOn(browser.driver)).toEqual([]);
  });

  it('an mp4 as a phone makes it reads as its WAV within 0.3 dB', async () => {
    const film = join(folder, 'phone.mp4');
    run('ffmpeg', [
      '-v',
      'error',
      '-y',
      '-f',
      'lavfi',
      '-i',
      'color=black:s=64x64:r=10',
      '-i',
      take,
      '-shortest',
      '-c:v',
      'mpeg4',
      '-c:a',
      'aac',
      '-b:a',
      '192k',
      film,
    ]);
    await open('launch-day-stream');
    await give(take);
    await shown('both.wav');
    const [loud] = figures(await page.text(row('Loudness')));
    const rms = figures(await page.text(row('RMS')));
    await give(film);
    await shown('phone.mp4');
    expect(
      Math.abs((figures(await page.text(row('Loudness')))[0] ?? NaN) - (loud ?? NaN)),
    ).toBeLessThanOrEqual(0.3);
    figures(await page.text(row('RMS'))).forEach((value, i) =>
      expect(Math.abs(value - (rms[i] ?? NaN))).toBeLessThanOrEqual(0.3),
    );
  });

  it('refuses text that is called a WAV, and a film without sound, by name', async () => {
    const [text, mute] = [join(folder, 'text.wav'), join(folder, 'mute.mp4')];
    writeFileSync(text, 'this is no sound at all');
    run('ffmpeg', [
      '-v',
      'error',
      '-y',
      '-f',
      'lavfi',
      '-i',
      'color=black:s=64x64:r=10:d=1',
      '-c:v',
      'mpeg4',
      mute,
    ]);
    await open('launch-day-stream');
    await give(text);
    await page.find('//p[@role="alert"][contains(., "text.wav is no sound or film that is known")]');
    await give(mute);
    await page.find('//p[@role="alert"][contains(., "mute.mp4 has no sound in it")]');
  });

  it('records what the microphone gives, both sides of it, and keeps it', async () => {
    await open('two-at-the-bench');
    await page.button('Record');
    await page.find('//*[@data-recording]//p[contains(., "0:07")]');
    await page.button('Stop and read');
    await page.find('//article[starts-with(@aria-label, "Take of")][@data-take]');
    // The file goes round and round: peaks are its own, side by side.
    const peaks = figures(await page.text(row('Sample peak')));
    const rms = figures(await page.text(row('RMS')));
    expect(peaks).toHaveLength(2);
    bySox(take, 'Pk lev dB').forEach((own, i) =>
      expect(Math.abs((peaks[i] ?? NaN) - own)).toBeLessThanOrEqual(0.2),
    );
    // What a busy machine did not play in time is silence in the take: the take itself is measured by the other program.
    const saved = await savedTake();
    bySox(saved, 'RMS lev dB').forEach((own, i) =>
      expect(Math.abs((rms[i] ?? NaN) - own)).toBeLessThanOrEqual(0.1),
    );
    await browser.driver.navigate().refresh();
    await page.find('//article[starts-with(@aria-label, "Take of")][@data-take]//audio');
  });

  it('keeps what was recorded when the tab is killed, and reads it later', async () => {
    await open('two-at-the-bench');
    await page.button('Record');
    await page.find('//*[@data-recording]//p[contains(., "0:03")]');
    await browser.driver.get('about:blank');
    await open('two-at-the-bench');
    await page.click('//section[@aria-label="Takes"]//button[.="Read it"]');
    const [length] = figures(await page.text('//article[starts-with(@aria-label, "Take of")]//h2'));
    expect(length).toBeGreaterThanOrEqual(2);
  });

  it('a guided take asks for what this rig has, and measures each stretch', async () => {
    await open('launch-day-stream');
    await page.button('Guided take');
    await page.find('//*[@data-recording]//p[.="Silence: nobody speaks"]');
    await page.find('//*[@data-recording]//p[starts-with(., "Speak as usual into")]');
    await page.button('Stop and read');
    await page.find('//section[@aria-label="Stretch by stretch"]//li/div/p[.="Silence: nobody speaks"]');
  });

  it('the whole guided take can be tried without gear: where the phone records its own microphone, the taps tell it', async () => {
    await open('slipway-diary');
    await page.click('//label[contains(., "Input")]//option[starts-with(., "stand-in")]');
    await page.button('Guided take');
    await page.find('//*[@data-recording]//p[contains(., "Stand-in for this rig")]');
    // It ends by itself with its last step.
    await browser.driver.wait(
      async () => (await browser.driver.findElements(By.css('[data-recording]'))).length === 0,
      90_000,
    );
    await page.find(
      '//section[@aria-label="Stretch by stretch"]//li[@data-stretch="elsewhere"]//p[contains(., "another microphone is recorded")]',
    );
    // As the rig predicts: its lead shorts the microphone contact.
    await page.find(
      '//section[@aria-label="Stretch by stretch"]//li[@data-stretch="elsewhere"]//p[.="Predicted: not recorded."]',
    );
    expect(await browser.driver.findElements(By.css('[data-stretch="tapped"]'))).toEqual([]);
    await page.find('//p[starts-with(., "A stand-in: made from the engine")]');
  }, 120_000);

  it.each([
    ['echo of a call', 'An echo'],
    ['clipped before the recorder', 'It clips'],
  ])('an example of "%s" is told as that, and is of no rig', async (fault, told) => {
    await open('launch-day-stream');
    await page.click(`//select[starts-with(@aria-label, "A take with a fault")]/option[.="${fault}"]`);
    await shown(fault.charAt(0).toUpperCase() + fault.slice(1));
    await page.find(`//ul[@aria-label="What the take shows"]//p[contains(., "${told}")]`);
    expect(await browser.driver.findElements(By.css('[aria-label="Explanations"]'))).toEqual([]);
  });

  /** Brings the end of the stretch down by so many presses of a second; the slider may be drawn anew while the take's sound comes. */
  async function endBy(presses: number): Promise<number> {
    const slider = '//*[@role="slider"][@aria-label="To"]';
    await browser.driver.wait(async () => {
      const to = await page.find(slider);
      return to.sendKeys(...Array.from({ length: presses }, () => Key.PAGE_DOWN)).then(
        () => true,
        (thrown: unknown) => {
          if (thrown instanceof error.StaleElementReferenceError) return false;
          throw thrown;
        },
      );
    }, 10_000);
    const text = await (await page.find(slider)).getAttribute('aria-valuetext');
    return Number((text ?? '').replace(' s', ''));
  }

  it('keeps a stretch alone, as long as it was chosen, and compares it with the whole', async () => {
    await open('launch-day-stream');
    // A name of its own: a take of the same name may still be shown.
    const whole = join(folder, 'whole.wav');
    copyFileSync(take, whole);
    await give(whole);
    await shown('whole.wav');
    // By keyboard: the end comes down from 5 s by a second at a time.
    const end = await endBy(2);
    expect(end).toBeLessThan(4.5);
    await page.button('Keep this alone');
    await shown('whole.wav, a part');
    const [length = NaN] = figures(
      (await page.text('//article[@aria-label="whole.wav, a part"]//h2')).replace(/(\d) s/, '$1.0 s'),
    );
    expect(Math.abs(length - end)).toBeLessThanOrEqual(0.6);
    await page.click('//label[contains(., "Compare with")]//option[.="whole.wav"]');
    await page.find('//table//th[.="whole.wav"]');
    await page.find('//section[@aria-label="Spectrum"]//figcaption[contains(., "Dotted: the other take")]');
    expect(await violationsOn(browser.driver)).toEqual([]);
  });

  it('goes round and round in the chosen stretch', async () => {
    await open('launch-day-stream');
    const round = join(folder, 'round.wav');
    copyFileSync(take, round);
    await give(round);
    await shown('round.wav');
    await endBy(4);
    await page.button('Round and round');
    const at = () =>
      browser.driver.executeScript<number>('return document.querySelector("audio").currentTime');
    // A second is chosen: it begins again and again, and goes on.
    await browser.driver.wait(async () => (await at()) > 0.3, 10_000);
    const seen = new Set<boolean>();
    await browser.driver.wait(async () => seen.add((await at()) < 0.3).size === 2, 10_000);
    await browser.driver.wait(async () => (await at()) < 0.3, 10_000);
    expect(await browser.driver.executeScript('return document.querySelector("audio").paused')).toBe(false);
  });

  it('saves what is drawn as a picture', async () => {
    await open('launch-day-stream');
    await give(take);
    await shown('both.wav');
    await page.button('Save picture');
    const png = readFileSync(await page.downloaded('.png'));
    expect(png.subarray(1, 4).toString('latin1')).toBe('PNG');
    // The header says how large it is: all drawings under one another, twice as fine as the page.
    expect([png.readUInt32BE(16), png.readUInt32BE(20) > 1000]).toEqual([1920, true]);
  });

  it.each([
    ['voice.m4a', ['-c:a', 'aac', '-b:a', '192k']],
    ['voice.mp3', ['-c:a', 'libmp3lame', '-b:a', '192k']],
    ['voice.ogg', ['-c:a', 'libopus', '-b:a', '160k']],
    ['voice.mov', ['-c:a', 'pcm_s16le']],
  ] as const)('%s reads as its WAV within 0.3 dB', async (name, coding) => {
    const file = join(folder, name);
    run('ffmpeg', ['-v', 'error', '-y', '-i', take, ...coding, file]);
    await open('launch-day-stream');
    await give(file);
    await shown(name);
    const rms = figures(await page.text(row('RMS')));
    bySox(take, 'RMS lev dB').forEach((own, i) =>
      expect(Math.abs((rms[i] ?? NaN) - own)).toBeLessThanOrEqual(0.3),
    );
  });

  it('a stand-in shows what the rig would give, labelled as such, and is explained by the rig itself', async () => {
    await open('launch-day-stream');
    await page.click('//button[starts-with(normalize-space(.), "Stand-in")]');
    await shown('Stand-in for Launch-day stream');
    await page.find('//p[starts-with(., "A stand-in: made from the engine")]');
    expect(await page.text('//ol[@aria-label="Explanations"]/li[1]')).toBe('The rig as it is laid out.');
  });

  it('leads from an explanation to the part on the Bench, opened', async () => {
    await open('launch-day-stream');
    await give(take);
    await shown('both.wav');
    await page.click('//ol[@aria-label="Explanations"]//a[.="See it on the Bench"]');
    await page.find('//ol[@aria-label="The rig, from source to recorder"]');
    const part = new URL(await browser.driver.getCurrentUrl()).hash.slice(1);
    expect(part).not.toBe('');
  });

  it('saves the take as a WAV file that others read, and forgets it when told', async () => {
    await open('launch-day-stream');
    const kept = join(folder, 'kept.wav');
    copyFileSync(take, kept);
    await give(kept);
    await shown('kept.wav');
    const saved = await savedTake();
    // Not told what differs where it does: that would be a megabyte.
    expect(readFileSync(saved).subarray(44).equals(readFileSync(take).subarray(44))).toBe(true);
    await page.button('Delete');
    await browser.driver.wait(
      async () =>
        (await browser.driver.findElements(By.xpath('//article[@aria-label="kept.wav"]'))).length === 0,
      10_000,
    );
  });
});
