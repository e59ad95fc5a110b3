import type { Mode } from '@garnish/core/system/document';
import type { Chapter } from '@garnish/core/proof/sheet/chapter';
import { blockCss } from '@garnish/core/formats/sheet';
import { classesIn } from '@garnish/core/proof/node';
import { specimenRules } from '@garnish/core/proof/sheet/manners';
import { SHEET_SETTING } from '@garnish/core/proof/sheet/setting';
import {
  chapterOf,
  CHAPTERS,
  givenOf,
  sheetGround,
  sheetHead,
} from '@garnish/core/proof/sheet/sheet';
import { createElement, useLayoutEffect, useMemo } from 'react';
import { useStore, useSystemLater } from '../system/system-context.ts';
import { madeOfNames } from './made-of-names.ts';
import { renderNode } from './render.tsx';

interface ChapterProps {
  readonly chapter: Chapter;
  readonly mode: Mode;
  readonly onChange: () => void;
}

/** A chapter with the rules of its specimens; set anew when the names or the values that it tells are others. */
function ShownChapter({ chapter, mode, onChange }: ChapterProps) {
  const store = useStore();
  const made = useSystemLater(({ shown }) => ({
    ...madeOfNames(shown),
    ...(chapter.rules && { rules: shown.derived.rules }),
    ...Object.fromEntries(
      shown.derived.groups
        .filter(({ key }) => chapter.reads.includes(key))
        .map(({ key, tokens }) => [`tokens of ${key}`, tokens]),
    ),
  }));
  const shown = useMemo(() => {
    const { document, derived } = store.state().shown;
    const node = chapterOf(chapter, givenOf(document, derived, mode));
    const rules = chapter.rules?.(derived) ?? [];
    return (
      node && {
        node,
        css: blockCss({ key: chapter.id, rules: [...specimenRules(classesIn(node)), ...rules] }),
      }
    );
    // eslint-disable-next-line react-hooks/exhaustive-deps -- what it is made of says when it is another
  }, [store, chapter, made, mode]);
  useLayoutEffect(onChange, [onChange, shown]);
  return (
    shown && (
      <>
        <style>{shown.css}</style>
        {renderNode(shown.node, false)}
      </>
    )
  );
}

interface ShownPartsProps {
  readonly mode: Mode;
  /** Its elements are others than before. */
  readonly onChange: () => void;
}

/** The sheet of parts, chapter by chapter. */
export default function ShownParts({ mode, onChange }: ShownPartsProps) {
  const store = useStore();
  const made = useSystemLater(({ shown }) => madeOfNames(shown));
  const head = useMemo(() => {
    const { document, derived } = store.state().shown;
    const given = givenOf(document, derived, mode);
    return { ground: sheetGround(given), node: renderNode(sheetHead(given), false) };
    // eslint-disable-next-line react-hooks/exhaustive-deps -- what it is made of says when it is another
  }, [store, made, mode]);
  const { class: className, ...attributes } = head.ground.attributes;
  return createElement(
    'div',
    { ...attributes, className },
    <style>{SHEET_SETTING}</style>,
    head.node,
    CHAPTERS.map((chapter) => (
      <ShownChapter key={chapter.id} chapter={chapter} mode={mode} onChange={onChange} />
    )),
  );
}
