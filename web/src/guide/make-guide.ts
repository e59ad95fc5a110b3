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
import type { StyleDocument } from '@garnish/core/system/document';
import { labelsMoved } from '@garnish/core/system/label-places';
import { modesOf } from '@garnish/core/system/themes';
import DOMPurify from 'dompurify';
import { strFromU8, strToU8, unzipSync, type Zippable } from 'fflate';
import { marked } from 'marked';
import { drawableThings } from '../proof/drawing/drawable.ts';
import { ownFaces } from '../proof/drawing/data.ts';
import { draw, prepare } from '../proof/drawing/make-drawing.ts';
import { Stage } from '../proof/drawing/stage.ts';
import { subjectsOf } from '../proof/drawing/thing-drawing.tsx';
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
 * Makes the guide of a system: an archive that is a site, read from a disk. Every variant of every component and every
 * section of a page is laid out and drawn for it, in each theme.
 * @throws where it was given up, or a file cannot be read
 */
export async function makeGuide(
  { document, derived, sheet, state, take: takeAnew }: Guided,
  onStep: OnStep,
  signal: AbortSignal,
): Promise<Uint8Array<ArrayBuffer>> {
  const take = once(takeAnew);
  const modes = modesOf(derived.themes);
  const subjects = drawableThings(document.content).flatMap((thing) =>
    subjectsOf(thing, { document, derived }).map(({ subject }) => subject),
  );
  const files: Zippable = {};
  const drawings: GuideDrawing[] = [];
  const count = subjects.length * modes.length;
  for (const theme of modes) {
    const worn = { derived, sheet, theme };
    const stage = await Stage.open(worn);
    try {
      for (const subject of subjects) {
        signal.throwIfAborted();
        onStep(
          `drawing ${subject.title}${modes.length > 1 ? `, ${theme}` : ''}`,
          drawings.length,
          count,
        );
        const prepared = await prepare(
          { ...worn, system: document.name, subject, screenPx: SCREEN_PX },
          { unit: 'px', chapters: CHAPTERS },
          stage,
        );
        const moved = labelsMoved(document.components.labels, subject.id);
        const { svg, words } = draw(prepared, USUAL_CHOICE, moved);
        const path = `drawings/${subject.file}${theme === modes[0] ? '' : `-${theme}`}.svg`;
        files[path] = strToU8(svg);
        drawings.push({ drawing: subject.id, theme, path, words });
      }
    } finally {
      stage.close();
    }
  }
  files[APPROACH] = strToU8(approachOf(document, derived, await ownFaces()).svg);
  signal.throwIfAborted();
  onStep('putting it together', count, count);
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
