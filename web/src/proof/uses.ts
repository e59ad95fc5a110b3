import type { Finding } from '@garnish/core/checks/finding';
import { checkUses } from '@garnish/core/checks/measured-uses';
import { modesOf } from '@garnish/core/system/themes';
import { classesIn, writeHtml, type ProofElement } from '@garnish/core/proof/node';
import { specimenRules } from '@garnish/core/proof/sheet/manners';
import { sheetPage } from '@garnish/core/proof/sheet/sheet';
import { sitePage } from '@garnish/core/proof/site';
import { standingInSteps, type StandingPage } from '@garnish/core/proof/standing';
import { inOrder } from '@garnish/core/system/document';
import { useEffect } from 'react';
import { useStore } from '../system/system-context.ts';
import type { View } from '../system/views.ts';
import { sanitizedSvg } from '../ui/sanitized-svg.ts';
import { breathe, inBreaths } from '../ui/in-breaths.ts';

/** So long nothing has to have changed before tokens are counted, in ms: everything else comes first. */
const SETTLE_MS = 1500;

/** A page in a document that nothing shows, as the browser reads it: made, written and read one after the other. */
async function standingPage(make: () => ProofElement): Promise<StandingPage> {
  await breathe();
  const node = make();
  await breathe();
  const html = writeHtml(node, sanitizedSvg);
  await breathe();
  const page = document.implementation.createHTMLDocument('');
  page.body.innerHTML = html;
  return { page, own: { key: 'specimens', rules: specimenRules(classesIn(node)) } };
}

/** Every page of the site that is shown, and the sheet of parts, one after the other. */
async function* pagesOf({ document: system, derived }: View): AsyncGenerator<StandingPage> {
  for (const [id, { isOff }] of inOrder(system.content.pages))
    if (isOff !== true) yield standingPage(() => sitePage(system, derived, id));
  yield standingPage(() => sheetPage(system, derived, modesOf(derived.themes)[0]));
}

/** Names and pages, which alone say what stands where: values do not. */
const namesOf = ({ document: { content }, derived }: View): readonly unknown[] => [
  content,
  derived.selectors,
  ...derived.tokens.map(({ path }) => path),
];

/** Counts the tokens that stand on no page whenever names or pages have changed; shows nothing. */
export default function Uses() {
  const store = useStore();
  useEffect(() => {
    let known: readonly unknown[] = [];
    let found: readonly Finding[] = [];
    let timer: ReturnType<typeof setTimeout> | undefined;
    let seen: View | undefined;
    const count = async (view: View): Promise<void> => {
      const now = namesOf(view);
      if (known.length === now.length && known.every((one, index) => one === now[index])) {
        store.found('uses', found);
        return;
      }
      const pages: StandingPage[] = [];
      for await (const page of pagesOf(view)) {
        if (seen !== view) return;
        pages.push(page);
      }
      await breathe();
      const standing = await inBreaths(standingInSteps(pages, view.derived), () => seen !== view);
      if (!standing) return;
      known = now;
      found = checkUses(
        view.derived.tokens.map(({ id }) => id),
        standing,
      );
      store.found('uses', found);
    };
    const follow = (): void => {
      const { decided } = store.state();
      if (decided === seen) return;
      seen = decided;
      clearTimeout(timer);
      timer = setTimeout(() => void count(decided), SETTLE_MS);
    };
    follow();
    const unsubscribe = store.subscribe(follow);
    return () => {
      unsubscribe();
      clearTimeout(timer);
      seen = undefined;
    };
  }, [store]);
  return null;
}
