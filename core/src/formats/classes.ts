import { ownVariantsOf } from '../derive/own-variants.ts';
import type { Derived } from '../derive/derived.ts';
import { STRUCTURE } from '../derive/structure.ts';
import type { StyleDocument } from '../system/document.ts';
import { FAMILIES } from '../system/families.ts';

import { namedClass, namedClasses, namedProperty, namingOf, type Naming } from './naming.ts';
import { slugsOf } from '../tokens/slugs-of.ts';

const named = (markup: string, naming: Naming): string =>
  markup.replaceAll(
    /class="([^"]*)"/g,
    (_, names: string) => `class="${namedClasses(names, naming)}"`,
  );

/** What a family of classes is for, with the classes that this system has of it. */
const families = (
  { layout }: StyleDocument,
  { styles, pairs, colors, gradients, icons }: Derived,
): readonly (readonly [says: string, names: readonly string[]])[] => {
  const surfaces = new Set([
    ...pairs.map(({ on }) => on.slug),
    ...FAMILIES.flatMap((id) => (colors.has(`${id}-ink`) ? (colors.get(id)?.slug ?? []) : [])),
  ]);
  return [
    [
      'a text, in its face, size, weight and color',
      [...styles.values()].map(({ slug }) => `type-${slug}`),
    ],
    [
      'a ground that text stands on',
      [...colors.values()].filter(({ slug }) => surfaces.has(slug)).map(({ slug }) => `on-${slug}`),
    ],
    [
      'an icon, beside `icon`, in an element with nothing in it',
      [...icons.values()].map(({ slug }) => `icon-${slug}`),
    ],
    ['a gradient', gradients.map(({ slug }) => `gradient-${slug}`)],
    ['a width', [...slugsOf(layout.widths).values()].map((slug) => `width-${slug}`)],
    [
      'a picture in a shape',
      [...slugsOf(layout.pictures).values()].map((slug) => `picture-${slug}`),
    ],
  ];
};

/**
 * The classes of the sheet with the markup that they are meant for, as Markdown: from the same list that the
 * sheet is written from, by the names that were chosen.
 */
export function writeClasses(document: StyleDocument, derived: Derived): string {
  const naming = namingOf(document.tokens.sheet, derived);
  const { layer, base = true } = naming;
  const own = ownVariantsOf(document.components);
  const cell = (text: string): string => text.replaceAll('|', '\\|');
  return [
    '# Classes',
    '',
    'What `tokens.css` styles, and the markup of each. Nothing else is needed for a page to look as it was decided.',
    '',
    `- Custom properties begin with \`${namedProperty('--', naming)}\`, classes with \`.${namedClass('', naming)}\`.`,
    layer === undefined
      ? '- The rules stand in no cascade layer.'
      : `- The rules stand in the cascade layer \`${layer}\`; what stands in no layer wins over them.`,
    base
      ? '- The sheet sets box sizing, and takes the margins of headings, paragraphs and lists away.'
      : '- The sheet says nothing of box sizing and margins in general: the site has to.',
    '',
    '## Components',
    '',
    ...STRUCTURE.flatMap(({ name, says, markup }) => [
      `### \`${namedClass(name, naming)}\`: ${says}`,
      '',
      '```html',
      ...named(markup, naming).split(' or '),
      '```',
      '',
    ]),
    ...(own.length === 0
      ? []
      : [
          '## Variants of one’s own',
          '',
          '| class | stands beside | follows it but for |',
          '| --- | --- | --- |',
          ...own.map(
            ({ slug, of, name, takes }) =>
              `| \`${namedClass(slug, naming)}\` (${cell(name)}) | \`${namedClass(of, naming)}\` | ${Object.keys(takes).join(', ')} |`,
          ),
          '',
        ]),
    '## Texts, grounds and shapes',
    '',
    '| class | is |',
    '| --- | --- |',
    ...families(document, derived).flatMap(([says, names]) =>
      names.map((name) => `| \`${namedClass(name, naming)}\` | ${cell(says)} |`),
    ),
    '',
    `On the grid, \`${namedClass('grid-frame', naming)}\` holds the content, \`${namedClass('grid', naming)}\` has the columns, and \`${namedClass('span-4', naming)}\` takes four of them.`,
    '',
  ].join('\n');
}
