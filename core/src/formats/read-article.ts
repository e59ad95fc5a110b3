import { fromHtml } from 'hast-util-from-html';
import { toMdast } from 'hast-util-to-mdast';
import type { Nodes, RootContent } from 'mdast';
import { fromMarkdown } from 'mdast-util-from-markdown';
import { gfmFootnoteFromMarkdown } from 'mdast-util-gfm-footnote';
import { toString } from 'mdast-util-to-string';
import { gfmFootnote } from 'micromark-extension-gfm-footnote';
import type { ArticlePart } from '../proof/sections/article.ts';
import { listed } from '../proof/sections/kind.ts';
import { LONGEST_WORDS } from '../system/schema-parts.ts';

export type ArticleReading =
  | {
      readonly ok: true;
      readonly title: string;
      readonly parts: readonly ArticlePart[];
      readonly said: string;
    }
  | { readonly ok: false; readonly problem: string };

/** More parts than anybody reads in one sitting. */
const MOST_PARTS = 400;

const wordsOf = (node: Nodes): string =>
  toString(node, { includeImageAlt: false, includeHtml: false })
    .replaceAll(/\s+/g, ' ')
    .trim()
    .slice(0, LONGEST_WORDS);

const said = (text: string): readonly string[] => (text === '' ? [] : [text]);

/** What a block becomes; what only arranges or acts becomes nothing. */
function partsOf(node: RootContent): readonly ArticlePart[] {
  switch (node.type) {
    case 'heading':
      return said(wordsOf(node)).map((text) => ({
        is: 'heading',
        level: Math.min(6, Math.max(2, node.depth)),
        text,
      }));
    case 'paragraph': {
      const [only] = node.children;
      if (only?.type === 'image' && node.children.length === 1)
        return said(only.alt ?? '').map((caption) => ({ is: 'figure', caption }));
      return said(wordsOf(node)).map((text) => ({ is: 'paragraph', text }));
    }
    case 'list': {
      const lines = node.children.map(wordsOf).filter((line) => line !== '');
      return lines.length === 0
        ? []
        : [{ is: node.ordered === true ? 'numbers' : 'bullets', lines: listed(...lines) }];
    }
    case 'blockquote': {
      const texts = node.children.map(wordsOf).filter((text) => text !== '');
      const last = texts.at(-1) ?? '';
      // A last line that begins with a dash says who said it.
      const source = texts.length > 1 && /^[—–-]/.test(last) ? last.replace(/^[—–-]+\s*/, '') : '';
      const text = (source === '' ? texts : texts.slice(0, -1)).join(' ').slice(0, LONGEST_WORDS);
      return said(text).map((words) => ({ is: 'quote', text: words, source }));
    }
    case 'code':
      return said(node.value.slice(0, LONGEST_WORDS)).map((text) => ({ is: 'code', text }));
    case 'footnoteDefinition':
      return said(wordsOf(node)).map((text) => ({ is: 'footnote', text }));
    case 'table':
      return said(node.children.map((row) => row.children.map(wordsOf).join(', ')).join('; ')).map(
        (text) => ({ is: 'paragraph', text: text.slice(0, LONGEST_WORDS) }),
      );
    default:
      return [];
  }
}

function reading(tree: Nodes): ArticleReading {
  const blocks = 'children' in tree ? (tree.children as readonly RootContent[]) : [];
  const [first] = blocks;
  const title = first?.type === 'heading' && first.depth === 1 ? wordsOf(first) : '';
  const all = (title === '' ? blocks : blocks.slice(1)).flatMap(partsOf);
  const parts = all.slice(0, MOST_PARTS);
  if (parts.length === 0 && title === '')
    return { ok: false, problem: 'There are no words in this. Nothing was changed.' };
  const left = all.length - parts.length;
  return {
    ok: true,
    title,
    parts,
    said: `${parts.length} parts came in${left > 0 ? `; ${left} did not, there are too many` : ''}.`,
  };
}

/** An article from Markdown (CommonMark with footnotes): its words by their kind; markup in it is left out. */
export const readMarkdown = (text: string): ArticleReading =>
  reading(
    fromMarkdown(text, {
      extensions: [gfmFootnote()],
      mdastExtensions: [gfmFootnoteFromMarkdown()],
    }),
  );

/**
 * An article from HTML: its words by their kind. Nothing of the markup is kept, so that nothing in it can act,
 * load or look; scripts, styles and whatever is not words are left out.
 */
export const readHtml = (html: string): ArticleReading =>
  reading(toMdast(fromHtml(html, { fragment: true })));

/** Whether a text is meant as HTML: it begins with an element. */
export const isHtml = (text: string): boolean =>
  /^\s*(?:<!doctype|<!--|<[a-z][\w-]*(?:\s|>|\/>))/i.test(text);
