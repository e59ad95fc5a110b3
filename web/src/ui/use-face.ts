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

/** A `font-family` value for setting words of the interface in a family of the system. */
export function useFace({ name, files, stack }: FontFamily): string {
  useEffect(() => {
    registerFaces(
      name,
      files.filter((file) => isFirst(file) && file.style === 'normal'),
    );
  }, [name, files]);
  return stack ?? `"${previewName(name)}", system-ui`;
}
