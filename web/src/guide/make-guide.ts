import type { Derived } from '@garnish/core/derive/derived';
import { approachOf } from '@garnish/core/drawings/approach';
import { CHAPTERS, USUAL_CHOICE } from '@garnish/core/drawings/drawing';
import {
  APPROACH,
  writeGuide,
  type GuideAsset,
  type GuideDrawing,
} from '@garnish/core/formats/guide';
import type { SheetBlock } from '@garnish/core/formats/sheet';
import { ownVariantsOf } from '@garnish/core/derive/own-variants';
import { variantsOf } from '@garnish/core/proof/specimens';
import type { StyleDocument } from '@garnish/core/system/document';
import { drawingName, labelsMoved } from '@garnish/core/system/label-places';
import { modesOf } from '@garnish/core/system/themes';
import DOMPurify from 'dompurify';
import { strFromU8, strToU8, unzipSync, type Zippable } from 'fflate';
import { marked } from 'marked';
import { DRAWABLE, ROOM_PX } from '../proof/drawing/component-drawing.tsx';
import { draw, ownFaces, prepare } from '../proof/drawing/make-drawing.ts';
import { sanitizedSvg } from '../ui/sanitized-svg.ts';
import { assetsOf, once, type TakeFile } from './assets.ts';

/** What a guide is made of. */
export interface Guided {
  readonly document: StyleDocument;
  readonly derived: Derived;
  readonly sheet: readonly SheetBlock[];
  /** Which state of the system it is, in words. */
  readonly state: string;
  readonly take: TakeFile;
}

/** How far it is: what is being done, and how much of all. */
export type OnStep = (words: string, done: number, of: number) => void;

const SCREEN_PX = 720;

/** Files that lie at the root of a guide as they do in the archive of the system. */
const TAKEN = /^(?:tokens\.css|tokens\.json|handoff\.md|classes\.md|icons\.svg|fonts\/.*)$/;

async function picture(name: string): Promise<Uint8Array> {
  const answer = await fetch(`/proof/${name}`);
  if (!answer.ok) throw new Error(`The picture ${name} cannot be read now. Nothing was made.`);
  return new Uint8Array(await answer.arrayBuffer());
}

/** Files as one archive, put together where nothing waits for it. */
function packed(files: Zippable): Promise<Uint8Array<ArrayBuffer>> {
  const worker = new Worker(new URL('zip-worker.ts', import.meta.url), { type: 'module' });
  return new Promise<Uint8Array<ArrayBuffer>>((resolve, reject) => {
    worker.addEventListener('message', ({ data }: MessageEvent<Uint8Array<ArrayBuffer>>) =>
      resolve(data),
    );
    worker.addEventListener('error', () =>
      reject(new Error('The archive could not be put together. Nothing was made.')),
    );
    worker.postMessage(files);
  }).finally(() => worker.terminate());
}

/**
 * Makes the guide of a system: an archive that is a site, read from a disk. Every variant of every component is laid out
 * and drawn for it.
 * @throws where it was given up, or a file cannot be read
 */
export async function makeGuide(
  { document, derived, sheet, state, take: takeAnew }: Guided,
  onStep: OnStep,
  signal: AbortSignal,
): Promise<Uint8Array<ArrayBuffer>> {
  const take = once(takeAnew);
  const [theme] = modesOf(derived.themes);
  const all = DRAWABLE.flatMap((component) =>
    variantsOf(component, ownVariantsOf(document.components)).map((variant) => ({
      component,
      variant,
    })),
  );
  const files: Zippable = {};
  const drawings: GuideDrawing[] = [];
  for (const [done, { component, variant }] of all.entries()) {
    signal.throwIfAborted();
    onStep(`drawing ${component.name}: ${variant.name}`, done, all.length);
    const drawing = drawingName(component.id, variant.id);
    const prepared = await prepare(
      {
        ...{ system: document.name, derived, sheet, component, variant, theme },
        ...{ screenPx: SCREEN_PX, roomPx: ROOM_PX },
      },
      { unit: 'px', chapters: CHAPTERS },
    );
    const { svg, words } = draw(
      prepared,
      USUAL_CHOICE,
      labelsMoved(document.components.labels, drawing),
    );
    const path = `drawings/${component.id}-${variant.id}.svg`;
    files[path] = strToU8(svg);
    drawings.push({ drawing, path, words });
  }
  files[APPROACH] = strToU8(approachOf(document, derived, await ownFaces()).svg);
  signal.throwIfAborted();
  onStep('putting it together', all.length, all.length);
  const archive = unzipSync(await take('tokens.zip'));
  for (const [path, bytes] of Object.entries(archive)) if (TAKEN.test(path)) files[path] = bytes;
  const assets: GuideAsset[] = [];
  for (const { kind, file, name, bytes } of await assetsOf(document, derived, take)) {
    const path = kind === 'fonts' ? `fonts/${file}` : `assets/${kind}/${file}`;
    files[path] = bytes;
    assets.push({ path, kind, name });
  }
  const handoff = archive['handoff.md'];
  const { files: texts, pictures } = writeGuide(document, derived, {
    drawings,
    assets,
    state,
    safe: sanitizedSvg,
    decisions: handoff
      ? DOMPurify.sanitize(await marked.parse(strFromU8(handoff).replace(/^# .*\n/, '')))
      : '',
  });
  for (const { path, text } of texts) files[path] = strToU8(text);
  for (const name of pictures) files[name] = await picture(name);
  signal.throwIfAborted();
  return packed(files);
}
