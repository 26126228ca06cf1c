import { readdirSync, readFileSync } from 'node:fs';
import { mkdtemp } from 'node:fs/promises';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { type BrowserContext, chromium, type Page } from '@playwright/test';
import { CHROMIUM, QUIET } from './chromium';

/** A browser of its own with its own disk: its tabs are one phone's; it can be killed as a phone dies, and taken up again. */
export class Phone {
  private constructor(
    private readonly disk: string,
    private browser: BrowserContext,
  ) {}

  static async start(): Promise<Phone> {
    const disk = await mkdtemp(join(tmpdir(), 'hoddle-phone-'));
    return new Phone(disk, await launch(disk));
  }

  /** The browser itself, as it runs now. */
  get context(): BrowserContext {
    return this.browser;
  }

  async open(address: string): Promise<Page> {
    const page = await this.browser.newPage();
    await page.goto(address);
    return page;
  }

  async signal(is: boolean): Promise<void> {
    await this.browser.setOffline(!is);
  }

  /** Its battery is out: every process of it is gone at once, by SIGKILL. */
  async dies(): Promise<void> {
    for (const pid of processesOf(this.disk)) {
      try {
        process.kill(pid, 'SIGKILL');
      } catch {
        // Gone with the first of them.
      }
    }
    await this.browser.close().catch(() => undefined);
  }

  /** On again, with what is on its disk. */
  async wakes(signal: boolean): Promise<void> {
    this.browser = await launch(this.disk);
    await this.signal(signal);
  }

  async close(): Promise<void> {
    await this.browser.close();
  }
}

function launch(disk: string): Promise<BrowserContext> {
  return chromium.launchPersistentContext(disk, {
    executablePath: CHROMIUM,
    args: QUIET,
    viewport: { width: 390, height: 844 },
    hasTouch: true,
  });
}

/** Processes that were started upon this disk. */
function processesOf(disk: string): number[] {
  return readdirSync('/proc')
    .filter((name) => /^\d+$/.test(name))
    .filter((pid) => {
      try {
        return readFileSync(`/proc/${pid}/cmdline`, 'utf8').includes(disk);
      } catch {
        return false;
      }
    })
    .map(Number);
}
