import { COMPONENTS } from '@garnish/core/components/components';
import { GROUPS, type Component } from '@garnish/core/components/component';
import type { Content } from '@garnish/core/system/document';
import type { HandedThing } from '@garnish/core/system/handed-over';
import { namedSections, type NamedSection } from '@garnish/core/system/named-sections';

/** The components that can be drawn, in their order. */
const COMPONENTS_DRAWN: readonly Component[] = GROUPS.flatMap(([group]) =>
  COMPONENTS.filter((one) => one.group === group && (one.variants ?? []).length > 0),
);

/** What can be drawn, as it is found and listed. */
export interface DrawableThing {
  /** What it is called in an address. */
  readonly key: string;
  readonly name: string;
  readonly says: string;
  /** What it stands under where nobody has put it into a group: components by what they do, sections by their page. */
  readonly under: string;
  readonly thing: HandedThing;
  readonly of:
    | { readonly kind: 'component'; readonly component: Component }
    | { readonly kind: 'section'; readonly section: NamedSection };
}

const COMPONENT_THINGS: readonly DrawableThing[] = COMPONENTS_DRAWN.map((component) => ({
  key: component.id,
  name: component.name,
  says: component.says,
  under: GROUPS.find(([group]) => group === component.group)?.[1] ?? '',
  thing: { kind: 'component', id: component.id },
  of: { kind: 'component', component },
}));

/** Everything that can be drawn: the components, then the sections page by page. */
export const drawableThings = (
  content: Pick<Content, 'pages' | 'parts'>,
): readonly DrawableThing[] => [
  ...COMPONENT_THINGS,
  ...namedSections(content).map((section): DrawableThing => ({
    key: `${section.page}/${section.section}`,
    name: section.name,
    says: section.says,
    under: `Sections of ${section.pageName}`,
    thing: { kind: 'section', id: section.section, page: section.page },
    of: { kind: 'section', section },
  })),
];
