import type { StateId } from '@garnish/core/components/states';
import type { Derived } from '@garnish/core/derive/derived';
import type { Break } from '@garnish/core/drawings/behavior';
import type { Picture } from '@garnish/core/drawings/drawing';
import type { Outline } from '@garnish/core/drawings/scene';
import type { SheetBlock } from '@garnish/core/formats/sheet';
import { drawnRules } from '@garnish/core/proof/drawn-states';
import { writeHtml } from '@garnish/core/proof/node';
import type { Mode } from '@garnish/core/system/document';
import { sanitizedSvg } from '../../ui/sanitized-svg.ts';
import { framedSheets, type FramedSheets } from '../framed-sheets.ts';
import { openHiddenFrame } from '../hidden-frame.ts';
import { withPictures } from './data.ts';
import { dressOf } from './dress.ts';
import { outlineOf, rowsIn } from './lay-out.ts';
import type { Subject } from './subject.ts';

/** What things of a system wear when they are drawn. */
export interface Worn {
  readonly derived: Derived;
  readonly sheet: readonly SheetBlock[];
  readonly theme: Mode;
}

/** What stands over everything on a page stands in its place in a drawing, as wide as it is there. */
const placedIn = (scope: string): string => {
  const over = ['dialog', 'skip-link', 'nav-panel', 'tip']
    .map((name) => `${scope} .drawn-room > .${name}`)
    .join(', ');
  return `${scope} .drawn-room { display: grid } ${over} { position: static; translate: none; display: block; justify-self: start }`;
};

/** What moves the corner of the root to that of the picture, where something stands around it. */
const atCorner = (left: number, top: number): string =>
  left === 0 && top === 0 ? '' : `margin:${-top}px 0 0 ${-left}px`;

/** A page that nobody sees, dressed by the sheet, in which one component after the other is laid out. */
export class Stage {
  readonly page: Document;
  readonly #frame: HTMLIFrameElement;
  readonly #worn: Worn;
  #subject: Subject | undefined;
  /** Whether it stands in a line of words, which it does at every width or at none. */
  #isInline: boolean | undefined;
  /** The rules of states that only a hand brings about. */
  readonly #states: ReturnType<typeof drawnRules>;
  /** What the pictures wear, by the width of the screen. */
  readonly #dress = new Map<number, { scope: string; css: Set<string> }>();

