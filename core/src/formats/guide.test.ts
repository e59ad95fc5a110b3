import { beforeAll, describe, expect, test } from '@jest/globals';
import { COMPONENTS } from '../components/components.ts';
import { derive } from '../derive/derive.ts';
import { jsonOf, patched, type Patch } from '../system/patch.ts';
import { sectionDrawing } from '../system/label-places.ts';
import { sampleDocument } from '../system/sample.ts';
import type { StyleDocument } from '../system/document.ts';
import { propertyOf } from '../tokens/token.ts';
import { drawnFiles } from './drawn-files.ts';
import { APPROACH, writeGuide, type GuideParts, type WrittenGuide } from './guide.ts';

const changed = (patch: Patch, from = sampleDocument()): StyleDocument => {
  const result = patched(from, patch);
  if (!result.ok) throw new Error(JSON.stringify(result.problems));
  return result.document;
};

const PARTS: GuideParts = {
  drawings: [
    {
      drawing: 'card usual',
      theme: 'light',
      path: 'drawings/card-usual.svg',
      words: ['inset 16 "all"'],
    },
    {
      drawing: 'card usual',
      theme: 'dark',
      path: 'drawings/card-usual-dark.svg',
      words: ['inset 16 "all"'],
    },
    {
      drawing: sectionDrawing('home', 'hero'),
      theme: 'light',
      path: 'drawings/home-hero.svg',
      words: ['gap 24 <between>'],
    },
  ],
  assets: [
    { path: 'assets/icons/boat.svg', kind: 'icons', name: 'boat.svg' },
    { path: 'fonts/face.woff2', kind: 'fonts', name: 'face.woff2' },
  ],
  decisions: '<h2>Faces</h2>',
  state: 'Release 1.1.0.',
  safe: (svg: string) => svg.replaceAll('<script', '<!--'),
};

const guideOf = (document: StyleDocument): WrittenGuide =>
  writeGuide(document, derive(document), PARTS);
const textOf = ({ files }: WrittenGuide, path: string): string => {
  const file = files.find((one) => one.path === path);
  if (!file) throw new Error(`there is no ${path}`);
  return file.text;
};

describe('a guide', () => {
  let all: WrittenGuide;
  beforeAll(() => {
    all = guideOf(sampleDocument());
  });

  test('has a page for every page of the site that is shown and every component that is drawn', () => {
    const paths = all.files.map(({ path }) => path);
    expect(new Set(paths).size).toBe(paths.length);
    for (const page of sampleDocument().content.pages.order)
      expect(paths).toContain(`pages/${page}.html`);
    for (const { id, variants = [] } of COMPONENTS)
      expect([id, paths.includes(`components/${id}.html`)]).toEqual([id, variants.length > 0]);
  });

  test('leads nowhere but to what lies beside it', () => {
    const there = new Set([
      ...all.files.map(({ path }) => path),
      ...all.pictures,
      ...PARTS.drawings.map(({ path }) => path),
      ...PARTS.assets.map(({ path }) => path),
      ...['tokens.css', 'tokens.json', 'handoff.md', APPROACH],
    ]);
    const ids = new Set(
      [...textOf(all, 'tokens.html').matchAll(/ id="([^"]+)"/g)].map(([, id]) => id),
    );
    const lost = all.files
      .filter(({ path }) => path.endsWith('.html'))
      .flatMap(({ path, text }) =>
        [...text.matchAll(/ (?:href|src)="([^"]+)"/g)].flatMap(([, address = '']) => {
          const [file = '', part] = address.split('#');
          if (file === '') return [];
          const whole = new URL(file, `file:///${path}`).pathname.slice(1);
          const isThere =
            there.has(whole) && (part === undefined || ids.has(decodeURIComponent(part)));
          return isThere ? [] : [`${path}: ${address}`];
        }),
      );
    expect(lost).toEqual([]);
    expect(all.files.map(({ text }) => text).join('')).not.toContain('/proof/');
  });

  test('shows each state of a component, its drawing, HTML, rules and tokens', () => {
    const text = textOf(all, 'components/button.html');
    for (const words of ['at rest', 'pointed at', 'pressed', 'focused', 'data-drawn="hover"'])
      expect(text).toContain(words);
    expect(text).toContain('&lt;button');
    expect(text).toContain('.button {');
    expect(text).toContain('tokens.html#button.background');
    expect(textOf(all, 'guide.css')).toContain('[data-drawn~="hover"]');
    const card = textOf(all, 'components/card.html');
    expect(card).toContain('src="../drawings/card-usual.svg"');
    expect(card).toContain('alt="inset 16 &quot;all&quot;"');
    // That of another theme is there to be opened.
    expect(card).toMatch(/<details[^>]*><summary[^>]*>dark<[^]*card-usual-dark\.svg/);
  });

  test('has the sections of a page that are drawn, and none of a page of which none is', () => {
    const text = textOf(all, 'sections/home.html');
    expect(text).toContain('src="../drawings/home-hero.svg"');
    expect(text).toContain('alt="gap 24 &lt;between&gt;"');
    expect(text).toContain('href="../pages/home.html"');
    expect(text.match(/<h2 /g)).toHaveLength(1);
    expect(textOf(all, 'index.html')).toContain('href="sections/home.html"');
    const others = sampleDocument().content.pages.order.filter((id) => id !== 'home');
    for (const id of others)
      expect(all.files.map(({ path }) => path)).not.toContain(`sections/${id}.html`);
  });

  test('has every token with its values, those of both themes once where they are one', () => {
    const text = textOf(all, 'tokens.html');
    const { tokens } = derive(sampleDocument());
    const rows = text.match(/<tr class="g" id=/g) ?? [];
    expect(rows).toHaveLength(tokens.length);
    for (const token of tokens)
      expect(text).toContain(`<code class="g">${propertyOf(token)}</code>`);
    const page = /id="color.page">.*?<\/tr>/.exec(text)?.[0] ?? '';
    expect(page.match(/<td/g)).toHaveLength(3);
    const space = /id="step.m">.*?<\/tr>/.exec(text)?.[0] ?? '';
    expect(space).toContain('colspan="2"');
  });

  test('runs no script but for copying', () => {
    for (const { path, text } of all.files) {
      const scripts = text.match(/<script[^>]*>/g) ?? [];
      const isOwn = path.endsWith('.html') && !path.startsWith('pages/');
      expect([path, scripts.length]).toEqual([path, isOwn ? 1 : 0]);
      expect(text).not.toMatch(/ on[a-z]+="/);
    }
  });

  test('names classes and properties as they are called in the files', () => {
    const named = guideOf(
      changed([{ op: 'add', path: '/tokens/sheet', value: { classes: 'bw', properties: 'bw' } }]),
    );
    expect(textOf(named, 'pages/home.html')).toContain('class="bw-site');
    expect(textOf(named, 'components/button.html')).toContain('.bw-button');
    expect(textOf(named, 'tokens.html')).toContain('--bw-color-page');
    expect(textOf(named, 'index.html')).toContain('bw-on-page');
  });

  test('hostile names and words are words in it', () => {
    const hostile = '"><script>alert(1)</script>';
    const bad = guideOf(
      changed([
        { op: 'replace', path: '/name', value: hostile },
        { op: 'replace', path: '/description', value: hostile },
        { op: 'replace', path: '/brief/purpose', value: hostile },
        { op: 'replace', path: '/content/pages/items/home/name', value: hostile },
      ]),
    );
    for (const { text } of bad.files) expect(text).not.toContain('<script>');
    expect(textOf(bad, 'index.html')).toContain('&lt;script&gt;alert(1)');
  });

  test('pages that are switched off are not in it', () => {
    const { pages } = sampleDocument().content;
    const two = { order: [...pages.order, 'other'], items: { ...pages.items } };
    const [first = ''] = pages.order;
    const less = guideOf(
      changed([
        {
          op: 'replace',
          path: '/content/pages',
          value: jsonOf({
            ...two,
            items: { ...two.items, other: { ...two.items[first], isOff: true } },
          }),
        },
      ]),
    );
    const paths = less.files.map(({ path }) => path).filter((path) => path.startsWith('pages/'));
    expect(paths).toEqual(pages.order.map((id) => `pages/${id}.html`));
  });
});

