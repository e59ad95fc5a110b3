import { useEffect } from 'react';
import type { SystemSummary } from '../api/resources.ts';
import { previewName, registerFaces } from '../ui/use-face.ts';

/** A small live picture: the faces on the page color, the scale, the colors. */
export function Portrait(props: SystemSummary['portrait'] & { readonly name: string }) {
  const { heading, text, files, colors, page, ink, sizes, name } = props;
  useEffect(() => {
    for (const { family, name: file, min, max } of files)
      registerFaces(family, [{ name: file, weight: { min, max } }]);
  }, [files]);
  const face = (family: string): string => `"${previewName(family)}", system-ui`;
  const largest = sizes.at(-1) ?? 1;
  return (
    <div
      className="grid h-36 grid-rows-[1fr_auto] overflow-hidden border border-line"
      style={{ background: page, color: ink }}
    >
      <div className="flex min-w-0 items-end justify-between gap-4 p-3">
        <div className="min-w-0">
          <p
            className="truncate text-2xl leading-tight"
            style={{ fontFamily: face(heading.family), fontWeight: heading.weight }}
          >
            {name}
          </p>
          <p
            className="truncate text-sm"
            style={{ fontFamily: face(text.family), fontWeight: text.weight }}
          >
            {heading.family === text.family ? text.family : `${heading.family} with ${text.family}`}
          </p>
        </div>
        <p
          className="flex shrink-0 items-baseline gap-0.5 leading-none"
          style={{ fontFamily: face(heading.family), fontWeight: heading.weight }}
        >
          {sizes.map((size) => (
            <span key={size} style={{ fontSize: Math.max(5, (size / largest) * 44) }}>
              a
            </span>
          ))}
        </p>
      </div>
      <div className="flex h-6">
        {colors.map((color, index) => (
          <span key={index} className="grow" style={{ background: color }} />
        ))}
      </div>
    </div>
  );
}
