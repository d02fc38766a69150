import { existsSync } from 'node:fs';
import { installDebian } from './system.mjs';

/** How Debian's Chromium is started here: headless, and with nothing of its own that asks the network. */
export const CHROMIUM = {
  executablePath: '/usr/bin/chromium-headless-shell',
  args: [
    '--no-sandbox',
    '--disable-gpu',
    '--disable-quic',
    '--no-first-run',
    '--disable-background-networking',
    '--disable-component-update',
    '--disable-sync',
  ],
};

/** Installs the browser where it is not there yet: tests and pictures both need it. */
export async function ensureChromium() {
  if (!existsSync(CHROMIUM.executablePath))
    await installDebian(['chromium-headless-shell'], 'headless Chromium');
}
