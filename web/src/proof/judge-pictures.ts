import type { JudgedPicture } from '@garnish/core/checks/measured-pictures';
import { REFLOW_PX } from '@garnish/core/checks/page/reflow';
import { neededContrast } from '@garnish/core/color/contrast';
import { veilColor } from '@garnish/core/derive/color/veil';
import { sectionsOf } from '@garnish/core/proof/texts';
import { inOrder, MODES } from '@garnish/core/system/document';
import { modesOf } from '@garnish/core/system/themes';
import { ROOT_PX } from '@garnish/core/type/fluid';
import type { View } from '../system/views.ts';
import type { VeilCase, VeilSentence } from './judge-worker.ts';
import { measureOver, type PictureOnPage } from './measure-hero.ts';

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

/** Asks a worker that is there for one judgment. */
const sentenceOf = (worker: Worker, asked: VeilCase): Promise<VeilSentence> =>
  new Promise((resolve, reject) => {
    worker.onmessage = ({ data }: MessageEvent<VeilSentence>) => {
      if (data.id === asked.id) resolve(data);
    };
    worker.onerror = () => reject(new Error('the judge has gone'));
    worker.postMessage(asked);
  });

export interface Judge {
  /** Every picture with words over it; nothing where it was called off. */
  readonly judged: (
    view: View,
    isOff: () => boolean,
  ) => Promise<readonly JudgedPicture[] | undefined>;
  readonly close: () => void;
}

/** Judges words over pictures on their pixels, off the main thread; what cannot be read is not judged. */
export function createJudge(): Judge {
  let worker: Worker | undefined;
  let count = 0;
  const judge = async (
    { document, derived }: View,
    veilId: string,
    places: readonly PictureOnPage[],
  ): Promise<JudgedPicture | undefined> => {
    const veil = document.color.veils.items[veilId];
    const [first] = places;
    if (!veil || !first) return undefined;
    const modes = MODES.filter((mode) => modesOf(derived.themes).includes(mode));
    const frames = places.flatMap((place) =>
      place.frames.map((frame) => ({
        page: place.page,
        screenPx: frame.screenPx,
        width: frame.width,
        height: frame.height,
        boxes: frame.boxes.map((box) => {
          const style = derived.styles.get(box.text);
          return {
            ...box,
            inks: modes.map((mode) => box.inks[mode]),
            needed: style
              ? neededContrast(
                  style.size.minRem * ROOT_PX,
                  style.weight,
                  document.brief.conformance,
                )
              : 4.5,
          };
        }),
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
        strength: veil.strength,
        share: veil.pixels,
        colors: modes.map((mode) => veilColor(veil, derived.colors, mode)),
      },
    }).catch(() => {
      // One that failed is not asked again: the next question gets another.
      worker?.terminate();
      worker = undefined;
      return undefined;
    });
    if (sentence?.ok !== true) return undefined;
    const { proofs, least } = sentence.verdict;
    return {
      veil: veilId,
      selector: first.selector,
      least,
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
  return {
    async judged(view, isOff) {
      const pages = sectionsOf(view.document.content, 'opening').flatMap(({ own, page }) =>
        own.veil === undefined || page === undefined ? [] : [page],
      );
      if (pages.length === 0) return [];
      const places = await measureOver(view, judgedWidths(view), [...new Set(pages)], isOff);
      const all: JudgedPicture[] = [];
      for (const veil of new Set(places.map((place) => place.veil))) {
        if (isOff()) return undefined;
        const one = await judge(
          view,
          veil,
          places.filter((place) => place.veil === veil),
        );
        if (one) all.push(one);
      }
      return isOff() ? undefined : all;
    },
    close: () => worker?.terminate(),
  };
}
