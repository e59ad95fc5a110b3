import { readDocument } from '@garnish/core/system/upgrade';
import type { Patch } from '@garnish/core/system/patch';
import type { StyleDocument } from '@garnish/core/system/document';
import axe, { type AxeResults, type RunOptions } from 'axe-core';
import {
  test as base,
  expect,
  type APIRequestContext,
  type Frame,
  type FrameLocator,
  type Page,
} from '@playwright/test';

/** Every test fails where the page reports an error that nobody asked for. */
export const test = base.extend<{ readonly quietConsole: string[] }>({
  quietConsole: [
    async ({ page }, use) => {
      const said: string[] = [];
      page.on('console', (message) => {
        if (message.type() === 'error') said.push(message.text());
      });
      page.on('pageerror', (error) => said.push(error.message));
      await use(said);
      expect(said).toEqual([]);
    },
    { auto: true },
  ],
});

export { expect };

export const BRACKWATER = 'Brackwater Ferries';
export const TALLOW = 'Tallow Lane Candles';
export const KESTREL = 'Kestrel Hill Planetarium';

interface Looked {
  /** A part of the page; the whole of it where nothing is said. */
  readonly within?: string;
  readonly without?: string;
  /** Only these rules; all where nothing is said. */
  readonly rules?: readonly string[];
}

/**
 * What axe finds on a page or in one of its frames: rule and element. What stands in frames within is left
 * out, and only violations are told, which is what takes it the least time.
 */
export async function violationsOf(
  page: Page | Frame,
  { within, without, rules }: Looked = {},
): Promise<
  readonly (readonly [rule: string, html: string | undefined, why: string | undefined])[]
> {
  const options: RunOptions = {
    iframes: false,
    resultTypes: ['violations'],
    ...(rules && { runOnly: { type: 'rule', values: [...rules] } }),
  };
  await page.evaluate(`if (!globalThis.axe) { ${axe.source} }`);
  const { violations } = await page.evaluate<
    AxeResults,
    readonly [include: string, exclude: string | undefined, options: RunOptions]
  >(
    ([include, exclude, how]) =>
      (globalThis as unknown as { readonly axe: typeof axe }).axe.run(
        { include: [include], ...(exclude !== undefined && { exclude: [exclude] }) },
        how,
      ),
    [within ?? ':root', without, options],
  );
  return violations.map(({ id, nodes }) => [id, nodes[0]?.html, nodes[0]?.failureSummary]);
}

interface Summary {
  readonly id: string;
  readonly name: string;
}

/** The ids of the demo systems, which no test changes; asked for once in each process. */
const originals = new Map<string, Promise<string>>();

async function idOf(request: APIRequestContext, name: string): Promise<string> {
  const address = `/api/systems?search=${encodeURIComponent(name)}&order=name&limit=200`;
  const { systems } = (await (await request.get(address)).json()) as { systems: Summary[] };
  const original = systems.find((system) => system.name === name);
  if (!original) throw new Error(`the demo has no ${name}`);
  return original.id;
}

/** A copy of a demo system, so that no test sees what another has done. */
export async function copyOf(request: APIRequestContext, name: string): Promise<string> {
  const duplicate = async (id: Promise<string>) =>
    request.post(`/api/systems/${await id}/duplicate`);
  const known = originals.get(name) ?? idOf(request, name);
  originals.set(name, known);
  let copy = await duplicate(known);
  // Another server, or one with another database, has others.
  if (copy.status() === 404) copy = await duplicate(idOf(request, name));
  return ((await copy.json()) as Summary).id;
}

export async function openArea(page: Page, id: string, area: string): Promise<void> {
  await page.goto(`/systems/${id}/${area}`);
  await expect(page.getByRole('navigation', { name: 'Areas' })).toBeVisible();
  await expect(proof(page).getByRole('heading', { level: 1 }).first()).toBeVisible();
}

/** Goes on to another place of the open system as a link does, without loading the page again. */
export const goOn = (page: Page, id: string, address: string): Promise<void> =>
  page.evaluate((to) => {
    history.pushState(null, '', to);
    dispatchEvent(new PopStateEvent('popstate'));
  }, `/systems/${id}/${address}`);

export const proof = (page: Page): FrameLocator => page.frameLocator('iframe[title="Proof"]');

/** Waits until everything done so far stands in the database. */
export const saved = (page: Page): Promise<void> =>
  expect(page.getByRole('banner').getByRole('status')).toHaveText('saved');

export async function documentOf(request: APIRequestContext, id: string): Promise<StyleDocument> {
  const { document } = (await (await request.get(`/api/systems/${id}`)).json()) as {
    document: unknown;
  };
  const read = readDocument(document);
  if (!read.ok) throw new Error(JSON.stringify(read.problems));
  return read.document;
}

/** Sets the width of the proof, as its field does. */
export const setWidth = async (page: Page, px: number): Promise<void> => {
  const field = page.getByRole('spinbutton', { name: 'Width of the proof' });
  await field.fill(String(px));
  await field.press('Enter');
  await expect
    .poll(() =>
      page
        .locator('iframe[title="Proof"]')
        .evaluate((frame) => (frame as HTMLIFrameElement).contentWindow?.innerWidth),
    )
    .toBe(px);
};

/** A change made elsewhere, as another window or a program makes it. */
export async function change(request: APIRequestContext, id: string, patch: Patch): Promise<void> {
  const { sequence } = (await (await request.get(`/api/systems/${id}`)).json()) as {
    sequence: number;
  };
  const answer = await request.post(`/api/systems/${id}/changes`, {
    data: {
      id: crypto.randomUUID(),
      base: sequence,
      label: 'a change from elsewhere',
      window: crypto.randomUUID(),
      gesture: crypto.randomUUID(),
      patch,
    },
  });
  expect(answer.ok(), await answer.text()).toBe(true);
}
