import { create } from 'qrcode';

/** Light modules around a code, so that a camera finds it. Source: ISO/IEC 18004, 6.3.8: four. */
const QUIET = 4;

/** A text as a code that cameras read: the side of its square in modules, and the dark ones as the data of a path. */
export function qrCode(text: string): { readonly side: number; readonly path: string } {
  const { modules } = create(text, { errorCorrectionLevel: 'M' });
  const dark: string[] = [];
  for (let row = 0; row < modules.size; row += 1)
    for (let column = 0; column < modules.size; column += 1)
      if (modules.get(row, column) === 1) dark.push(`M${column + QUIET} ${row + QUIET}h1v1h-1z`);
  return { side: modules.size + 2 * QUIET, path: dark.join('') };
}
