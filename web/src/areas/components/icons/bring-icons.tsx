import type { IconDrawing } from '@garnish/core/icons/drawing';
import { namingIcon } from '@garnish/core/system/icons';
import { useState } from 'react';
import { useStore } from '../../../system/system-context.ts';
import { FileDrop } from '../../../ui/file-drop.tsx';

interface Brought {
  readonly name: string;
  readonly said: readonly string[];
  readonly isWrong: boolean;
  /** The icon that it became, and it with strokes of one width, where they differ. */
  readonly id?: string;
  readonly even?: IconDrawing;
}

const nameOf = (file: string): string =>
  file
    .replace(/\.svg$/i, '')
    .replaceAll(/[-_]+/g, ' ')
    .trim()
    .slice(0, 80) || 'Icon';

interface BringIconsProps {
  readonly target: { readonly id: string; readonly name: string } | undefined;
}

/** SVG of one’s own by file, dropped or pasted: cleaned, cropped to what is drawn, and told what was lost. */
export function BringIcons({ target }: BringIconsProps) {
  const store = useStore();
  const [brought, setBrought] = useState<readonly Brought[]>([]);

  const take = async (name: string, text: string, isOnly: boolean): Promise<Brought> => {
    const { readIcon, cropped, evened, measureIcon } = await import('./reading.ts');
    const reading = readIcon(text);
    if (!reading.ok)
      return { name, isWrong: true, said: [`${reading.problem} Nothing was changed.`] };
    const { drawing, cut } = cropped(reading.drawing);
    const measures = measureIcon(drawing);
    if (!measures)
      return { name, isWrong: true, said: ['Nothing of it is seen. Nothing was changed.'] };
    const id = isOnly && target ? target.id : `own-${crypto.randomUUID().slice(0, 8)}`;
    const patch = namingIcon(store.state().decided.document, id, {
      name: isOnly && target ? target.name : nameOf(name),
      drawing,
      measures,
    });
    if (!store.change(patch, `icon ${nameOf(name)} brought`))
      return { name, isWrong: true, said: ['It could not be taken. Nothing was changed.'] };
    const most = Math.max(...cut.map(Math.abs));
    const even = evened(drawing);
    return {
      name,
      isWrong: false,
      id,
      ...(even !== drawing && { even }),
      said: [
        ...(most > 0.005
          ? [
              `Cropped to what is drawn: ${cut.map((share) => `${Math.round(share * 100)} %`).join(', ')} of the box was empty above, at the end, below and at the start.`,
            ]
          : []),
        ...reading.lost,
        ...(even !== drawing ? ['Its strokes are of several widths.'] : []),
      ],
    };
  };
  const bring = async (files: readonly { name: string; text: () => Promise<string> }[]) => {
    const all: Brought[] = [];
    for (const file of files)
      all.push(
        await take(file.name, await file.text(), files.length === 1).catch(() => ({
          name: file.name,
          isWrong: true,
          said: ['It could not be read. Nothing was changed.'],
        })),
      );
    setBrought(all);
  };
  const even = async (one: Brought): Promise<void> => {
    const { measureIcon } = await import('./reading.ts');
    const measures = one.even && measureIcon(one.even);
    if (!one.even || one.id === undefined || !measures) return;
    const { document } = store.state().decided;
    const { name = one.name } = document.icons.named.items[one.id] ?? {};
    store.change(
      namingIcon(document, one.id, { name, drawing: one.even, measures }),
      `strokes of ${name} made even`,
    );
    setBrought((before) =>
      before.map(({ even: _even, ...rest }) =>
        rest.id === one.id ? { ...rest, said: ['Its strokes are of one width now.'] } : rest,
      ),
    );
  };
  return (
    <div>
      <div className="flex flex-wrap items-center gap-x-5 gap-y-1">
        <FileDrop
          name="Icons from files"
          label="Bring SVG files"
          accept=".svg,image/svg+xml"
          multiple
          onFiles={(files) => void bring(files)}
        />
        <label className="flex min-w-48 grow items-center gap-x-2">
          <span className="shrink-0 text-quiet">or paste one</span>
          <input
            className="input min-w-0 grow"
            value=""
            placeholder="<svg …>"
            // What is typed is no drawing; what is pasted comes at once.
            onChange={({ currentTarget: { value } }) => {
              if (/<svg/i.test(value))
                void bring([{ name: 'Pasted', text: () => Promise.resolve(value) }]);
            }}
          />
        </label>
      </div>
      <ul aria-live="polite" className="grid gap-y-1">
        {brought.map((one, index) => (
          <li key={index} className={one.isWrong ? 'text-error' : 'text-quiet'}>
            <strong className="font-semibold">{one.name}</strong>{' '}
            {one.said.length === 0 ? 'is there, with nothing lost.' : one.said.join(' ')}{' '}
            {one.even && (
              <button type="button" className="act" onClick={() => void even(one)}>
                Make them even
              </button>
            )}
          </li>
        ))}
      </ul>
    </div>
  );
}
