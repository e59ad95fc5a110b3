import { classesIn } from '../proof/node.ts';
import { kindOf } from '../proof/sections/kinds.ts';
import { nodesOfSection } from '../proof/texts.ts';
import { inOrder, type Content, type PageSection } from './document.ts';

/** A section of a page, with a name that no other on that page has. */
export interface NamedSection {
  readonly page: string;
  readonly pageName: string;
  readonly section: string;
  /** What kind of section it is, or what part of one’s own; with a number from the second on. */
  readonly name: string;
  /** What it is for, in words. */
  readonly says: string;
}

type Pages = Pick<Content, 'pages' | 'parts'>;

/** The words for a section: those of its kind, or of the part of one’s own that stands there. */
function wordsOf(own: PageSection, parts: Content['parts']): { name: string; says: string } {
  const { name, says } = kindOf(own.kind);
  if (own.kind !== 'part') return { name, says };
  const there = parts && Object.hasOwn(parts.items, own.part) ? parts.items[own.part] : undefined;
  return { name: there?.name ?? name, says: 'a part of one’s own' };
}

/** Whether a section shows anything. */
function isShown(own: PageSection, parts: Content['parts']): boolean {
  if (own.isOff === true) return false;
  if (own.kind !== 'part')
    return nodesOfSection(own).some((node) => [...classesIn(node)].length > 0);
  const there = parts && Object.hasOwn(parts.items, own.part) ? parts.items[own.part] : undefined;
  return there !== undefined && inOrder(there.sections).some(([, one]) => isShown(one, parts));
}

/** Every section that is shown on a page that is shown, page by page from the top. */
export function namedSections({ pages, parts }: Pages): readonly NamedSection[] {
  return inOrder(pages)
    .filter(([, { isOff }]) => isOff !== true)
    .flatMap(([page, { name: pageName, sections }]) => {
      const counts = new Map<string, number>();
      return inOrder(sections)
        .filter(([, own]) => isShown(own, parts))
        .map(([section, own]): NamedSection => {
          const { name, says } = wordsOf(own, parts);
          const count = (counts.get(name) ?? 0) + 1;
          counts.set(name, count);
          return { page, pageName, section, says, name: count === 1 ? name : `${name} ${count}` };
        });
    });
}
