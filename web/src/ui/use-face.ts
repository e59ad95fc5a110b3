import { isFirst, type FontFamily } from '@garnish/core/fonts/family';
import { useEffect } from 'react';

interface FaceFile {
  readonly name: string;
  readonly weight: { readonly min: number; readonly max: number };
}

const loaded = new Set<string>();

/** Registers a face's file once; the browser fetches it when something is set in it. */
function register(family: string, { name, weight }: FaceFile): void {
  if (loaded.has(name)) return;
  loaded.add(name);
  const face = new FontFace(family, `url("/proof/fonts/${name}")`, {
    weight: weight.min === weight.max ? String(weight.min) : `${weight.min} ${weight.max}`,
    display: 'swap',
  });
  document.fonts.add(face);
}

/** Our own name for a face, so that it never meets a font of the interface or of the computer. */
export const previewName = (family: string): string => `Shown ${family}`;

export function registerFaces(family: string, files: readonly FaceFile[]): void {
  for (const file of files) register(previewName(family), file);
}

/**
 * A `font-family` value for setting words of the interface in a family of the system. Its file is
 * asked for after `waitMs`, so that a list that flies past asks for nothing.
 */
export function useFace({ name, files, stack }: FontFamily, waitMs = 0): string {
  useEffect(() => {
    const ask = (): void =>
      registerFaces(
        name,
        files.filter((file) => isFirst(file) && file.style === 'normal'),
      );
    if (waitMs === 0) {
      ask();
      return undefined;
    }
    const timer = setTimeout(ask, waitMs);
    return () => clearTimeout(timer);
  }, [name, files, waitMs]);
  return stack ?? `"${previewName(name)}", system-ui`;
}
