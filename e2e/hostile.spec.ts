import { FORMATS } from '@garnish/core/formats/formats';
import { micromark } from 'micromark';
import { gfmTable, gfmTableHtml } from 'micromark-extension-gfm-table';
import { BRACKWATER, copyOf, expect, openArea, proof, saved, test } from './garnish.ts';

const change = (patch: readonly object[]) => ({
  id: crypto.randomUUID(),
  base: 0,
  patch,
  label: 'hostile',
  window: crypto.randomUUID(),
  gesture: crypto.randomUUID(),
});

/** Words that would be something else wherever they are not taken for words. */
const WORDS = [
  '~~~',
  '</style><img src=//hit.example>',
  '![a](//hit.example)',
  '<img src="//hit.example">',
  '"; } * { background: url(//hit.example) } /*',
].join(' ');

/** Names of faces that would end their string, were they not escaped as CSS says. */
const FACES = ['\f', '\r', '\n', '"', '\\', '<'].map(
  (sign) => `A${sign}"; } * { background: url(//hit.example) } @import "//hit.example"; x { a: "`,
);

test('what a document says never becomes code: nothing that is exported asks for anything', async ({
  page,
  request,
  quietConsole,
}) => {
  const id = await copyOf(request, BRACKWATER);
  const tokens = FACES.map((value, index) => [
    `face-${index}`,
    { path: `own.face-${index}`, type: 'fontFamily', value, description: WORDS },
  ]);
  const answer = await request.post(`/api/systems/${id}/changes`, {
    data: change([
      { op: 'replace', path: '/name', value: WORDS.slice(0, 80) },
      { op: 'replace', path: '/description', value: WORDS },
      { op: 'replace', path: '/brief/purpose', value: WORDS },
      { op: 'replace', path: '/fonts/reasons/note', value: WORDS },
      { op: 'replace', path: '/space/steps/items/m/name', value: WORDS.slice(0, 60) },
      {
        op: 'replace',
        path: '/tokens/custom',
        value: { order: tokens.map(([key]) => key), items: Object.fromEntries(tokens) as object },
      },
    ]),
  });
  expect(answer.status(), await answer.text()).toBe(200);
  const asked: string[] = [];
  await page.goto('about:blank');
  page.on('request', (sent) => asked.push(sent.url()));
  for (const { file, type } of FORMATS) {
    const text = await (await request.get(`/api/systems/${id}/export/${file}`)).text();
    if (file === 'tokens.css' || file === 'handoff.md') expect(text).toContain('hit.example');
    // As whoever takes it would show it; what is no page (data, code to be compiled) is shown as one nowhere.
    const shown: Readonly<Record<string, string>> = {
      'text/css': `<style>${text}</style><p>words</p>`,
      'text/markdown': micromark(text, {
        allowDangerousHtml: true,
        allowDangerousProtocol: true,
        extensions: [gfmTable()],
        htmlExtensions: [gfmTableHtml()],
      }),
      'text/javascript': `<script type="module">${text}</script><p>words</p>`,
      'text/html': text,
      'image/svg+xml': text,
    };
    const page1 = shown[type.split(';')[0] ?? ''];
    if (page1 === undefined) continue;
    await page.setContent(page1);
    await page.evaluate(() => new Promise((resolve) => requestAnimationFrame(resolve)));
    if (file === 'handoff.md')
      await expect(page.getByRole('heading', { name: 'Open findings' })).toBeVisible();
    if (file === 'tokens.md') await expect(page.getByRole('table').first()).toBeVisible();
    expect([file, await page.locator('img[src*="hit.example"]').count()]).toEqual([file, 0]);
  }
  expect(asked).toEqual([]);
  quietConsole.length = 0;
});

/** Each level is painted with ten of the next: a few lines of text, and hours of work. */
const doubling = (): string => {
  const levels = Array.from({ length: 12 }, (_, level) => {
    const fill = level === 11 ? 'red' : `url(#p${level + 1})`;
    return `<pattern id="p${level}" width="1" height="1">${`<rect width="1" height="1" fill="${fill}"/>`.repeat(10)}</pattern>`;
  });
  return `<svg xmlns="http://www.w3.org/2000/svg" viewBox="0 0 9 9">${levels.join('')}<rect width="9" height="9" fill="url(#p0)"/></svg>`;
};

