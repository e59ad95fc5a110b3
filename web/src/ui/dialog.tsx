import { useId, useLayoutEffect, useRef, type ReactNode } from 'react';

interface DialogProps {
  readonly title: string;
  readonly children: ReactNode;
  /** Left out where a choice has to be made before anything else. */
  readonly onClose?: () => void;
  readonly hideTitle?: boolean;
  readonly wide?: boolean;
}

/** A modal dialog of the browser's own: focus stays inside and returns, Escape closes. */
export function Dialog({ title, children, onClose, hideTitle = false, wide = false }: DialogProps) {
  const dialog = useRef<HTMLDialogElement>(null);
  const id = useId();
  // Closed before it is taken away: only then does the browser give the focus back.
  useLayoutEffect(() => {
    const open = dialog.current;
    if (open && !open.open) open.showModal();
    return () => open?.close();
  }, []);
  return (
    <dialog
      ref={dialog}
      aria-labelledby={id}
      className={`m-auto ${wide ? 'mt-[5vh] max-h-[93svh] w-[min(80rem,calc(100vw-2rem))]' : 'mt-[12vh] max-h-[86svh] w-[min(34rem,calc(100vw-2rem))]'} overflow-y-auto border border-line-strong bg-base-100 p-4 text-base-content shadow-xl backdrop:bg-black/30`}
      onCancel={(event) => {
        event.preventDefault();
        onClose?.();
      }}
      onClick={(event) => {
        if (event.target === dialog.current) onClose?.();
      }}
    >
      <h2 id={id} className={hideTitle ? 'sr-only' : 'mb-2 font-semibold'}>
        {title}
      </h2>
      {children}
    </dialog>
  );
}
