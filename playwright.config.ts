import { defineConfig } from '@playwright/test'

/** Debian's Chromium against the real server and database; each spec starts a kitchen of its own. */
export default defineConfig({
  testDir: 'e2e',
  workers: 2,
  // Stories take seconds; the room is for a machine that is busy with something else.
  timeout: 240_000,
  expect: { timeout: 15_000 },
  reporter: [['list'], ['json']],
  use: {
    actionTimeout: 20_000,
    viewport: { width: 1280, height: 800 },
    launchOptions: {
      executablePath: '/usr/bin/chromium',
      args: [
        '--disable-background-networking',
        '--disable-component-update',
        '--disable-sync',
        '--no-first-run',
        '--disable-quic',
      ],
    },
  },
})
