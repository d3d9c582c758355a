// Debian's Chromium without a screen: for the stories in the browser, the pictures and the benches.
import { existsSync } from 'node:fs'
import { installPackage } from './debian.mjs'

/** Starts faster and draws with less work than the browser with windows. */
export const CHROMIUM = '/usr/bin/chromium-headless-shell'

/** Installs it where it is missing; throws Told with the command where it cannot. */
export async function ensureChromium() {
  if (!existsSync(CHROMIUM)) await installPackage('chromium-headless-shell', 'Chromium, for the tests in a browser')
}