  private constructor(frame: HTMLIFrameElement, sheets: FramedSheets, worn: Worn) {
    this.#frame = frame;
    this.#worn = worn;
    this.page = sheets.document;
    this.page.documentElement.setAttribute('data-theme', worn.theme);
    sheets.exported.show(worn.sheet);
    this.#states = drawnRules(worn.derived.rules.flatMap(({ rules }) => rules));
    for (const { selector, declarations } of this.#states)
      sheets.arrangement.insertRule(
        `${selector}{${declarations.map(([property, value]) => `${property}:${value}`).join(';')}}`,
        sheets.arrangement.cssRules.length,
      );
    const own = new (frame.contentWindow as Window & typeof globalThis).CSSStyleSheet();
    own.replaceSync(`body { margin: 0 } ${placedIn('body')}`);
    this.page.adoptedStyleSheets = [...this.page.adoptedStyleSheets, own];
  }

  /** @throws where the browser lets nobody read such a page */
  static async open(worn: Worn): Promise<Stage> {
    const hidden = await openHiddenFrame('Drawing');
    const sheets = hidden && framedSheets(hidden.frame);
    if (!hidden || !sheets) throw new Error('The browser lets nobody measure the component.');
    return new Stage(hidden.frame, sheets, worn);
  }

  /** From now on this is what is laid out. */
  take(subject: Subject): void {
    this.#subject = subject;
    this.#isInline = undefined;
    this.#dress.clear();
  }

  get #taken(): Subject {
    if (!this.#subject) throw new Error('There is nothing to be drawn.');
    return this.#subject;
  }

  /** Lays it out. @returns its element */
  lay(screenPx: number, roomPx: number, state?: StateId): Element {
    this.#frame.style.width = `${screenPx}px`;
    this.#frame.style.height = '900px';
    const subject = this.#taken;
    const { body } = this.page;
    body.innerHTML = `<div class="site drawn-room" style="width:${roomPx}px">${writeHtml(subject.nodeIn(state), sanitizedSvg)}</div>`;
    const room = body.firstElementChild as HTMLElement;
    const laid = room.firstElementChild ?? room;
    this.#isInline ??= /^inline/.test(this.#displayOf(laid));
    if (this.#isInline) room.style.width = 'max-content';
    return subject.rootIn(laid);
  }

  /** How it stands by itself: in a grid everything is a block. */
  #displayOf(element: Element): string {
    const room = element.parentElement as HTMLElement;
    room.style.display = 'block';
    const { display = '' } = this.page.defaultView?.getComputedStyle(element) ?? {};
    room.style.display = '';
    return display;
  }

  /** What stands in the page now, as a picture. */
  async picture(screenPx: number): Promise<Picture> {
    const room = this.page.body.firstElementChild as HTMLElement;
    const root = this.#taken.rootIn(room.firstElementChild ?? room);
    const { left, top, width, height } = root.getBoundingClientRect();
    const corner = room.getBoundingClientRect();
    const own = this.#dress.get(screenPx) ?? { scope: `drawn-at-${screenPx}`, css: new Set() };
    this.#dress.set(screenPx, own);
    const sheet = [...this.#worn.sheet, { key: 'states', rules: this.#states }];
    for (const line of dressOf(this.page, sheet, `.${own.scope}`).split('\n')) own.css.add(line);
    const copy = room.cloneNode(true) as HTMLElement;
    for (const element of copy.querySelectorAll('*'))
      for (const name of ['id', 'for', 'aria-describedby', 'aria-labelledby', 'aria-controls'])
        element.removeAttribute(name);
    const xhtml = new XMLSerializer().serializeToString(copy);
    return {
      width,
      height,
      xhtml: await withPictures(
        `<div xmlns="http://www.w3.org/1999/xhtml" class="${own.scope}" style="width:max-content;${atCorner(left - corner.left, top - corner.top)}">${xhtml}</div>`,
      ),
    };
  }

  /** The style of all pictures that were made. */
  css(): string {
    return [...this.#dress.values()]
      .map(({ scope, css }) => [...css, placedIn(`.${scope}`)].join('\n'))
      .join('\n');
  }

  /** The color of the page. */
  ground(): string {
    const probe = this.page.createElement('div');
    probe.className = 'on-page';
    this.page.body.append(probe);
    const color = this.page.defaultView?.getComputedStyle(probe).backgroundColor ?? '#ffffff';
    probe.remove();
    return color;
  }

  async fontsReady(): Promise<void> {
    // Layout asks for the faces; only then is there anything to wait for.
    this.page.body.getBoundingClientRect();
    await this.page.fonts.ready;
  }

  /** The widths from which what stands in something is in another number of rows. */
  breaks(narrow: Outline, wide: Outline): readonly Break[] {
    const rows = (px: number): ReadonlyMap<string, number> => rowsIn(outlineOf(this.lay(px, px)));
    const [first, , last] = this.#taken.rooms;
    const [before, after] = [rowsIn(narrow), rowsIn(wide)];
    const known = new Map<number, ReadonlyMap<string, number>>();
    const told = new Set<string>();
    return wide.things.flatMap(({ place, name }): Break[] => {
      const [below, from] = [before.get(place), after.get(place)];
      if (below === undefined || from === undefined || below === from) return [];
      if (below < 1 || from < 1 || told.has(name)) return [];
      told.add(name);
      let [low, high]: [number, number] = [first, last];
      while (high - low > 1) {
        const middle = Math.floor((low + high) / 2);
        const there = known.get(middle) ?? rows(middle);
        known.set(middle, there);
        if (there.get(place) === from) high = middle;
        else low = middle;
      }
      return [{ name, atPx: high, below, from }];
    });
  }

  close(): void {
    this.#frame.remove();
  }
}
