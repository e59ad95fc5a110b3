import mono from '@fontsource-variable/sometype-mono/files/sometype-mono-latin-wght-normal.woff2?url';
import sans from '@fontsource-variable/hanken-grotesk/files/hanken-grotesk-latin-wght-normal.woff2?url';
import type { Component, Variant } from '@garnish/core/components/component';
import { stateOf, type StateId } from '@garnish/core/components/states';
import type { Derived } from '@garnish/core/derive/derived';
import { rowsOf, type Break } from '@garnish/core/drawings/behavior';
import {
  drawingOf,
  type Drawable,
  type Drawing,
  type DrawingChoice,
  type Picture,
} from '@garnish/core/drawings/drawing';
import type { Moved } from '@garnish/core/drawings/placing';
import type { Scene } from '@garnish/core/drawings/scene';
import type { SheetBlock } from '@garnish/core/formats/sheet';
import { drawnRules } from '@garnish/core/proof/drawn-states';
import { writeHtml } from '@garnish/core/proof/node';
import { specimenOf } from '@garnish/core/proof/specimens';
import type { Mode } from '@garnish/core/system/document';
import { sanitizedSvg } from '../../ui/sanitized-svg.ts';
import { framedSheets, type FramedSheets } from '../framed-sheets.ts';
import { openHiddenFrame } from '../hidden-frame.ts';
import { dressOf } from './dress.ts';
import { sceneOf } from './lay-out.ts';

/** What is drawn: a variant of a component of a system, in a theme. */
export interface Drawn {
  readonly system: string;
  readonly derived: Derived;
  readonly sheet: readonly SheetBlock[];
  readonly component: Component;
  readonly variant: Variant;
  readonly theme: Mode;
  /** The width of the screen, and the most that the component has for itself, in px. */
  readonly screenPx: number;
  readonly roomPx: number;
}

/** How wide the component’s room is from narrow to wide, in px; the screen is as wide as the room. */
export const ROOMS_PX = [280, 440, 640] as const;

/** What stands over everything on a page stands in its place in a drawing, as wide as it is there. */
const placedIn = (scope: string): string => {
  const over = ['dialog', 'skip-link', 'nav-panel', 'tip']
    .map((name) => `${scope} .drawn-room > .${name}`)
    .join(', ');
  return `${scope} .drawn-room { display: grid } ${over} { position: static; translate: none; display: block; justify-self: start }`;
};

const dataOf = new Map<string, Promise<string>>();

/** A file as an address that holds it; asked for once. */
function asData(address: string): Promise<string> {
  const known = dataOf.get(address);
  if (known) return known;
  const made = (async () => {
    const bytes = new Uint8Array(await (await fetch(address)).arrayBuffer());
    let text = '';
    for (let at = 0; at < bytes.length; at += 0x8000)
      text += String.fromCodePoint(...bytes.subarray(at, at + 0x8000));
    const type = /\.woff2(?:$|\?)/.test(address) ? 'font/woff2' : 'application/octet-stream';
    return `data:${type};base64,${btoa(text)}`;
  })();
  dataOf.set(address, made);
  made.catch(() => dataOf.delete(address));
  return made;
}

const face = (family: string, address: string): string =>
  `@font-face{font-family:'${family}';font-weight:200 900;src:url("${address}") format("woff2")}`;

/** The faces of a drawing’s own words. */
export const ownFaces = async (): Promise<string> =>
  [
    face('Sometype Mono Variable', await asData(mono)),
    face('Hanken Grotesk Variable', await asData(sans)),
  ].join('\n');

