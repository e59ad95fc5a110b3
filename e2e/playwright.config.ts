import { defineConfig } from '@playwright/test';

const { GARNISH_BROWSER_DATABASE, GARNISH_BROWSER_PORT, GARNISH_CHROMIUM, GARNISH_WEB_FOLDER } =
  process.env;
if (!GARNISH_BROWSER_DATABASE || !GARNISH_BROWSER_PORT || !GARNISH_CHROMIUM || !GARNISH_WEB_FOLDER)
  throw new Error('run npm test, which starts what the browser tests need');

const baseURL = `http://127.0.0.1:${GARNISH_BROWSER_PORT}`;

export default defineConfig({
  testDir: '.',
  testMatch: '*.spec.ts',
  outputDir: '../.garnish/browser',
  fullyParallel: true,
  workers: Number(process.env['GARNISH_BROWSERS'] ?? 2),
  retries: 2,
  // None of these says how fast anything is: they end what hangs, on a slow machine too.
  timeout: 240_000,
  expect: { timeout: 60_000 },
  reporter: [['list'], ['json']],
  use: {
    baseURL,
    viewport: { width: 1280, height: 800 },
    actionTimeout: 60_000,
    trace: 'on-first-retry',
    launchOptions: {
      executablePath: GARNISH_CHROMIUM,
      args: [
        '--no-sandbox',
        '--disable-gpu',
        '--disable-quic',
        '--no-first-run',
        '--disable-background-networking',
        '--disable-component-update',
        '--disable-sync',
      ],
    },
    permissions: ['clipboard-read', 'clipboard-write'],
  },
  webServer: {
    command: 'node --import tsx server/src/main.ts',
    cwd: '..',
    url: `${baseURL}/api/systems`,
    env: {
      DATABASE_URL: GARNISH_BROWSER_DATABASE,
      PORT: GARNISH_BROWSER_PORT,
      GARNISH_WEB_FOLDER,
      GARNISH_DEMO: 'systems',
    },
    timeout: 120_000,
  },
});
