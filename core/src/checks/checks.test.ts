import { describe, expect, test } from '@jest/globals';
import { contrastRatio } from '../color/contrast.ts';
import { derive } from '../derive/derive.ts';
import type { StyleDocument } from '../system/document.ts';
import { patched, type Patch } from '../system/patch.ts';
import { sampleDocument, sampleFamily } from '../system/sample.ts';
import { jsonOf } from '../system/patch.ts';
import { ratioText } from './judge.ts';
import { findingsOf } from './checks.ts';
import { isAccepted } from './order.ts';
import type { Finding } from './finding.ts';
import { smallerStretch } from './heading-order.ts';

const findings = (document: StyleDocument): readonly Finding[] =>
  findingsOf(document, derive(document));

const withChanges = (...patch: Patch): StyleDocument => sampleDocument(patch);

/** The document after every repair that is on offer, one after the other. */
function repaired(document: StyleDocument): StyleDocument {
  let here = document;
  for (let round = 0; round < 20; round += 1) {
    const next = findings(here).find(({ repair }) => repair)?.repair;
    if (!next) return here;
    const result = patched(here, next.patch);
    if (!result.ok) throw new Error(JSON.stringify(result.problems));
    here = result.document;
  }
  return here;
}

const ids = (document: StyleDocument): string[] => findings(document).map(({ id }) => id);

const own = (path: string, value: string): Patch[number] => ({
  op: 'replace',
  path,
  value: { kind: 'own', value },
});

test('a new system has nothing to repair', () => {
  expect(ids(sampleDocument())).toEqual([]);
});

describe('contrast', () => {
  const pale = withChanges(own('/color/roles/items/quiet/light', '#a09a90'));

  test('finds every use of a color that falls short, with its figures', () => {
    const found = findings(pale).filter(({ id }) => id.startsWith('contrast:'));
    expect(found.map(({ id }) => id)).toEqual([
      'contrast:lead-page:light',
      'contrast:small-page:light',
      'contrast:caption-page:light',
      'contrast:small-surface:light',
      'contrast:quiet:raised:light',
    ]);
    expect(found[0]?.figures).toMatch(/^2\.\d\d of 4\.50, at 19\.2 to 22\.5 px, weight 400$/);
  });

  test('offers the nearest passing color, which ends the finding', () => {
    expect(ids(repaired(pale))).toEqual([]);
  });

  test('judges large text by 3, and the same color as small text by 4.5', () => {
    const gray = withChanges(own('/color/roles/items/text/light', '#8a8a8a'));
    const found = ids(gray);
    expect(found).toContain('contrast:body-page:light');
    expect(found).not.toContain('contrast:h1-page:light');
    expect(contrastRatio('#8a8a8a', '#ffffff')).toBeGreaterThan(3);
  });

  test('asks for more where the brief asks for AAA', () => {
    const strict = withChanges({ op: 'replace', path: '/brief/conformance', value: 'AAA' });
    expect(ids(strict).length).toBeGreaterThan(0);
  });

  test('shows a ratio cut, never rounded up to a pass', () => {
    expect(ratioText(4.4999)).toBe('4.49');
  });
});

describe('weights', () => {
  const heading = (id: string): Patch[number] => ({
    op: 'replace',
    path: '/fonts/roles/heading/family',
    value: jsonOf(sampleFamily(id)),
  });

  test('one finding speaks of every role that takes its weight from a face', () => {
    const found = findings(withChanges(heading('dm-serif-display')));
    expect(found.map(({ id }) => id)).toEqual(['weight:heading']);
    expect(found[0]?.title).toContain('h1, h2, h3, h4, h5, h6, label');
  });

  test('the nearest weight ends it, and is what is emitted meanwhile', () => {
    const document = withChanges(heading('dm-serif-display'));
    expect(derive(document).styles.get('h1')?.weight).toBe(400);
    expect(ids(repaired(document))).toEqual([]);
  });

  test('a role with a weight of its own has a finding of its own', () => {
    const document = withChanges(heading('arvo'), {
      op: 'add',
      path: '/type/roles/items/h1/weight',
      value: 900,
    });
    expect(ids(document)).toEqual(['weight:h1']);
    expect(ids(repaired(document))).toEqual([]);
  });

  test('a text face without italic is told where the content has emphasis', () => {
    const upright: Patch[number] = {
      op: 'replace',
      path: '/fonts/roles/text/family',
      value: jsonOf(sampleFamily('encode-sans')),
    };
    expect(ids(withChanges(upright))).toEqual(['italic:text']);
    expect(
      ids(
        withChanges(upright, {
          op: 'replace',
          path: '/content/pages/items/home/sections/items/story/aside',
          value: '',
        }),
      ),
    ).toEqual([]);
  });
});

