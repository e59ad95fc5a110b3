import { blockCss, sheetCss, type SheetBlock } from '@garnish/core/formats/sheet';

type LiveRule = SheetBlock['rules'][number];

const isStyleRule = (rule: CSSRule | undefined): rule is CSSStyleRule =>
  rule !== undefined && 'style' in rule && 'selectorText' in rule;

/** The declarations of a rule that are other than before; undefined where only a new rule will do. */
function changes(
  before: LiveRule,
  now: LiveRule,
): readonly (readonly [string, string])[] | undefined {
  if (before.selector !== now.selector || before.declarations.length !== now.declarations.length)
    return undefined;
  const found: (readonly [string, string])[] = [];
  for (const [index, declaration] of now.declarations.entries()) {
    const [property, value] = declaration;
    const earlier = before.declarations[index];
    if (earlier === declaration) continue;
    if (earlier?.[0] !== property) return undefined;
    if (earlier[1] === value) continue;
    // Custom properties take any value; of others a wrong one would be ignored instead of dropped.
    if (!property.startsWith('--')) return undefined;
    found.push(declaration);
  }
  return found;
}

/** Writes the single properties of a block that differ into the rules that stand; false where that does not do. */
function update(live: CSSRule | undefined, before: SheetBlock, now: SheetBlock): boolean {
  if (before.within !== now.within || before.rules.length !== now.rules.length) return false;
  const found = now.rules.map((rule, index) => {
    const earlier = before.rules[index];
    return earlier && changes(earlier, rule);
  });
  const rules =
    now.within === undefined
      ? [live]
      : live && 'cssRules' in live
        ? [...(live as CSSGroupingRule).cssRules]
        : [];
  if (
    found.some((one, index) => one === undefined || (one.length > 0 && !isStyleRule(rules[index])))
  )
    return false;
  for (const [index, own] of found.entries()) {
    const rule = rules[index];
    if (isStyleRule(rule))
      for (const [property, value] of own ?? []) rule.style.setProperty(property, value);
  }
  return true;
}

/** Takes out the blocks that are gone and puts in those that are new; undefined where others changed their places. */
function rearrange(
  sheet: CSSStyleSheet,
  before: readonly SheetBlock[],
  now: readonly SheetBlock[],
): readonly SheetBlock[] | undefined {
  const wanted = new Set(now.map(({ key }) => key));
  const there = before.filter(({ key }) => wanted.has(key));
  const known = new Set(there.map(({ key }) => key));
  const stay = now.filter(({ key }) => known.has(key));
  if (stay.some(({ key }, index) => there[index]?.key !== key)) return undefined;
  for (let index = before.length - 1; index >= 0; index -= 1)
    if (!wanted.has(before[index]?.key ?? '')) sheet.deleteRule(index);
  const shown = [...there];
  for (const [index, block] of now.entries())
    if (!known.has(block.key)) {
      sheet.insertRule(blockCss(block), index);
      shown.splice(index, 0, block);
    }
  return shown;
}

/** Writes what differs into a sheet that holds the blocks of before; false where only the whole will do. */
function write(
  sheet: CSSStyleSheet,
  before: readonly SheetBlock[],
  now: readonly SheetBlock[],
): boolean {
  const isArranged =
    before.length === now.length && before.every(({ key }, index) => key === now[index]?.key);
  const shown = isArranged ? before : rearrange(sheet, before, now);
  if (!shown) return false;
  for (const [index, block] of now.entries()) {
    const earlier = shown[index];
    if (!earlier || earlier === block || update(sheet.cssRules[index], earlier, block)) continue;
    sheet.deleteRule(index);
    sheet.insertRule(blockCss(block), index);
  }
  return true;
}

/** A sheet of a document that holds blocks, and takes in others by what differs. */
export interface LiveSheet {
  readonly sheet: CSSStyleSheet;
  readonly show: (blocks: readonly SheetBlock[]) => void;
}

/**
 * Makes a constructed sheet hold blocks; each time only what differs is written: single custom properties
 * into rules that stand, other blocks as wholes, so that font faces that stay are not loaded and laid out
 * again. What the sheet says is at any time what the blocks say as CSS.
 */
export function liveSheet(sheet: CSSStyleSheet): LiveSheet {
  let shown: readonly SheetBlock[] | undefined;
  /** A block that the browser does not take has no rule; then places say nothing. */
  const all = (blocks: readonly SheetBlock[]): void => {
    sheet.replaceSync(sheetCss(blocks));
    shown = sheet.cssRules.length === blocks.length ? blocks : undefined;
  };
  return {
    sheet,
    show(blocks) {
      if (shown === blocks) return;
      const earlier = shown;
      // Should a rule not be taken, the sheet is neither the one nor the other: then it is written whole.
      shown = undefined;
      try {
        if (earlier && write(sheet, earlier, blocks)) shown = blocks;
      } catch {
        shown = undefined;
      }
      if (!shown) all(blocks);
    },
  };
}
