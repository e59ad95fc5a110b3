import type { Hex } from '@garnish/core/color/srgb';
import { dither, type Dithering } from '@garnish/core/image/dither';

export interface DitherQuestion {
  readonly picture: ImageData;
  readonly colors: readonly Hex[];
  readonly dithering: Dithering;
}

export type DitherAnswer =
  | { readonly kind: 'share'; readonly share: number }
  | { readonly kind: 'done'; readonly picture: ImageData };

self.onmessage = ({ data: { picture, colors, dithering } }: MessageEvent<DitherQuestion>) => {
  const answer = (message: DitherAnswer): void => self.postMessage(message);
  dither(picture.data, picture.width, picture.height, colors, dithering, (share) => {
    answer({ kind: 'share', share });
    return true;
  });
  answer({ kind: 'done', picture });
};
