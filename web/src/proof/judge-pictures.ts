import type { JudgedPicture } from '@garnish/core/checks/measured-pictures';
import { REFLOW_PX } from '@garnish/core/checks/page/reflow';
import { treatedIn } from '@garnish/core/derive/color/treatments';
import { veilColor } from '@garnish/core/derive/color/veil';
import { sectionsOverPictures } from '@garnish/core/proof/texts';
import { inOrder, MODES } from '@garnish/core/system/document';
import { patched } from '@garnish/core/system/patch';
import { modesOf } from '@garnish/core/system/themes';
import { inksOf, veilIn } from '@garnish/core/system/veils';
import { createViewer, type View } from '../system/views.ts';
import type { VeilCase, VeilSentence } from './judge-worker.ts';
import { measureOver, type PictureOnPage } from './measure-hero.ts';
import { neededOf } from './starting-look.ts';

const WIDE_PX = 1440;

/** The widths at which words over pictures are judged: the ends, where anything bends, and between them, where the crop moves. */
export function judgedWidths({
  document: { layout, type },
}: Pick<View, 'document'>): readonly number[] {
  const ends = [
    REFLOW_PX,
    ...inOrder(type.anchors).map(([, { width }]) => width),
    ...inOrder(layout.breakpoints).map(([, { width }]) => width),
    WIDE_PX,
  ];
  const sorted = [...new Set(ends)].sort((one, other) => one - other);
  return sorted.flatMap((width, index) => {
    const next = sorted[index + 1];
    return next === undefined ? [width] : [width, Math.round((width + next) / 2)];
  });
}

/** What else of a picture could stay in view: its corners, the middles of its sides, its middle. */
const CROPS = [0.5, 0, 1].flatMap((y) => [0.5, 0, 1].map((x) => ({ x, y })));

/** Asks a worker that is there for one judgment. */
const sentenceOf = (worker: Worker, asked: VeilCase): Promise<VeilSentence> =>
  new Promise((resolve, reject) => {
    worker.onmessage = ({ data }: MessageEvent<VeilSentence>) => {
      if (data.id === asked.id) resolve(data);
    };
    worker.onerror = () => reject(new Error('the judge has gone'));
    worker.postMessage(asked);
  });

/** Pictures that are judged together: of one veil, with the same done to them. */
function alike(
  places: readonly PictureOnPage[],
  { document: { layout }, derived: { colors } }: View,
): readonly (readonly PictureOnPage[])[] {
  const groups = new Map<string, PictureOnPage[]>();
  for (const place of places) {
    const done = MODES.map((mode) => treatedIn(layout, place.role, colors, mode) ?? null);
    const key = JSON.stringify([place.veil, done]);
    groups.set(key, [...(groups.get(key) ?? []), place]);
  }
  return [...groups.values()];
}

export interface Judge {
  /** Every picture with words over it; nothing where it was called off. */
  readonly judged: (
    view: View,
    isOff: () => boolean,
  ) => Promise<readonly JudgedPicture[] | undefined>;
  readonly close: () => void;
}

