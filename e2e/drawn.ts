import { COMPONENTS } from '@garnish/core/components/components';
import { derive } from '@garnish/core/derive/derive';
import { ownVariantsOf } from '@garnish/core/derive/own-variants';
import { element, writeHtml } from '@garnish/core/proof/node';
import { sectionAlone } from '@garnish/core/proof/site';
import { specimenOf, variantsOf } from '@garnish/core/proof/specimens';
import type { StyleDocument } from '@garnish/core/system/document';
import { namedSections } from '@garnish/core/system/named-sections';
import type { Page } from '@playwright/test';

interface FoundMeasure {
  readonly key: string;
  readonly px: number;
  readonly along: number;
}

interface Read {
  readonly measures: readonly FoundMeasure[];
  readonly labels: readonly (readonly [left: number, top: number, width: number, height: number])[];
  readonly component: readonly [left: number, top: number, width: number, height: number];
}

/** What a drawing says, read from its SVG alone, on a page that lets one read it. */
export const readDrawing = (page: Page, svg: string): Promise<Read> =>
  page.evaluate((text) => {
    const parsed = new DOMParser().parseFromString(text, 'image/svg+xml');
    const numbers = (box: Element): [number, number, number, number] => {
      const at = (name: string) => Number(box.getAttribute(name));
      return [at('x'), at('y'), at('width'), at('height')];
    };
    const groups = [...parsed.querySelectorAll('g[data-measure]')];
    const [first] = groups;
    const block = first?.parentElement;
    const rects = [...(block?.children ?? [])].filter((one) => one.localName === 'rect');
    return {
      measures: groups.map((group) => {
        // Helping lines, leader, the measure itself, its ends.
        const line = [...group.querySelectorAll('path')].at(-2)?.getAttribute('d') ?? '';
        const [x1 = 0, y1 = 0, x2 = 0, y2 = 0] = (line.match(/-?[\d.]+/g) ?? []).map(Number);
        return {
          key: group.getAttribute('data-measure') ?? '',
          px: Number(group.getAttribute('data-px')),
          along: Math.hypot(x2 - x1, y2 - y1),
        };
      }),
      labels: rects.filter((rect) => rect.getAttribute('fill') === '#fff').map(numbers),
      component: numbers(
        rects.find((rect) => rect.getAttribute('fill') === 'none') ?? parsed.documentElement,
      ),
    };
  }, svg);

/** Something that is drawn, and the element of a plain page that it is drawn of. */
export interface DrawnThing {
  readonly name: string;
  readonly title: string;
  /** Where its drawing lies in a guide, and the variant in an address. */
  readonly file: string;
  readonly key: string;
  readonly variant: string;
  readonly selector: string;
}

/** Every variant of every component of a system. */
export const drawnComponents = (system: StyleDocument): readonly DrawnThing[] =>
  COMPONENTS.flatMap((component) =>
    variantsOf(component, ownVariantsOf(system.components)).map((variant) => ({
      name: `${component.id} ${variant.id}`,
      title:
        variant.name.toLowerCase() === component.name.toLowerCase()
          ? component.name
          : `${component.name}: ${variant.name}`,
      file: `${component.id}-${variant.id}`,
      key: component.id,
      variant: variant.id,
      selector: `[data-drawing="${component.id} ${variant.id}"] > *`,
    })),
  );

/** All of them on a plain page, each in the room that a drawing gives it. */
export function componentsAlone(system: StyleDocument): string {
  const derived = derive(system);
  const still =
    '<style>[data-drawing] > * { position: static !important; translate: none !important } :is(.dialog, .skip-link, .nav-panel, .tip) { justify-self: start; display: block !important }</style>';
  const rooms = COMPONENTS.flatMap((component) =>
    variantsOf(component, ownVariantsOf(system.components)).map((variant) =>
      writeHtml(
        {
          ...element('div', { class: 'site' }, specimenOf(variant, derived)),
          attributes: {
            class: 'site',
            'data-drawing': `${component.id} ${variant.id}`,
            style: 'display: grid; width: 360px',
          },
        },
        () => '',
      ),
    ),
  );
  return still + rooms.join('');
}