describe('drawings as files of their own', () => {
  const filesOf = (document: StyleDocument) => drawnFiles(document, derive(document));

  const withLogo = (logo: Readonly<Record<string, string>>): StyleDocument => {
    const { light: _light, dark: _dark, one: _one, ...rest } = sampleDocument().layout.logo;
    return changed([{ op: 'replace', path: '/layout/logo', value: { ...rest, ...logo } }]);
  };

  test('a mark stands in the colors of each theme where there is no logo', () => {
    const document = withLogo({});
    const { colors } = derive(document);
    const logos = filesOf(document).filter(({ kind }) => kind === 'logo');
    expect(logos.map(({ file }) => file)).toEqual(['logo-light.svg', 'logo-dark.svg']);
    expect(logos[1]?.svg).toContain(`fill="${colors.get('action')?.colors.dark ?? 'none'}"`);
  });

  test('a logo stands as it came, once where both themes have the same', () => {
    const svg = '<svg viewBox="0 0 2 2"><path d="M0 0h2v2z"/></svg>';
    const only = filesOf(withLogo({ light: svg }));
    expect(only.filter(({ kind }) => kind === 'logo')).toEqual([
      { kind: 'logo', name: 'logo', file: 'logo.svg', svg },
    ]);
    const all = filesOf(withLogo({ light: svg, dark: `${svg} `, one: svg }));
    expect(all.filter(({ kind }) => kind === 'logo').map(({ file }) => file)).toEqual([
      'logo-light.svg',
      'logo-dark.svg',
      'logo-one-color.svg',
    ]);
  });

  test('artwork takes its mapped fills from the roles; what is locked stays as it came', () => {
    const artwork = {
      name: 'A boat',
      svg: '<svg><path fill="#112233" stroke="#445566"/></svg>',
      fills: { '#112233': 'action' },
      locked: false,
    };
    const document = changed([{ op: 'add', path: '/content/artwork', value: artwork }]);
    const { colors } = derive(document);
    const painted = filesOf(document).filter(({ kind }) => kind === 'artwork');
    expect(painted.map(({ file }) => file)).toEqual(['artwork-light.svg', 'artwork-dark.svg']);
    expect(painted[0]?.svg).toContain(`fill="${colors.get('action')?.colors.light ?? ''}"`);
    expect(painted[0]?.svg).toContain('stroke="#445566"');
    const locked = changed(
      [{ op: 'replace', path: '/content/artwork/locked', value: true }],
      document,
    );
    expect(filesOf(locked).filter(({ kind }) => kind === 'artwork')).toEqual([
      expect.objectContaining({ file: 'artwork.svg', svg: artwork.svg }),
    ]);
  });

  test('each pattern has a file, with the drawing that the sheet has', () => {
    const document = sampleDocument();
    const derived = derive(document);
    const patterns = filesOf(document).filter(({ kind }) => kind === 'pattern');
    expect(patterns.length).toBeGreaterThanOrEqual(derived.patterns.length);
    for (const { svg } of derived.patterns)
      expect(patterns.map((one) => one.svg)).toContain(svg.light);
  });
});
