import { mkdtempSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { Builder, type WebDriver } from 'selenium-webdriver';
import { Options, ServiceBuilder } from 'selenium-webdriver/chrome.js';

export type Size = 'desk' | 'phone';

export interface Browser {
  readonly driver: WebDriver;
  /** Where this browser saves what it downloads. */
  readonly downloads: string;
}

const FLAGS = [
  '--headless=new',
  '--no-sandbox',
  '--disable-dev-shm-usage',
  '--disable-gpu',
  '--disable-quic',
  '--no-first-run',
  '--disable-background-networking',
  '--disable-component-update',
  '--disable-sync',
  '--hide-scrollbars',
  '--force-device-scale-factor=1',
  '--window-size=1280,800',
];

interface DevToolsDriver extends WebDriver {
  sendDevToolsCommand(command: string, parameters: object): Promise<void>;
}

export interface BrowserOptions {
  /** Runs in every page before its own scripts. */
  readonly first?: string;
  /** Where the empty profile is made: everything that pages store lies there. */
  readonly profile?: string;
  /** Further flags of the browser itself. */
  readonly flags?: readonly string[];
}

/** A fresh Chromium with an empty profile; `dark` asks for the dark colours. */
export async function openBrowser(
  size: Size,
  dark = false,
  { first, flags = [], profile = mkdtempSync(join(tmpdir(), 'symplex-profile-')) }: BrowserOptions = {},
): Promise<Browser> {
  process.env['SE_OFFLINE'] = 'true';
  process.env['SE_AVOID_STATS'] = 'true';
  const downloads = mkdtempSync(join(tmpdir(), 'symplex-downloads-'));
  const options = new Options();
  options.addArguments(...FLAGS, ...flags, `--user-data-dir=${profile}`);
  options.setChromeBinaryPath('/usr/bin/chromium');
  options.setUserPreferences({ 'download.default_directory': downloads });
  if (size === 'phone') {
    const deviceMetrics = { width: 390, height: 844, pixelRatio: 2, touch: true };
    // The driver's protocol wants deviceMetrics; the type declarations know only an older shape.
    options.setMobileEmulation({ deviceMetrics } as unknown as { deviceName: string });
  }
  const driver = (await new Builder()
    .forBrowser('chrome')
    .setChromeOptions(options)
    .setChromeService(new ServiceBuilder('/usr/bin/chromedriver'))
    .build()) as DevToolsDriver;
  if (size === 'desk') {
    const metrics = { width: 1280, height: 800, deviceScaleFactor: 1, mobile: false };
    await driver.sendDevToolsCommand('Emulation.setDeviceMetricsOverride', metrics);
  }
  if (dark) {
    const features = [{ name: 'prefers-color-scheme', value: 'dark' }];
    await driver.sendDevToolsCommand('Emulation.setEmulatedMedia', { features });
  }
  if (first !== undefined) {
    await driver.sendDevToolsCommand('Page.addScriptToEvaluateOnNewDocument', { source: first });
  }
  return { driver, downloads };
}