/** Judges words over pictures on their pixels, off the main thread; what cannot be read is told. */
export function createJudge(): Judge {
  let worker: Worker | undefined;
  let viewer: ReturnType<typeof createViewer> | undefined;
  let count = 0;
  const judge = async (
    view: View,
    places: readonly PictureOnPage[],
  ): Promise<JudgedPicture | undefined> => {
    const { document, derived } = view;
    const [first] = places;
    const veilId = first?.veil ?? '';
    const veil = document.color.veils.items[veilId];
    if (!veil || !first) return undefined;
    const modes = MODES.filter((mode) => modesOf(derived.themes).includes(mode));
    const frames = places.flatMap((place) =>
      place.frames.map((frame) => ({
        page: place.page,
        screenPx: frame.screenPx,
        width: frame.width,
        height: frame.height,
        boxes: frame.boxes.map((box) => ({
          ...box,
          inks: modes.map((mode) => box.inks[mode]),
          needed: neededOf(box.text, view),
        })),
      })),
    );
    worker ??= new Worker(new URL('./judge-worker.ts', import.meta.url), { type: 'module' });
    count += 1;
    const sentence = await sentenceOf(worker, {
      id: count,
      address: `/proof/pictures/${veil.picture.file}`,
      frames,
      veil: {
        side: veil.side,
        share: veil.pixels,
        ...(veil.crop && { crop: veil.crop }),
        crops: CROPS,
        themes: modes.map((mode) => {
          const { ink, strength } = veilIn(veil, mode);
          return {
            color: veilColor(veil, derived.colors, mode),
            strength,
            treated: treatedIn(document.layout, first.role, derived.colors, mode),
            inks: inksOf(document.color).flatMap((role) => {
              const color = derived.colors.get(role)?.colors[mode];
              return role === ink || color === undefined ? [] : [{ id: role, ink: color }];
            }),
          };
        }),
      },
    }).catch(() => {
      // One that failed is not asked again: the next question gets another.
      worker?.terminate();
      worker = undefined;
      return undefined;
    });
    if (sentence?.ok !== true)
      return {
        veil: veilId,
        role: first.role,
        selector: first.selector,
        texts: [],
        themes: {},
        isUnread: true,
      };
    const { proofs, themes, crop } = sentence.verdict;
    return {
      veil: veilId,
      role: first.role,
      selector: first.selector,
      crop,
      themes: Object.fromEntries(modes.map((mode, theme) => [mode, themes[theme]])),
      texts: frames.flatMap(({ page, screenPx, boxes }, at) =>
        boxes.flatMap(({ text, needed, inks }, box) =>
          modes.flatMap((mode, theme) => {
            const proof = proofs[at]?.[box]?.[theme];
            return proof
              ? [
                  {
                    page,
                    screenPx,
                    mode,
                    text,
                    needed,
                    ink: inks[theme] ?? '#000000',
                    lowest: proof.lowest,
                    passing: proof.passing,
                  },
                ]
              : [];
          }),
        ),
      ),
    };
  };
  /** Whether all reads with the words at the other end of the picture; asked only where something falls short. */
  const readsAtOtherEnd = async (
    view: View,
    { veil: id, texts }: JudgedPicture,
    isOff: () => boolean,
  ): Promise<boolean> => {
    const veil = view.document.color.veils.items[id];
    const isRead = (all: JudgedPicture['texts']): boolean =>
      all.length > 0 && all.every(({ passing }) => passing >= (veil?.pixels ?? 1));
    if (!veil || texts.length === 0 || isRead(texts)) return false;
    const path = `/color/veils/items/${id}/atHead`;
    const next = patched(view.document, [
      veil.atHead ? { op: 'remove', path } : { op: 'add', path, value: true },
    ]);
    if (!next.ok) return false;
    viewer ??= createViewer();
    const other = viewer(next.document);
    const pages = [...new Set(texts.map(({ page }) => page))];
    const places = await measureOver(other, judgedWidths(other), pages, isOff);
    if (isOff()) return false;
    const asked = alike(
      places.filter((place) => place.veil === id),
      other,
    );
    for (const own of asked) {
      const there = await judge(other, own);
      if (!there || !isRead(there.texts)) return false;
    }
    return asked.length > 0;
  };
  return {
    async judged(view, isOff) {
      const pages = sectionsOverPictures(view.document.content).flatMap(({ page }) => page ?? []);
      if (pages.length === 0) return [];
      const places = await measureOver(view, judgedWidths(view), [...new Set(pages)], isOff);
      const all: JudgedPicture[] = [];
      for (const own of alike(places, view)) {
        if (isOff()) return undefined;
        const one = await judge(view, own);
        if (one) all.push({ ...one, otherEnd: await readsAtOtherEnd(view, one, isOff) });
      }
      return isOff() ? undefined : all;
    },
    close: () => worker?.terminate(),
  };
}