/** The sections of a page of a system that are one element each, and which of all those of the page. */
export function drawnSections(system: StyleDocument, page: string): readonly DrawnThing[] {
  const derived = derive(system);
  let before = 0;
  return namedSections(system.content)
    .filter((one) => one.page === page)
    .flatMap(({ section, pageName, name }) => {
      const [main] = sectionAlone(system, derived, page, section)?.children ?? [];
      const count = typeof main === 'object' ? main.children.length : 0;
      before += count;
      return count === 1
        ? [
            {
              name: `${page} ${section}`,
              title: `${pageName}: ${name.toLowerCase()}`,
              file: `${page}-${section}`,
              key: `${page}/${section}`,
              variant: '',
              selector: `.site-main > :nth-child(${before})`,
            },
          ]
        : [];
    });
}

/** The lengths of an element of a plain page by its own layout: the key of a measure says of what. */
const lengthsOf = (page: Page, selector: string, keys: readonly string[]): Promise<number[]> =>
  page.evaluate(
    ([which, wanted]) => {
      const root = document.querySelector(which);
      const room = root?.closest<HTMLElement>('[data-drawing]');
      if (!root) return [];
      if (room) {
        room.style.display = 'block';
        const isInline = getComputedStyle(root).display.startsWith('inline');
        room.style.display = 'grid';
        if (isInline) room.style.width = 'max-content';
      }
      const nameOf = (one: Element): string =>
        (
          [...one.classList].find((own) => !/^(?:on|fill|wash|width|span)-/.test(own)) ??
          one.localName
        )
          .replace(/^type-/, 'words in ')
          .replaceAll('-', ' ');
      const at = (place: string): Element | undefined => {
        let here: Element | undefined = root;
        for (const part of place.split('/').slice(1)) {
          const [, own = '', count = '1'] = /^(.*?)(?: (\d+))?$/.exec(part) ?? [];
          here = [...(here?.children ?? [])].filter(
            (one) => nameOf(one) === own || nameOf(one) === part,
          )[Number(count) - 1];
        }
        return here;
      };
      return wanted.map((key) => {
        const [, kind = '', place = '', side = ''] = /^(\w+) (.*) (\w+)$/.exec(key) ?? [];
        const thing = at(place);
        if (!thing) return Number.NaN;
        const box = thing.getBoundingClientRect();
        if (kind === 'size') return side === 'height' ? box.height : box.width;
        const style = getComputedStyle(thing);
        const property =
          kind === 'gap' ? `${side}-gap` : `${kind === 'inset' ? 'padding' : 'margin'}-${side}`;
        return Number.parseFloat(style.getPropertyValue(property));
      });
    },
    [selector, keys] as const,
  );

/**
 * What is wrong with a drawing of an element that a plain page has: measures that are not its layout (0.01 px), lines
 * that are not as long as they say, labels that cover each other or what is measured.
 */
export async function faultsOf(
  plain: Page,
  svg: string,
  selector: string,
): Promise<{ readonly told: number; readonly faults: readonly unknown[] }> {
  const { measures, labels, component } = await readDrawing(plain, svg);
  const there = await lengthsOf(
    plain,
    selector,
    measures.map(({ key }) => key),
  );
  const off = measures.flatMap(({ key, px, along }, index): unknown[] => {
    const isTrue = Math.abs(px - (there[index] ?? Number.NaN)) <= 0.01;
    return isTrue && Math.abs(px - along) <= 0.011 ? [] : [[key, px, along, there[index]]];
  });
  const boxes = [...labels, component];
  const covered = boxes.flatMap(([x, y, w, h], index): unknown[] =>
    boxes
      .slice(index + 1)
      .filter(([x2, y2, w2, h2]) => x < x2 + w2 && x2 < x + w && y < y2 + h2 && y2 < y + h)
      .map((other) => [[x, y, w, h], other]),
  );
  return { told: measures.length, faults: [...off, ...covered] };
}
