import { defineConfig } from '@playwright/test';
import { OWNER } from './e2e/people';

const port = process.env.ORTHOTENS_PORT ?? '3600';
const headPort = process.env.ORTHOTENS_HEAD_PORT ?? '3700';
const deskPort = process.env.ORTHOTENS_DESK_PORT ?? '3750';
const baseURL = `http://127.0.0.1:${port}`;

/** Started by `npm test`, which makes the build and the database and names the browser. */
export default defineConfig({
  testDir: './e2e',
  projects: [
    { name: 'door', testMatch: 'sign-in.setup.ts' },
    {
      name: 'workshop',
      testMatch: '*.spec.ts',
      dependencies: ['door'],
      // As the owner, unless a test comes in as somebody else.
      use: { storageState: OWNER },
    },
  ],
  outputDir: './.orthotens/interface-tests',
  // All tests share one workshop; each brings names of its own.
  fullyParallel: true,
  workers: 2,
  forbidOnly: true,
  // A second try is told at the end, by name: it is a fault of the test or worse, and never silent.
  retries: 1,
  // Generous: a busy machine is no failure, and speed is measured by the bench alone.
  timeout: 180_000,
  expect: { timeout: 30_000 },
  reporter: [['list'], ['json']],
  use: {
    baseURL,
    viewport: { width: 1280, height: 800 },
    timezoneId: 'UTC',
    launchOptions: {
      executablePath: process.env.ORTHOTENS_CHROMIUM ?? '/usr/bin/chromium-headless-shell',
      args: [
        '--no-sandbox',
        '--disable-quic',
        '--disable-background-networking',
        // Nothing from outside is needed, and nothing is had.
        '--host-resolver-rules=MAP * ~NOTFOUND, EXCLUDE 127.0.0.1, EXCLUDE localhost',
      ],
    },
  },
  webServer: [
    {
      command: `node --import tsx scripts/serve.ts -H 127.0.0.1 -p ${port}`,
      url: `${baseURL}/health`,
      env: { NEXT_TELEMETRY_DISABLED: '1', NODE_ENV: 'production' },
    },
    {
      command: `node --import tsx scripts/head.ts ${headPort}`,
      url: `http://127.0.0.1:${headPort}`,
    },
    {
      command: `node --import tsx scripts/desk.ts ${deskPort}`,
      url: `http://127.0.0.1:${deskPort}/health`,
    },
  ],
});
