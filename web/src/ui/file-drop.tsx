import { useId, useState, type ReactNode } from 'react';

interface FileDropProps {
  /** What the whole is about, for whoever does not see it. */
  readonly name: string;
  /** What the link that opens the file dialog says. */
  readonly label: string;
  readonly accept: string;
  readonly multiple?: boolean;
  readonly className?: string;
  readonly onFiles: (files: readonly File[]) => void;
  readonly children?: ReactNode;
}

/** A place that takes files: dropped anywhere on it, or chosen by its link. */
export function FileDrop(props: FileDropProps) {
  const { name, label, accept, multiple = false, className = '', onFiles, children } = props;
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
        onFiles([...event.dataTransfer.files]);
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
      {children}
    </div>
  );
}
