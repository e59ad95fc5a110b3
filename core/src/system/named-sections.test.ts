import { describe, expect, test } from '@jest/globals';
import { derive } from '../derive/derive.ts';
import { writeHtml } from '../proof/node.ts';
import { sectionAlone, sitePage } from '../proof/site.ts';
import { sectionPath } from '../proof/texts.ts';
import { namedSections } from './named-sections.ts';
import { patched, type Patch } from './patch.ts';
import { sampleDocument } from './sample.ts';

const changed = (patch: Patch) => {
  const result = patched(sampleDocument(), patch);
  if (!result.ok) throw new Error(JSON.stringify(result.problems));
  return result.document;
};

const markup = (node: Parameters<typeof writeHtml>[0]): string => writeHtml(node, () => '<svg/>');

describe('the sections of a site', () => {
  const sample = sampleDocument();
  const derived = derive(sample);
  const all = namedSections(sample.content);

  test('have a name each that no other of their page has', () => {
    expect(all.length).toBeGreaterThan(3);
    const names = all.map(({ page, name }) => `${page} ${name}`);
    expect(new Set(names).size).toBe(names.length);
    const [first] = all;
    if (!first) throw new Error('no section');
    const at = sectionPath(first.page, first.section);
    const { sections } = sample.content.pages.items[first.page] ?? {};
    const again = changed([
      { op: 'add', path: `${at}-again`, value: sections?.items[first.section] as never },
      {
        op: 'replace',
        path: `/content/pages/items/${first.page}/sections/order`,
        value: [...(sections?.order ?? []), `${first.section}-again`],
      },
    ]);
    expect(namedSections(again.content).map(({ name }) => name)).toContain(`${first.name} 2`);
  });

  test('stand alone as they do on their page: the page is made of them', () => {
    for (const { page, section } of all) {
      const alone = sectionAlone(sample, derived, page, section);
      const whole = markup(sitePage(sample, derived, page));
      const inside = markup(alone ?? '')
        .replace(/^<main[^>]*><div[^>]*>/, '')
        .replace(/<\/div><\/main>$/, '');
      expect([section, inside.length > 0 && whole.includes(inside)]).toEqual([section, true]);
    }
  });

  test('are none where they are switched off, or on a page that is, or nowhere', () => {
    const [first] = all;
    if (!first) throw new Error('no section');
    const off = changed([
      { op: 'add', path: `${sectionPath(first.page, first.section)}/isOff`, value: true },
    ]);
    expect(namedSections(off.content)).toHaveLength(all.length - 1);
    const noPage = changed([
      {
        op: 'add',
        path: '/content/pages/items/other',
        value: { name: 'Other', sections: { order: [], items: {} } },
      },
      {
        op: 'replace',
        path: '/content/pages/order',
        value: [...sample.content.pages.order, 'other'],
      },
      { op: 'add', path: `/content/pages/items/${first.page}/isOff`, value: true },
    ]);
    expect(namedSections(noPage.content).some(({ page }) => page === first.page)).toBe(false);
    for (const [page, section] of [
      ['__proto__', 'hero'],
      [first.page, '__proto__'],
      ['nowhere', first.section],
    ] as const)
      expect(sectionAlone(sample, derived, page, section)).toBeUndefined();
  });
});
