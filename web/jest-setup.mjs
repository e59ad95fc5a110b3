// What browsers have and the document without one that some tests run in has not.
import { TextDecoder, TextEncoder } from 'node:util';

globalThis.TextEncoder ??= TextEncoder;
globalThis.TextDecoder ??= TextDecoder;

// jsdom has no media (what asks for one is told that it does not hold) and no names of CSS.
globalThis.matchMedia ??= (media) => ({
  media,
  matches: false,
  addEventListener: () => undefined,
  removeEventListener: () => undefined,
});
globalThis.CSS ??= {
  escape: (text) => text.replaceAll(/[^\w-]/g, String.raw`\$&`),
  supports: () => false,
};
