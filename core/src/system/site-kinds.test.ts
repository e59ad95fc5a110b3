import { describe, expect, test } from '@jest/globals';
import { findingsOf } from '../checks/checks.ts';
import { derive } from '../derive/derive.ts';
import { siteTexts } from '../proof/texts.ts';
import { inOrder } from './document.ts';
import { newDocument } from './new-document.ts';
import { sampleFamily } from './sample.ts';
import { SITE_KINDS } from './site-kinds.ts';
import { validate } from './validate.ts';

const made = (kind?: (typeof SITE_KINDS)[number]['id']) =>
  newDocument({
    name: 'Millrace',
    brand: '#2a6365',
    heading: sampleFamily('archivo'),
    text: sampleFamily('literata'),
    ...(kind && { kind }),
    colors: ['#c2453a'],
    logo: '<svg xmlns="http://www.w3.org/2000/svg"></svg>',
  });

describe.each(SITE_KINDS.map(({ id }) => [id] as const))('a site of the kind %s', (kind) => {
  const document = made(kind);

  test('is a system as it is to be, with nothing to repair', () => {
    expect(validate(document).ok).toBe(true);
    const found = findingsOf(document, derive(document));
    expect(found.filter(({ severity }) => severity === 'repair')).toEqual([]);
  });

  test('has pages that each begin with a heading, and links to all but the first', () => {
    const pages = inOrder(document.content.pages);
    expect(pages.length).toBeGreaterThan(1);
    const titles = siteTexts(document.content).filter(({ role }) => role === 'h1');
    expect(new Set(titles.map(({ page }) => page))).toEqual(new Set(pages.map(([id]) => id)));
    expect(document.content.nav.order).toEqual(pages.slice(1).map(([id]) => id));
    expect(titles[0]?.words).toBe('Millrace');
  });
});

test('what is there of the brand is taken: every color, and the logo', () => {
  const { color, layout } = made('venue');
  expect(color.sources.order.slice(0, 2)).toEqual(['brand', 'brand-2']);
  expect(color.sources.items['brand-2']?.value).toBe('#c2453a');
  expect(layout.logo.light).toContain('<svg');
});
