import { COMPONENTS } from '@garnish/core/components/components';
import { derive } from '@garnish/core/derive/derive';
import { writeHtml } from '@garnish/core/proof/node';
import { specimenOf } from '@garnish/core/proof/specimens';
import { sectionsOf } from '@garnish/core/proof/texts';
import { inOrder } from '@garnish/core/system/document';
import {
  BRACKWATER,
  change,
  copyOf,
  documentOf,
  expect,
  KESTREL,
  openArea,
  proof,
  setWidth,
  TALLOW,
  test,
} from './garnish.ts';
import { bodiesOf, bodyOf, compare, renamed, servePlain } from './plain.ts';

for (const name of [BRACKWATER, KESTREL, TALLOW])
  test(`${name}: with tokens.css alone every computed property is that of the proof`, async ({
    page,
    request,
  }) => {
    test.slow();
    const id = await copyOf(request, name);
    const document = await documentOf(request, id);
    await servePlain(page, id, bodiesOf(document));
    await openArea(page, id, 'brief');
    const choice = page.getByRole('combobox', { name: 'Page of the proof' });
    for (const [own, { name: title }] of inOrder(document.content.pages)) {
      await choice.selectOption(own);
      for (const width of [320, 720, 1440]) {
        await setWidth(page, width);
        for (const theme of ['light', 'dark']) {
          const found = await compare(page, width, theme, 'nothing', '', own);
          expect(found.elements).toBeGreaterThan(30);
          expect(found.properties).toBeGreaterThan(found.elements * 300);
          expect(found.differences, `${title}, ${width} px, ${theme}`).toEqual([]);
        }
      }
    }
  });

/** What follows from the words, and from the room around an element, not from its look. */
const OF_THE_WORDS = [
  ...['width', 'height', 'inline-size', 'block-size', 'perspective-origin', 'transform-origin'],
  ...['grid-template-columns', 'grid-template-rows', 'top', 'bottom', 'left', 'right'],
  ...['inset-block-start', 'inset-block-end', 'inset-inline-start', 'inset-inline-end'],
];

test('the markup that is written down for a class has the look of its specimen, for every class of fields', async ({
  page,
  request,
}) => {
  const id = await copyOf(request, BRACKWATER);
  const derived = derive(await documentOf(request, id));
  const own = COMPONENTS.filter(({ group }) => group === 'fields').flatMap(
    ({ classes, variants = [] }) =>
      classes.flatMap(({ name, markup }) => {
        const specimens = variants.map((variant) =>
          writeHtml(specimenOf(variant, derived), String),
        );
        const drawn = specimens.find((html) => new RegExp(`"([^"]* )?${name}[ "]`).test(html));
        return drawn === undefined ? [] : [{ name, markup, drawn }];
      }),
  );
  expect(own.map(({ name }) => name)).toEqual(
    expect.arrayContaining([
      ...['field', 'long-field', 'choice-field', 'number-field', 'file-field', 'word-field'],
      ...['check', 'radio', 'switch', 'slider', 'problem'],
    ]),
  );
  const pair = own.map(
    ({ name, markup, drawn }) =>
      `<section data-class="${name}"><div style="inline-size: 20rem">${markup}</div><div style="inline-size: 20rem">${drawn}</div></section>`,
  );
  await servePlain(page, id, new Map([['fields', pair.join('')]]));
  await page.goto('/plain/fields');
  for (const theme of ['light', 'dark']) {
    await page.locator('html').evaluate((html, mode) => {
      html.dataset['theme'] = mode;
    }, theme);
    const differences = await page.evaluate(
      (ofWords) =>
        [...document.querySelectorAll<HTMLElement>('[data-class]')].flatMap((section) => {
          const name = section.dataset['class'] ?? '';
          const [one, other] = [...section.children].map((side) => side.querySelector(`.${name}`));
          if (!one || !other) return [`${name}: not in both`];
          // What stands alone is compared with the specimen alone, and how wide a field may be is a class of its own.
          if (one.parentElement === section.firstElementChild)
            section.lastElementChild?.replaceChildren(other);
          one.classList.remove('width-field');
          for (const moving of document.getAnimations()) moving.finish();
          const [mine, theirs] = [getComputedStyle(one), getComputedStyle(other)];
          return [...mine].flatMap((property) => {
            const [own, drawn] = [
              mine.getPropertyValue(property),
              theirs.getPropertyValue(property),
            ];
            return own === drawn || ofWords.includes(property)
              ? []
              : [`.${name} ${property}: ${own}, as a specimen ${drawn}`];
          });
        }),
      OF_THE_WORDS,
    );
    expect(differences).toEqual([]);
  }
});

