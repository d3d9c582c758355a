import { defineConfig } from '@playwright/test'
import { CHROMIUM } from './scripts/chromium.mjs'

/** Debian's Chromium against the real server and database; each spec starts a kitchen of its own. */
export default defineConfig({
  testDir: 'e2e',
  globalSetup: './e2e/filledKitchen.ts',
  // A third was no faster on two CPUs, and each story slower.
  workers: 2,
  // Stories take seconds; the room is for a machine that is busy with something else.
  timeout: 360_000,
  expect: { timeout: 30_000 },
  // A second try, named at the end of the run: a machine that stalls for half a minute is no fault of ours, what fails twice is.
  retries: 1,
  reporter: [['list'], ['json']],
  use: {
    actionTimeout: 30_000,
    viewport: { width: 1280, height: 800 },
    // The whole program would be laid on a new tablet for each story: only those without a network need it.
    serviceWorkers: 'block',
    // A tap waits for what moves to stand still: that moves is seen by eye, not by these.
    contextOptions: { reducedMotion: 'reduce' },
    launchOptions: {
      executablePath: CHROMIUM,
      args: [
        '--disable-background-networking',
        '--disable-component-update',
        '--disable-sync',
        '--no-first-run',
        '--disable-quic',
        '--disable-gpu',
      ],
    },
  },
})
