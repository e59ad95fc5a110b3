import { drawnAs } from '@garnish/core/system/made-pictures';
import type { PictureRole } from '@garnish/core/system/picture-roles';
import type { ShownPicture } from '@garnish/core/proof/sections/kind';
import { picturesOf } from '@garnish/core/system/pictures';
import { jsonOf } from '@garnish/core/system/patch';
import { useKeepingPicture } from '../../system/kept-picture.ts';
import { useMadePictures } from '../../system/made-pictures.ts';
import { useStore, useSystem } from '../../system/system-context.ts';
import { TrySelect } from '../../system/try-select.tsx';
import { FileDrop } from '../../ui/file-drop.tsx';
import { LineField } from '../../ui/line-field.tsx';

interface PictureFieldProps {
  /** Where the picture stands, or would stand, in the document. */
  readonly path: string;
  /** What it is the picture of. */
  readonly of: string;
  readonly picture: ShownPicture | undefined;
  /** What it is on the page. */
  readonly role: PictureRole;
}

/** The picture of a thing: from a file, or one that the system has already; with what it shows, for who does not see it. */
export function PictureField({ path, of, picture, role }: PictureFieldProps) {
  const store = useStore();
  const all = useSystem(({ decided }) => picturesOf(decided.document));
  const others = all.filter(({ file }) => file !== picture?.file);
  const set = (next: ShownPicture): void => {
    store.change([{ op: 'add', path, value: jsonOf(next) }], `picture of ${of}`.slice(0, 120));
  };
  const { take, busy, told } = useKeepingPicture(set);
  const { draw, done, told: failed } = useMadePictures();
  return (
    <div className="ps-7 pb-1.5">
      <FileDrop
        name={`Picture of ${of}`}
        label={picture ? 'Another file' : 'A picture from a file'}
        accept="image/*"
        className="flex flex-wrap items-center gap-x-3 gap-y-1"
        onFiles={([file]) => take(file)}
      >
        {(busy || done) && <span className="text-quiet">looking …</span>}
        <button
          type="button"
          className="act"
          aria-label={`${picture?.made ? 'Another drawing' : 'A drawing'} for ${of}`}
          onClick={() =>
            draw(
              [
                {
                  path,
                  role,
                  draws: drawnAs(role),
                  isKept: true,
                  of,
                  picture: picture?.made && picture,
                },
              ],
              undefined,
            )
          }
        >
          {picture?.made ? 'Another drawing' : 'Draw one'}
        </button>
        {others.length > 0 && (
          <TrySelect
            aria-label={`Picture of ${of} that is here already`}
            className="select min-h-6 w-auto max-w-40 py-0"
            value=""
            onChange={({ currentTarget: { value } }) => {
              const chosen = others.find(({ file }) => file === value);
              if (chosen) set(chosen);
            }}
          >
            <option value="">one that is here</option>
            {others.map(({ file, name }) => (
              <option key={file} value={file}>
                {name}
              </option>
            ))}
          </TrySelect>
        )}
        {picture && (
          <>
            <img
              src={`/proof/pictures/${picture.file}`}
              alt=""
              className="h-7 w-10 object-cover outline-1 outline-line"
            />
            <div className="min-w-32 flex-1">
              <LineField
                label={`What the picture of ${of} shows`}
                placeholder={picture.alt === '' ? 'decoration: passed over' : 'what it shows'}
                className="input min-h-6 w-full py-0"
                longest={250}
                value={picture.alt ?? (picture.made ? picture.name : '')}
                onChange={(alt) =>
                  store.change(
                    [{ op: 'add', path: `${path}/alt`, value: alt }],
                    `what the picture of ${of} shows`.slice(0, 120),
                  )
                }
              />
            </div>
            {picture.alt !== '' && (
              <button
                type="button"
                className="act"
                title="It says nothing that the words beside it do not say, and is passed over when the page is read aloud"
                aria-label={`The picture of ${of} is decoration`}
                onClick={() =>
                  store.change(
                    [{ op: 'add', path: `${path}/alt`, value: '' }],
                    `picture of ${of} is decoration`.slice(0, 120),
                  )
                }
              >
                decoration
              </button>
            )}
            <button
              type="button"
              className="act"
              aria-label={`No picture of ${of}`}
              onClick={() =>
                store.change([{ op: 'remove', path }], `no picture of ${of}`.slice(0, 120))
              }
            >
              none
            </button>
          </>
        )}
      </FileDrop>
      {(told ?? failed) !== undefined && (
        <p role="alert" className="text-error">
          {told === undefined ? failed : `${told} Nothing was changed.`}
        </p>
      )}
    </div>
  );
}
