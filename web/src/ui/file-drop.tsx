import { useId, useState, type ReactNode } from 'react';

interface FileDropProps {
  /** What the whole is about, for whoever does not see it. */
  readonly name: string;
  /** What the link that opens the file dialog says. */
  readonly label: string;
  readonly accept: string;
  readonly multiple?: boolean;
  /** What the link says that opens a whole folder; none where it is absent. */
  readonly folders?: string;
  /** Which files of a folder are meant; all where nothing is said. */
  readonly isWanted?: (file: File) => boolean;
  readonly className?: string;
  readonly onFiles: (files: readonly File[]) => void;
  readonly children?: ReactNode;
}

/** So many files of dropped folders are looked at. */
const MOST_FILES = 1000;

const fileOf = (entry: FileSystemFileEntry): Promise<File | undefined> =>
  new Promise((resolve) => {
    entry.file(resolve, () => resolve(undefined));
  });

const someIn = (reader: FileSystemDirectoryReader): Promise<readonly FileSystemEntry[]> =>
  new Promise((resolve) => {
    reader.readEntries(resolve, () => resolve([]));
  });

const isFile = (entry: FileSystemEntry): entry is FileSystemFileEntry => entry.isFile;
const isFolder = (entry: FileSystemEntry): entry is FileSystemDirectoryEntry => entry.isDirectory;

/** Everything that was dropped, with what stands in dropped folders. */
async function filesIn({ items, files }: DataTransfer): Promise<readonly File[]> {
  const waiting = [...items].flatMap((item) => item.webkitGetAsEntry() ?? []);
  if (waiting.length === 0) return [...files];
  const found: File[] = [];
  for (let next = waiting.shift(); next && found.length < MOST_FILES; next = waiting.shift())
    if (isFile(next)) found.push(...[await fileOf(next)].flatMap((file) => file ?? []));
    else if (isFolder(next)) {
      const reader = next.createReader();
      // A folder tells a hundred at a time, and nothing when it is at its end.
      for (let some = await someIn(reader); some.length > 0; some = await someIn(reader))
        waiting.push(...some);
    }
  return found;
}

/** A place that takes files: dropped anywhere on it, or chosen by its link. */
export function FileDrop(props: FileDropProps) {
  const { name, label, accept, multiple = false, className = '', onFiles, children } = props;
  const { folders, isWanted = (): boolean => true } = props;
  const id = useId();
  const [over, setOver] = useState(false);
  return (
    <div
      role="group"
      aria-label={name}
      className={`${className} ${over ? 'outline-2 outline-primary' : ''}`}
      onDragOver={(event) => {
        event.preventDefault();
        setOver(true);
      }}
      onDragLeave={() => setOver(false)}
      onDrop={(event) => {
        event.preventDefault();
        setOver(false);
        const { dataTransfer } = event;
        if (folders === undefined) onFiles([...dataTransfer.files]);
        else void filesIn(dataTransfer).then((files) => onFiles(files.filter(isWanted)));
      }}
    >
      <label htmlFor={id} className="act relative">
        {label}
        <input
          id={id}
          type="file"
          multiple={multiple}
          accept={accept}
          className="absolute inset-0 cursor-pointer opacity-0"
          onChange={(event) => {
            onFiles([...(event.currentTarget.files ?? [])]);
            // The same file can be chosen again.
            event.currentTarget.value = '';
          }}
        />
      </label>
      {folders !== undefined && (
        <label className="act relative ms-3">
          {folders}
          <input
            type="file"
            multiple
            // React knows the attribute by this name alone.
            {...{ webkitdirectory: '' }}
            className="absolute inset-0 cursor-pointer opacity-0"
            onChange={(event) => {
              onFiles([...(event.currentTarget.files ?? [])].filter(isWanted));
              event.currentTarget.value = '';
            }}
          />
        </label>
      )}
      {children}
    </div>
  );
}
