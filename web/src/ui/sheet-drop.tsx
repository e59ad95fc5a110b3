import type { ReactNode } from 'react';
import { FileDrop } from './file-drop.tsx';

/** What may be chosen: style sheets and pages, or an archive of them. */
const CHOOSABLE = /\.(css|x?html?|zip)$/i;

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
    accept=".css,.html,.htm,.xhtml,.zip"
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
