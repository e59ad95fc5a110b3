import { salienceOf, type Salience } from '@garnish/core/image/salience';

/** More spots than are told, because some lie on one thing. */
const MOST = 16;

export type SalienceQuestion = ImageData;
export type SalienceAnswer = Salience;

self.onmessage = ({ data }: MessageEvent<SalienceQuestion>) => {
  const found: SalienceAnswer = salienceOf(data, MOST);
  self.postMessage(found, { transfer: [found.map.buffer] });
};