const ACTING = `<svg xmlns="http://www.w3.org/2000/svg" xmlns:xlink="http://www.w3.org/1999/xlink" viewBox="0 0 9 9" onload="document.title='hit'">
  <script>document.title = 'hit'</script>
  <image href="/proof/pictures/hit.png"/><use href="/proof/pictures/hit.png#a"/>
  <rect width="9" height="9" fill="u\\72l(/proof/pictures/hit.png)" stroke="image-set('/proof/pictures/hit.png' 1x)"/>
  <rect width="9" height="9" style="background: url(/proof/pictures/hit.png)" filter="url(/proof/pictures/hit.png#f)"/>
  <a xlink:href="javascript:document.title='hit'"><text>x</text></a>
  <animate attributeName="href" values="/proof/pictures/hit.png"/>
  <foreignObject><img src="/proof/pictures/hit.png"></foreignObject>
  <path d="M0 0h9v9z" fill="#e6007e"/>
</svg>`;

test('SVG that would act, load or never be drawn is cleaned where it comes in and wherever it is shown', async ({
  page,
  request,
  quietConsole,
}) => {
  const id = await copyOf(request, BRACKWATER);
  const asked: string[] = [];
  page.on('request', (sent) => {
    if (sent.url().includes('hit')) asked.push(sent.url());
  });
  await openArea(page, id, 'color');
  const pictures = page.getByRole('button', { name: 'Pictures', exact: true });
  await pictures.click();
  // The view before has a place for files too.
  await expect(pictures).toHaveAttribute('aria-current', 'page');
  const file = page.locator('input[type="file"][accept*="svg"]').first();
  await file.setInputFiles({
    name: 'twice.svg',
    mimeType: 'image/svg+xml',
    buffer: Buffer.from(doubling()),
  });
  await expect(page.getByText('drawing it would take for ever')).toBeVisible();
  await file.setInputFiles({
    name: 'acts.svg',
    mimeType: 'image/svg+xml',
    buffer: Buffer.from(ACTING),
  });
  await expect(proof(page).locator('svg path[d="M0 0h9v9z"]')).toHaveCount(1);
  await saved(page);
  // Past the application: the document itself holds what was never cleaned.
  for (const svg of [ACTING, doubling()]) {
    const { sequence } = (await (await request.get(`/api/systems/${id}`)).json()) as {
      sequence: number;
    };
    const raw = change([{ op: 'replace', path: '/content/artwork/svg', value: svg }]);
    expect(
      (
        await request.post(`/api/systems/${id}/changes`, { data: { ...raw, base: sequence } })
      ).status(),
    ).toBe(200);
    await page.goto(`/systems/${id}/space?view=check`);
    await expect(proof(page).getByRole('heading', { level: 1 })).toBeVisible();
    await expect(
      page
        .getByRole('main')
        .getByText(/measured|page/i)
        .first(),
    ).toBeVisible();
    await page.waitForTimeout(1500);
  }
  expect(asked).toEqual([]);
  expect(await page.title()).not.toBe('hit');
  // Parsing it is enough for the browser to say what our policy would not have allowed.
  const others = quietConsole.filter((words) => !words.includes('Content Security Policy'));
  expect(others).toEqual([]);
  quietConsole.length = 0;
});

test('a hostile token file is told and changes nothing that was not asked for', async ({
  page,
  request,
}) => {
  const id = await copyOf(request, BRACKWATER);
  await openArea(page, id, 'tokens?view=files');
  const token = '{"$type": "color", "$value": "#123456"}';
  const text = `{"__proto__": {"polluted": ${token}}, "constructor": ${token}, "own": {"plain": ${token}}, "t": {"$type": "__proto__", "$value": 1}}`;
  await page
    .locator('input[type="file"]')
    .first()
    .setInputFiles({
      name: 'hostile.json',
      mimeType: 'application/json',
      buffer: Buffer.from(text),
    });
  await expect(page.getByText('every object has').first()).toBeVisible();
  await saved(page);
  for (const file of ['tokens.json', 'tokens.css'])
    expect((await request.get(`/api/systems/${id}/export/${file}`)).status()).toBe(200);
  expect((await request.get('/api/systems')).status()).toBe(200);
  expect(await page.evaluate(() => Object.keys(Object.prototype))).toEqual([]);
});
