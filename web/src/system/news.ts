const listeners = new Set<() => void>();

/** Tells whoever wants to know that something happened to the open system that is no change of it. */
export function tellNews(): void {
  for (const listener of listeners) listener();
}

export function onNews(listener: () => void): () => void {
  listeners.add(listener);
  return () => listeners.delete(listener);
}
