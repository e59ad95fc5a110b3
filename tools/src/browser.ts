import { chromium as playwright, type Browser } from '@playwright/test';
import { chromium } from './packages.ts';

/** What keeps Debian's Chromium quiet where nothing but loopback is reached. */
export const CHROMIUM_FLAGS = [
  '--no-sandbox',
  '--disable-gpu',
  '--disable-quic',
  '--no-first-run',
  '--disable-background-networking',
  '--disable-component-update',
  '--disable-sync',
];

export const launch = (): Promise<Browser> =>
  playwright.launch({ executablePath: chromium(), args: CHROMIUM_FLAGS });