test('a look that differs outside would be seen', async ({ page, request }) => {
  const id = await copyOf(request, TALLOW);
  await servePlain(page, id, bodiesOf(await documentOf(request, id)));
  await openArea(page, id, 'brief');
  await setWidth(page, 720);
  expect((await compare(page, 720, 'light')).differences).toEqual([]);
  await page
    .frameLocator('iframe[title="Plain"]')
    .locator('.nav-link')
    .first()
    .evaluate((link) => link.setAttribute('style', 'text-decoration-line: underline'));
  expect((await compare(page, 720, 'light')).differences.join()).toContain('text-decoration-line');
});

test('with a prefix, in a layer, the page of one’s own looks the same, and so does one’s own markup', async ({
  page,
  request,
}) => {
  const id = await copyOf(request, BRACKWATER);
  await change(request, id, [
    {
      op: 'add',
      path: '/tokens/sheet',
      value: { properties: 'rc', classes: 'rcc', layer: 'look' },
    },
  ]);
  const document = await documentOf(request, id);
  const { nav } = document.content;
  const [hero, form, table] = (['opening', 'form', 'table'] as const).map(
    (kind) => sectionsOf(document.content, kind)[0]?.own,
  );
  if (hero?.kind !== 'opening' || table?.kind !== 'table') throw new Error('no such sections');
  const [cell] = table.columns.order;
  const words = (path: string, tag: string, attributes: string, inside: string): string =>
    `<${tag} id="${path}" ${attributes}>${inside}</${tag}>`;
  const own = [
    `<p class="rcc-actions">`,
    words('own-button', 'button', 'type="button" class="rcc-button"', hero.primary),
    words('own-link', 'a', 'href="#x" class="rcc-button"', hero.primary),
    `</p><nav class="rcc-site-nav">`,
    words(
      'own-nav',
      'a',
      'href="#x" class="rcc-nav-link"',
      nav.items[nav.order[0] ?? '']?.words ?? '',
    ),
    `</nav><div class="rcc-form-row"><input id="own-field" class="rcc-field rcc-width-field"></div>`,
    `<table class="rcc-table" id="own-table"><tr><th>${table.columns.items[cell ?? ''] ?? ''}</th></tr><tr><td>06:40</td></tr></table>`,
  ].join('\n');
  expect(form).toBeDefined();
  await servePlain(
    page,
    id,
    new Map([
      [
        'home',
        `${renamed(bodyOf(document), document.tokens.sheet ?? {})}<div id="own" style="position: absolute; inset-block-start: 0">${own}</div>`,
      ],
    ]),
  );
  await openArea(page, id, 'brief');
  await setWidth(page, 1440);
  const { differences } = await compare(page, 1440, 'light', '#own', 'rc-');
  expect(differences).toEqual([]);
  const plain = page.frameLocator('iframe[title="Plain"]');
  const look = (element: Element) => {
    const style = getComputedStyle(element);
    const of = (names: readonly string[]) =>
      names.map((name) => `${name}: ${style.getPropertyValue(name)}`);
    return of([
      ...['display', 'box-sizing', 'block-size', 'background-color', 'border-radius'],
      ...['padding-block', 'padding-inline', 'border-block-width', 'border-inline-width'],
      ...['border-block-color', 'border-block-style', 'text-decoration-line'],
      ...['min-block-size', 'vertical-align', 'text-align', 'appearance'],
    ]);
  };
  const type = (element: Element) => {
    const style = getComputedStyle(element);
    return [
      ...['font-family', 'font-size', 'font-weight', 'line-height', 'letter-spacing', 'color'],
      'font-variant-numeric',
    ].map((name) => `${name}: ${style.getPropertyValue(name)}`);
  };
  // `text-align` of a button’s box is the browser’s; its words are in the middle of either.
  const button = await proof(page).locator('.button').first().evaluate(look);
  for (const own of ['#own-button', '#own-link'])
    expect([own, await plain.locator(own).evaluate(look)]).toEqual([
      own,
      button.map((line) =>
        own === '#own-button' && line.startsWith('text-align') ? 'text-align: center' : line,
      ),
    ]);
  const label = await proof(page).locator('.button > *').first().evaluate(type);
  for (const own of ['#own-button', '#own-link'])
    expect([own, await plain.locator(own).evaluate(type)]).toEqual([own, label]);
  expect(await plain.locator('#own-nav').evaluate(type)).toEqual(
    await proof(page).locator('.nav-link > *').first().evaluate(type),
  );
  expect(await plain.locator('#own-nav').evaluate(look)).toEqual(
    await proof(page).locator('.nav-link').first().evaluate(look),
  );
  expect(await plain.locator('#own-field').evaluate(look)).toEqual(
    (await proof(page).locator('.field').first().evaluate(look)).map((line) =>
      line.startsWith('display') ? 'display: flex' : line,
    ),
  );
  for (const part of ['th', 'td']) {
    expect(await plain.locator(`#own-table ${part}`).first().evaluate(type)).toEqual(
      await proof(page).locator(`.table ${part}`).first().evaluate(type),
    );
    expect(await plain.locator(`#own-table ${part}`).first().evaluate(look)).toEqual(
      await proof(page).locator(`.table ${part}`).first().evaluate(look),
    );
  }
});
