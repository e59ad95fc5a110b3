import type { ReactNode } from 'react';
import { FileDrop } from './file-drop.tsx';

/** What may be chosen: style sheets and pages, a page saved as one file, what pages show, or an archive of them. */
const CHOOSABLE =
  /\.(css|x?html?|mht(?:ml)?|zip|png|jpe?g|gif|webp|avif|svg|ico|bmp|woff2?|ttf|otf)$/i;

interface SheetDropProps {
  readonly name: string;
  readonly className?: string;
  readonly onFiles: (files: readonly File[]) => void;
  readonly children: ReactNode;
}

/** A place that takes style sheets and pages: files, folders or archives. */
export const SheetDrop = ({ name, className = '', onFiles, children }: SheetDropProps) => (
  <FileDrop
    name={name}
    label="Choose files"
    folders="a folder"
    accept=".css,.html,.htm,.xhtml,.mhtml,.mht,.zip,.png,.jpg,.jpeg,.gif,.webp,.avif,.svg,.woff,.woff2"
    multiple
    isWanted={(file) => CHOOSABLE.test(file.name)}
    className={`border border-dashed border-line-strong px-3 ${className}`}
    onFiles={(files) => {
      if (files.length > 0) onFiles(files);
    }}
  >
    <span className="ms-3 text-quiet">{children}</span>
  </FileDrop>
);