describe('heading order', () => {
  const h2Down = withChanges({ op: 'replace', path: '/type/roles/items/h2/place', value: 1 });

  test('a level smaller than the one below it is found, with the widths', () => {
    const [found] = findings(h2Down);
    expect(found?.id).toBe('order:h2');
    expect(found?.title).toBe('h2 is smaller than h3 at every width');
  });

  test('the repair ends it', () => {
    expect(ids(repaired(h2Down))).toEqual(['close:h2']);
  });

  test('two sizes that cross are told apart exactly where they cross', () => {
    const style = derive(sampleDocument()).styles.get('h1');
    if (!style) throw new Error('no h1');
    const flat = {
      ...style,
      size: { ...style.size, restRem: 2, clamps: [], minRem: 2, maxRem: 2 },
    };
    // 1 rem + 2 vi passes 2 rem at 800 px: arithmetic.
    const ramp = { minRem: 1, maxRem: 3, baseRem: 1, slope: 2 };
    const steep = { ...style, size: { ...style.size, restRem: 0, clamps: [ramp], ...ramp } };
    expect(smallerStretch(steep, flat)?.toPx).toBeCloseTo(800, 6);
    expect(smallerStretch(flat, steep)?.fromPx).toBeCloseTo(800, 6);
    expect(smallerStretch(flat, flat)).toBeUndefined();
  });
});

describe('body size', () => {
  test('under 16 px is found at the end where it is, and repaired there', () => {
    const small = withChanges({
      op: 'replace',
      path: '/type/anchors/items/narrow/base',
      value: 15,
    });
    const [found] = findings(small);
    expect(found?.id).toBe('size:body');
    expect(found?.repair?.label).toBe('Base to 16 px');
    expect(ids(repaired(small))).toEqual([]);
  });

  test('16 px exactly is enough', () => {
    expect(ids(sampleDocument())).not.toContain('size:body');
  });
});

test('what was accepted with a reason is known as such', () => {
  const document = withChanges(own('/color/roles/items/quiet/light', '#a09a90'), {
    op: 'add',
    path: '/accepted/contrast:lead-page:light',
    value: { reason: 'an exception' },
  });
  const found = findings(document);
  expect(found.filter((finding) => isAccepted(document, finding))).toHaveLength(1);
  expect(found.length).toBe(5);
});

test('what is to be repaired comes before what is to be looked at', () => {
  const document = withChanges(
    {
      op: 'replace',
      path: '/fonts/roles/text/family',
      value: jsonOf(sampleFamily('encode-sans')),
    },
    { op: 'replace', path: '/type/anchors/items/narrow/base', value: 15 },
  );
  expect(findings(document).map(({ severity }) => severity)).toEqual(['repair', 'look']);
});

describe('faces', () => {
  const text = (id: string): Patch[number] => ({
    op: 'replace',
    path: '/fonts/roles/text/family',
    value: jsonOf(sampleFamily(id)),
  });

  test('digits of unequal width are told where the content has a table of figures', () => {
    expect(ids(withChanges(text('fraunces')))).toContain('figures:text');
    const bare: Patch[number] = {
      op: 'replace',
      path: '/content/pages/items/home/sections/items/table/rows',
      value: { order: [], items: {} },
    };
    expect(ids(withChanges(text('fraunces'), bare))).not.toContain('figures:text');
  });

  test('a language that a face cannot write is told, with the letters that it lacks', () => {
    const polish: Patch[number] = { op: 'replace', path: '/brief/languages', value: ['en', 'ru'] };
    const found = findings(withChanges(polish)).map(({ id, figures }) => [id, figures]);
    expect(found).toEqual([['language:heading:ru', 'It lacks the script.']]);
  });

  test('small letters of clearly different height are told', () => {
    expect(ids(withChanges(text('cormorant-garamond')))).toContain('x-height');
    expect(ids(withChanges(text('noto-serif')))).not.toContain('x-height');
  });

  test('more bytes than the brief allows are told', () => {
    const tight: Patch[number] = { op: 'replace', path: '/brief/fontBudgetKb', value: 20 };
    expect(ids(withChanges(tight))).toEqual(['bytes']);
  });

  test('files that forbid embedding are told, with the confirmation', () => {
    const locked = {
      ...sampleFamily('literata'),
      embedding: 'restricted',
      confirmed: 'The license allows it.',
    };
    const [found] = findings(
      withChanges({ op: 'replace', path: '/fonts/roles/text/family', value: jsonOf(locked) }),
    );
    expect([found?.id, found?.figures]).toEqual([
      'embedding:text:literata',
      'The license allows it.',
    ]);
  });

  test('thin strokes in the smallest text are told, in px', () => {
    const found = findings(withChanges(text('cormorant-garamond')));
    expect(found.find(({ id }) => id === 'small:small')?.figures).toMatch(/stems 0\.7\d px/);
  });
});

describe('colors that look alike to some', () => {
  const twoColors = (light: string, other: string) =>
    sampleDocument([
      own('/color/roles/items/action/light', light),
      own('/color/roles/items/link/light', other),
    ]);

  test('are found, with the eyes that confuse them', () => {
    // A red and a green of the same lightness to a deutan eye (Machado and others 2009).
    const document = twoColors('#b5561b', '#6f7a10');
    const found = findings(document).find(({ id }) => id === 'alike:link:action:light');
    expect(found?.figures).toMatch(/deutan/);
  });

  test('are not found where lightness tells them apart, or where they are meant to be alike', () => {
    expect(ids(twoColors('#7a1010', '#7fb070'))).not.toContain('alike:link:action:light');
    expect(ids(twoColors('#7a1010', '#7d1412'))).not.toContain('alike:link:action:light');
  });
});
