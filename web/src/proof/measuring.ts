import type { Finding } from '@garnish/core/checks/finding';
import { checkPages } from '@garnish/core/checks/page/page-checks';
import { STRESSES, type MeasuredPage } from '@garnish/core/checks/page/measured-page';
import { REFLOW_PX } from '@garnish/core/checks/page/reflow';
import { inOrder } from '@garnish/core/system/document';
import type { Token } from '@garnish/core/tokens/token';
import type { View } from '../system/views.ts';
import { inHiddenPage } from './hidden-page.ts';
import { tell } from './last-measured.ts';
import { breathe, inBreaths } from '../ui/in-breaths.ts';
import { measureLayout } from './measure-layout.ts';
import { stressed } from './stressed.ts';

const WIDE_PX = 1440;
/** A longer page, in elements, is not put under stress: its parts stand among all components, and keys come first. */
const LONG_PAGE = 1500;

/** Types of tokens that only paint: whatever they are, nothing on the page stands elsewhere. */
const PAINT: ReadonlySet<string> = new Set(['color', 'gradient', 'shadow']);

/** What the layout of a page follows from. */
interface LayoutSources {
  readonly tokens: readonly Token[];
  readonly others: readonly unknown[];
}

const sourcesOf = ({ document, derived }: View, page: string): LayoutSources => {
  const { pages, ...site } = document.content;
  return {
    tokens: derived.tokens.filter(({ type }) => !PAINT.has(type)),
    others: [
      derived.rules,
      derived.faces,
      document.name,
      ...Object.values(site),
      pages.items[page],
      document.color.veils,
      document.brief.languages,
      document.layout,
      document.shape.cards,
    ],
  };
};

const areSame = (one: readonly unknown[], other: readonly unknown[]): boolean =>
  one.length === other.length && one.every((thing, index) => thing === other[index]);

const isSameLayout = (one: LayoutSources, other: LayoutSources): boolean =>
  areSame(one.others, other.others) && areSame(one.tokens, other.tokens);

const widthsOf = ({ document }: View): readonly number[] =>
  [
    ...new Set([
      REFLOW_PX,
      ...inOrder(document.layout.breakpoints).map(([, { width }]) => width),
      WIDE_PX,
    ]),
  ].sort((one, other) => one - other);

/** What was measured of a page, and what that followed from. */
interface Known {
  readonly of: LayoutSources;
  readonly pages: readonly MeasuredPage[];
  readonly ms: number;
}

/**
 * Measures every page that is shown in one hidden frame that stays; a page whose layout follows from the same as
 * before is not measured again.
 */
export function measurer() {
  const known = new Map<string, Known>();
  const measured = async (
    view: View,
    id: string,
    isOff: () => boolean,
  ): Promise<Known | undefined> => {
    const sources = sourcesOf(view, id);
    const before = known.get(id);
    if (before && isSameLayout(before.of, sources)) return before;
    return inHiddenPage(async (page) => {
      if (isOff()) return undefined;
      page.show(view, id);
      const pages: MeasuredPage[] = [];
      let ms = 0;
      for (const width of widthsOf(view)) {
        await page.resize(width);
        const started = performance.now();
        const found = await measureLayout(page.document, isOff);
        if (!found) return undefined;
        ms += performance.now() - started;
        pages.push({ ...found, page: id });
      }
      const now = { of: sources, pages, ms };
      known.set(id, now);
      return now;
    });
  };
  /** What is known of pages under stress, by id; every component beside each other under no id of a page. */
  const held = new Map<string, Known>();
  const heldOf = async (
    view: View,
    id: string | undefined,
    isOff: () => boolean,
  ): Promise<readonly MeasuredPage[] | undefined> => {
    const key = id ?? '';
    const sources = sourcesOf(view, key);
    const before = held.get(key);
    if (before && isSameLayout(before.of, sources)) return before.pages;
    return inHiddenPage(async (page) => {
      if (isOff()) return undefined;
      const plain = id === undefined ? undefined : known.get(id)?.pages.at(-1);
      if ((plain?.boxes.length ?? 0) > LONG_PAGE) return [];
      if (id === undefined) page.showEvery(view);
      else page.show(view, id);
      await breathe();
      const where = id === undefined ? { isSheet: true as const } : { page: id };
      const pages: MeasuredPage[] = [];
      for (const stress of [undefined, ...STRESSES]) {
        // As they are, pages were measured before.
        if (stress === undefined && id !== undefined) continue;
        await page.resize(stress === 'twice as large' ? WIDE_PX : REFLOW_PX);
        const relieve = stress && stressed(page.document, stress);
        await breathe();
        const found = await measureLayout(page.document, isOff);
        relieve?.();
        if (!found) return undefined;
        pages.push({ ...found, ...where, ...(stress && { stress }) });
      }
      held.set(key, { of: sources, pages, ms: 0 });
      return pages;
    });
  };
  return {
    /** Every component and every page that is shown under each stress. */
    async stressed(view: View, isOff: () => boolean): Promise<readonly MeasuredPage[] | undefined> {
      const all: MeasuredPage[] = [];
      const shown = inOrder(view.document.content.pages).filter(([, { isOff: off }]) => !off);
      for (const id of [undefined, ...shown.map(([one]) => one)]) {
        const pages = await heldOf(view, id, isOff);
        if (!pages) return undefined;
        all.push(...pages);
      }
      return all;
    },
    /** The pages of some ids, or all; those among them that are the same as before are not measured again. */
    async pagesOf(
      view: View,
      isOff: () => boolean,
      only?: string,
    ): Promise<readonly MeasuredPage[] | undefined> {
      const shown = inOrder(view.document.content.pages).filter(
        ([id, { isOff: off }]) => !off && (only === undefined || id === only),
      );
      const all: MeasuredPage[] = [];
      let ms = 0;
      for (const [id] of shown) {
        const one = await measured(view, id, isOff);
        if (!one) return undefined;
        all.push(...one.pages);
        ms += one.ms;
      }
      for (const id of known.keys())
        if (!Object.hasOwn(view.document.content.pages.items, id)) known.delete(id);
      const widths = widthsOf(view);
      const elements = all
        .filter(({ widthPx }) => widthPx === widths.at(-1))
        .reduce((sum, { boxes }) => sum + boxes.length, 0);
      tell({ elements, widths, ms });
      return all;
    },
  };
}

export type Measurer = ReturnType<typeof measurer>;

/** What is found on measured pages, a check at a time; nothing where it was called off. */
export async function judged(
  pages: readonly MeasuredPage[] | undefined,
  { document, derived }: View,
  isOff: () => boolean,
): Promise<readonly Finding[] | undefined> {
  if (!pages || isOff()) return undefined;
  return inBreaths(checkPages(pages, document, derived), isOff);
}
