import { ChevronDown } from 'lucide-react';
import { useEffect, useEffectEvent, useRef, useState, type FocusEvent } from 'react';
import { ListBox, ListBoxItem, Popover, type Key } from 'react-aria-components';
import { useTryList, type Candidate } from '../../system/use-try-list.ts';

export interface Option extends Candidate {
  readonly name: string;
  /** The color that it has in the theme that is shown. */
  readonly hex?: string | undefined;
}

const Swatch = ({ hex }: { readonly hex: string | undefined }) =>
  hex === undefined ? null : (
    <span
      aria-hidden
      className="inline-block h-3 w-3 shrink-0 border border-line"
      style={{ background: hex }}
    />
  );

interface ListProps {
  readonly label: string;
  readonly options: readonly Option[];
  readonly value: string;
  readonly onTaken: () => void;
  readonly onClosed: () => void;
}

/** The list while it is open: what is pointed at or reached by key is tried everywhere at once. */
function OpenList({ label, options, value, onTaken, onClosed }: ListProps) {
  const list = useTryList(options, value);
  const back = useEffectEvent(onClosed);
  // When it has gone, what it hid can be reached again.
  useEffect(() => () => queueMicrotask(back), []);
  const optionAt = (key: Key | undefined): Option | undefined =>
    options.find(({ id }) => id === key);
  const reach = ({ target }: FocusEvent): void => {
    const option = optionAt(target.closest<HTMLElement>('[data-key]')?.dataset['key']);
    if (option) list.show(option);
  };
  return (
    <div onFocus={reach} onMouseLeave={list.goBack}>
      <ListBox
        // The list opens where the focus is to be.
        autoFocus
        aria-label={label}
        selectionMode="single"
        disallowEmptySelection
        defaultSelectedKeys={[value]}
        onSelectionChange={(keys) => {
          const option = keys === 'all' ? undefined : optionAt([...keys][0]);
          if (option) list.take(option);
          onTaken();
        }}
        className="max-h-72 min-w-44 overflow-auto py-1 outline-none"
      >
        {options.map((option) => (
          <ListBoxItem
            key={option.id}
            id={option.id}
            textValue={option.name}
            onHoverStart={() => list.point(option)}
            className="flex min-h-6 cursor-pointer items-center gap-x-2 px-3 outline-none data-[focused]:bg-base-200 data-[hovered]:bg-base-200 data-[selected]:font-semibold"
          >
            <Swatch hex={option.hex} />
            {option.name}
          </ListBoxItem>
        ))}
      </ListBox>
    </div>
  );
}

interface TakesProps {
  /** What takes it. */
  readonly label: string;
  /** The first is what it follows. */
  readonly options: readonly Option[];
  readonly value: string;
  readonly isOwn: boolean;
}

/** What a part takes, and all that it may take in a list that opens; candidates are tried before they are taken. */
export function Takes({ label, options, value, isOwn }: TakesProps) {
  const opener = useRef<HTMLButtonElement>(null);
  const [isOpen, setOpen] = useState(false);
  const chosen = options.find(({ id }) => id === value);
  return (
    <>
      <button
        ref={opener}
        type="button"
        aria-label={`${label} takes`}
        aria-haspopup="listbox"
        aria-expanded={isOpen}
        className={`flex min-h-6 min-w-0 items-center gap-x-1.5 text-start hover:underline ${isOwn ? 'font-semibold' : ''}`}
        onClick={() => setOpen(true)}
      >
        <span className="min-w-0 truncate">{chosen?.name ?? value}</span>
        <ChevronDown size={13} aria-hidden className="shrink-0 text-quiet" />
      </button>
      <Popover
        triggerRef={opener}
        isOpen={isOpen}
        onOpenChange={setOpen}
        placement="bottom start"
        className="border border-line-strong bg-base-100 text-sm"
      >
        <OpenList
          label={`${label} may take`}
          options={options}
          value={value}
          onTaken={() => setOpen(false)}
          onClosed={() => opener.current?.focus()}
        />
      </Popover>
    </>
  );
}
