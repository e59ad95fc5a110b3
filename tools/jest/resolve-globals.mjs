const globals = new URL('globals.mjs', import.meta.url).href;

/** A hook of Node's loader: who asks for `@jest/globals` gets what the runner has made global. */
export const resolve = (specifier, context, next) =>
  specifier === '@jest/globals' ? { url: globals, shortCircuit: true } : next(specifier, context);
