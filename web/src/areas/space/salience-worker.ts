import { salienceOf, type Salience } from '@garnish/core/image/salience';

export type SalienceQuestion = ImageData;
export type SalienceAnswer = Salience;

self.onmessage = ({ data }: MessageEvent<SalienceQuestion>) => {
  const found: SalienceAnswer = salienceOf(data, 0);
  self.postMessage(found, { transfer: [found.map.buffer] });
};
