import type { Derived } from '../derive/derived.ts';
import { srcsetWidths } from '../image/srcset.ts';
import { builder } from '../proof/build.ts';
import { writeHtml, type ProofElement } from '../proof/node.ts';
import { pictureIn } from '../proof/parts.ts';
import type { Build, ShownPicture } from '../proof/sections/kind.ts';
import { sectionsOverPictures } from '../proof/texts.ts';
import type { StyleDocument } from '../system/document.ts';
import { picturePlaces } from '../system/made-pictures.ts';
import type { PictureRole } from '../system/picture-roles.ts';
import { slugs } from '../tokens/token.ts';
import { namedClasses } from './naming.ts';

/** The folder that the files of pictures stand in, as their markup names it. */
export const PICTURE_FOLDER = 'pictures';

/** A picture as it is handed over: a file for each width, and the element that takes the one that fits. */
export interface PictureFile {
  /** The file that it is stored as. */
  readonly stored: string;
  readonly slug: string;
  readonly name: string;
  /** In px, ascending. */
  readonly widths: readonly number[];
  /** What it is on the pages, and its element there. */
  readonly uses: readonly { readonly role: PictureRole; readonly markup: string }[];
}

export const widthFile = (slug: string, width: number): string => `${slug}-${width}.webp`;

/** What of the screen a picture takes, so that the browser can choose before it knows the layout. */
const SIZES: Readonly<Record<PictureRole, Readonly<Record<string, string>>>> = {
  // It is the first that is seen, and the largest: it may not wait.
  opening: { sizes: '100vw', fetchpriority: 'high' },
  background: { sizes: '100vw', loading: 'lazy' },
  // Where browsers do not know `auto`, the whole width is the safe answer. Source: HTML, sizes attributes.
  card: { sizes: 'auto, 100vw', loading: 'lazy' },
  figure: { sizes: 'auto, 100vw', loading: 'lazy' },
  portrait: { sizes: '4.5rem', loading: 'lazy' },
};

interface Use {
  readonly picture: ShownPicture;
  readonly role: PictureRole;
}

/** Every picture of the pages with what it is there; what it says may differ from place to place. */
const usesOf = ({ color, content }: StyleDocument): readonly Use[] => [
  ...sectionsOverPictures(content).flatMap(({ veil: id, own }): Use[] => {
    const veil = Object.hasOwn(color.veils.items, id) ? color.veils.items[id] : undefined;
    const role = own.kind === 'call' ? 'background' : 'opening';
    return veil ? [{ picture: { ...veil.picture, alt: '' }, role }] : [];
  }),
  ...picturePlaces(content).flatMap(({ picture, role }) => (picture ? [{ picture, role }] : [])),
];

/** The element with its widths in place of the stored file, and the classes as the site calls them. */
function offered(
  node: ProofElement,
  { slug, widths, role }: Pick<PictureFile, 'slug' | 'widths'> & { readonly role: PictureRole },
  classes: (names: string) => string,
): ProofElement {
  const { class: names, ...others } = node.attributes;
  const at = (width: number): string => `${PICTURE_FOLDER}/${widthFile(slug, width)}`;
  const attributes = {
    ...(names !== undefined && { class: classes(names) }),
    ...others,
    ...(node.tag === 'img' && {
      src: at(widths.at(-1) ?? 1),
      ...(widths.length > 1 && {
        srcset: widths.map((width) => `${at(width)} ${width}w`).join(', '),
      }),
      ...SIZES[role],
    }),
  };
  return {
    ...node,
    attributes,
    children: node.children.map((child) =>
      typeof child === 'string' ? child : offered(child, { slug, widths, role }, classes),
    ),
  };
}

/** Every picture that stands on the pages, each file once, with its widths and its elements. */
export function pictureFiles(document: StyleDocument, derived: Derived): readonly PictureFile[] {
  const build: Build = builder(document, derived);
  const naming = document.tokens.sheet ?? {};
  const uses = usesOf(document);
  const byFile = new Map<string, Use[]>();
  for (const use of uses)
    byFile.set(use.picture.file, [...(byFile.get(use.picture.file) ?? []), use]);
  const slugOf = slugs(
    [...byFile].map(([file, [first]]) => [file, first?.picture.name ?? 'picture'] as const),
  );
  return [...byFile].flatMap(([stored, own]) => {
    const [first] = own;
    if (!first) return [];
    const slug = slugOf.get(stored) ?? stored;
    const widths = srcsetWidths(first.picture.width);
    const markups = own.map(({ picture, role }) => ({
      role,
      markup: writeHtml(
        offered(pictureIn(build, role, picture), { slug, widths, role }, (names) =>
          namedClasses(names, naming),
        ),
        (svg) => svg,
      ),
    }));
    const distinct = new Map(markups.map((use) => [use.markup, use]));
    return [{ stored, slug, name: first.picture.name, widths, uses: [...distinct.values()] }];
  });
}

const codeBlock = (html: string): string => ['```html', html, '```'].join('\n');

/** The markup of every picture, with the widths that it is offered in. */
export function writePictures(document: StyleDocument, derived: Derived): string {
  const files = pictureFiles(document, derived);
  return [
    '# Pictures',
    '',
    files.length === 0
      ? 'No picture stands on a page.'
      : `The files are in pictures.zip, as WebP; width and height are the picture’s own, so that nothing moves while it loads.`,
    ...files.flatMap(({ slug, widths, uses }) => [
      '',
      `## ${slug}`,
      '',
      `${widths.join(', ')} px wide.`,
      ...uses.flatMap(({ role, markup }) => ['', `As ${role}:`, '', codeBlock(markup)]),
    ]),
    '',
  ].join('\n');
}