const plain = (text: string): string => text.replaceAll(/["\s]/g, '').toLowerCase();

/** A range of characters in one form: browsers leave zeros out. Source: CSS Fonts 4, unicode-range. */
const rangeOf = (text: string): string =>
  plain(text).replaceAll(/[0-9a-f]+(?=[-,]|$)/g, (code) => code.replace(/^0+(?=.)/, ''));

/** The faces of the sheet that a page has loaded, each with its data. */
async function facesWorn(page: Document, sheet: readonly SheetBlock[]): Promise<string> {
  const loaded = new Set(
    [...page.fonts]
      .filter(({ status }) => status === 'loaded')
      .map(({ family, weight, style, unicodeRange }) =>
        [plain(family), plain(weight), style, rangeOf(unicodeRange)].join('|'),
      ),
  );
  const blocks = sheet.flatMap(({ rules: [first] }) => {
    if (first?.selector !== '@font-face') return [];
    const said = new Map(first.declarations);
    const key = ['font-family', 'font-weight', 'font-style'].map((property) =>
      plain(said.get(property) ?? ''),
    );
    return loaded.has([...key, rangeOf(said.get('unicode-range') ?? '')].join('|'))
      ? [first.declarations]
      : [];
  });
  return (
    await Promise.all(
      blocks.map(async (declarations) => {
        const own = await Promise.all(
          declarations.map(async ([property, value]) => {
            const file = /url\("([^"]+)"\)/.exec(value)?.[1];
            return file === undefined
              ? `${property}:${value}`
              : `${property}:url("${await asData(`/proof/${file}`)}") format("woff2")`;
          }),
        );
        return `@font-face{${own.join(';')}}`;
      }),
    )
  ).join('\n');
}

/** Every picture of a text, with its data instead of its address. */
async function withPictures(xhtml: string): Promise<string> {
  const names = [...new Set([...xhtml.matchAll(/src="(\/[^"]+)"/g)].map(([, name = '']) => name))];
  const data = await Promise.all(names.map((name) => asData(name).catch(() => '')));
  return names.reduce(
    (text, name, index) => text.replaceAll(`src="${name}"`, `src="${data[index] ?? ''}"`),
    xhtml,
  );
}

/** A page that nobody sees, dressed by the sheet, in which one component after the other is laid out. */
class Stage {
  readonly page: Document;
  readonly #frame: HTMLIFrameElement;
  readonly #drawn: Drawn;
  /** The rules of states that only a hand brings about. */
  readonly #states: ReturnType<typeof drawnRules>;
  /** What the pictures wear, by the width of the screen. */
  readonly #dress = new Map<number, { scope: string; css: Set<string> }>();

  constructor(frame: HTMLIFrameElement, sheets: FramedSheets, drawn: Drawn) {
    this.#frame = frame;
    this.#drawn = drawn;
    this.page = sheets.document;
    this.page.documentElement.setAttribute('data-theme', drawn.theme);
    sheets.exported.show(drawn.sheet);
    this.#states = drawnRules(drawn.derived.rules.flatMap(({ rules }) => rules));
    for (const { selector, declarations } of this.#states)
      sheets.arrangement.insertRule(
        `${selector}{${declarations.map(([property, value]) => `${property}:${value}`).join(';')}}`,
        sheets.arrangement.cssRules.length,
      );
    const own = new (frame.contentWindow as Window & typeof globalThis).CSSStyleSheet();
    own.replaceSync(`body { margin: 0 } ${placedIn('body')}`);
    this.page.adoptedStyleSheets = [...this.page.adoptedStyleSheets, own];
  }

  /** Lays the component out. @returns its element */
  lay(screenPx: number, roomPx: number, state?: StateId): Element {
    this.#frame.style.width = `${screenPx}px`;
    this.#frame.style.height = '900px';
    const { variant, derived } = this.#drawn;
    const { body } = this.page;
    body.innerHTML = `<div class="site drawn-room" style="width:${roomPx}px">${writeHtml(specimenOf(variant, derived, state), sanitizedSvg)}</div>`;
    const room = body.firstElementChild as HTMLElement;
    const element = room.firstElementChild ?? room;
    const inline = /^inline/.test(this.#displayOf(element));
    if (inline) room.style.width = 'max-content';
    return element;
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
    const { width, height } = (room.firstElementChild ?? room).getBoundingClientRect();
    const own = this.#dress.get(screenPx) ?? { scope: `drawn-at-${screenPx}`, css: new Set() };
    this.#dress.set(screenPx, own);
    const sheet = [...this.#drawn.sheet, { key: 'states', rules: this.#states }];
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
        `<div xmlns="http://www.w3.org/1999/xhtml" class="${own.scope}" style="width:max-content">${xhtml}</div>`,
      ),
    };
  }

  /** The style of all pictures that were made. */
  css(): string {
    return [...this.#dress.values()]
      .map(({ scope, css }) => [...css, placedIn(`.${scope}`)].join('\n'))
      .join('\n');
  }

  async fontsReady(): Promise<void> {
    // Layout asks for the faces; only then is there anything to wait for.
    this.page.body.getBoundingClientRect();
    await this.page.fonts.ready;
  }

  /** The widths from which what stands in something is in another number of rows. */
  breaks(derived: Derived, narrow: Scene, wide: Scene): readonly Break[] {
    const rows = (px: number): ReadonlyMap<string, number> =>
      new Map(
        sceneOf(this.lay(px, px), derived, 'px').things.map((thing) => [
          thing.place,
          rowsOf(thing),
        ]),
      );
    const [first, last] = [ROOMS_PX[0], ROOMS_PX[2]];
    const at = (scene: Scene): ReadonlyMap<string, number> =>
      new Map(scene.things.map((thing) => [thing.place, rowsOf(thing)]));
    const [before, after] = [at(narrow), at(wide)];
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

const background = (page: Document): string => {
  const probe = page.createElement('div');
  probe.className = 'on-page';
  page.body.append(probe);
  const color = page.defaultView?.getComputedStyle(probe).backgroundColor ?? '#ffffff';
  probe.remove();
  return color;
};

/** Room for a state beside others where the component would fill all that it has, in px. */
const STATE_ROOM_PX = 196;

/** Everything that drawings of a variant are made of, but for what is chosen of it. */
export type Prepared = Omit<Drawable, 'moved'>;

/**
 * Lays a variant out in a page that nobody sees, in its states and at several widths, and takes its measures.
 * @throws where the browser lets nobody read such a page
 */
export async function prepare(
  drawn: Drawn,
  { unit, chapters }: Pick<DrawingChoice, 'unit' | 'chapters'>,
): Promise<Prepared> {
  const hidden = await openHiddenFrame('Drawing');
  const sheets = hidden && framedSheets(hidden.frame);
  if (!hidden || !sheets) throw new Error('The browser lets nobody measure the component.');
  const stage = new Stage(hidden.frame, sheets, drawn);
  const { screenPx, roomPx, variant, component, derived, theme, system } = drawn;
  /** The component in its states; where it fills all its room, each has less. */
  const inStates = async (isFlowing: boolean, picture: Picture): Promise<Drawable['states']> => {
    if (!chapters.includes('states') || variant.states.length === 0) return [];
    const states: { name: string; picture: Picture }[] = [];
    const room = isFlowing ? Math.min(STATE_ROOM_PX, roomPx) : roomPx;
    for (const state of [undefined, ...variant.states]) {
      if (state === undefined && room === roomPx) {
        states.push({ name: 'at rest', picture });
        continue;
      }
      stage.lay(screenPx, room, state);
      await stage.fontsReady();
      const name = state === undefined ? 'at rest' : stateOf(state).name;
      states.push({ name, picture: await stage.picture(screenPx) });
    }
    return states;
  };
  /** The component at several widths, and from where it changes between them. */
  const atWidths = async (): Promise<Pick<Drawable, 'widths' | 'breaks'>> => {
    const widths: Drawable['widths'][number][] = [];
    for (const px of ROOMS_PX) {
      const scene = sceneOf(stage.lay(px, px), derived, unit);
      widths.push({ px, scene, picture: await stage.picture(px) });
    }
    const [narrow, , wide] = widths;
    return {
      widths,
      breaks: narrow && wide ? stage.breaks(derived, narrow.scene, wide.scene) : [],
    };
  };
  try {
    stage.lay(screenPx, roomPx);
    await stage.fontsReady();
    const scene = sceneOf(stage.lay(screenPx, roomPx), derived, unit);
    const picture = await stage.picture(screenPx);
    const page = background(stage.page);
    const isFlowing = Math.abs(scene.width - roomPx) < 1;
    const states = await inStates(isFlowing, picture);
    const isShown = isFlowing && chapters.includes('widths');
    const { widths, breaks } = isShown ? await atWidths() : { widths: [], breaks: [] };
    const isNamedAlike = variant.name.toLowerCase() === component.name.toLowerCase();
    const { says } = component;
    return {
      title: isNamedAlike ? component.name : `${component.name}: ${variant.name}`,
      says: `${says.charAt(0).toUpperCase()}${says.slice(1)}.`,
      foot: `${system}, ${theme}, on a screen of ${screenPx} px`,
      scene,
      picture,
      page,
      states,
      widths,
      breaks,
      css: [await ownFaces(), await facesWorn(stage.page, drawn.sheet), stage.css()].join('\n'),
    };
  } finally {
    stage.close();
  }
}

/** A drawing of what was prepared. */
export const draw = (
  prepared: Prepared,
  choice: DrawingChoice,
  moved: ReadonlyMap<string, Moved>,
): Drawing => drawingOf({ ...prepared, moved }, choice);

/** A drawing as an address that holds it. */
export const addressOf = ({ svg }: Pick<Drawing, 'svg'>): string =>
  `data:image/svg+xml;charset=utf-8,${encodeURIComponent(svg)}`;

/** A drawing as PNG at twice its size. */
export async function pngOf(
  drawing: Pick<Drawing, 'svg' | 'width' | 'height'>,
  scale = 2,
): Promise<Blob> {
  const { width, height } = drawing;
  const image = new Image();
  image.src = addressOf(drawing);
  await image.decode();
  const canvas = new OffscreenCanvas(Math.ceil(width * scale), Math.ceil(height * scale));
  const context = canvas.getContext('2d');
  if (!context) throw new Error('The browser has no canvas to draw on.');
  context.drawImage(image, 0, 0, canvas.width, canvas.height);
  return canvas.convertToBlob({ type: 'image/png' });
}
