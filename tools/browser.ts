import { type Browser, chromium, type Page } from '@playwright/test';

/** Debian's Chromium, as root and without a word to anyone outside this machine. */
export const launchOptions = {
  executablePath: process.env.JORAM_CHROMIUM ?? '/usr/bin/chromium',
  args: [
    '--no-sandbox',
    '--disable-gpu',
    '--disable-quic',
    '--no-first-run',
    '--disable-background-networking',
    '--disable-component-update',
    '--disable-sync'
  ]
};
export const launch = (): Promise<Browser> => chromium.launch(launchOptions);

/** Signs in as a demo member, in one touch. */
export async function signInAs(page: Page, url: string, signIn: string) {
  await page.goto(`${url}/sign-in`);
  await page.locator(`button[name="demo"][value="${signIn}"]`).click();
  await page.waitForURL((u) => !u.pathname.startsWith('/sign-in'));
}
