import { zipSync, type Zippable } from 'fflate';

const scope = self as unknown as {
  onmessage: (event: MessageEvent<Zippable>) => void;
  postMessage: (answer: Uint8Array, transfer: Transferable[]) => void;
};

scope.onmessage = ({ data }) => {
  const bytes = zipSync(data, { level: 6 });
  scope.postMessage(bytes, [bytes.buffer]);
};
