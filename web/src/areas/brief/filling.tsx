import { MADE_MANNERS, type MadeManner } from '@garnish/core/image/made/kinds';
import { picturePlaces } from '@garnish/core/system/made-pictures';
import { useMemo, useState } from 'react';
import { useMadePictures } from '../../system/made-pictures.ts';
import { useSystem } from '../../system/system-context.ts';
import { Choice } from '../../ui/choice.tsx';

const pictures = (count: number): string => `${count} ${count === 1 ? 'picture' : 'pictures'}`;

/** Empty places filled at once with drawings in the palette, until there is something to show. */
export function Filling() {
  const content = useSystem(({ decided }) => decided.document.content);
  const places = useMemo(() => picturePlaces(content), [content]);
  const [manner, setManner] = useState<MadeManner>('flat');
  const { done, told, draw, stop } = useMadePictures();
  const open = places.filter(({ picture }) => picture === undefined);
  const empty = open.filter(({ isKept }) => isKept);
  const made = places.filter(({ picture }) => picture?.made !== undefined);
  if (places.length === 0)
    return <p className="text-quiet">No section of the pages has room for a picture.</p>;
  return (
    <div className="grid gap-y-1">
      <div className="flex flex-wrap items-baseline gap-x-4">
        <span className="text-quiet">drawn</span>
        <Choice
          label="How pictures are drawn"
          options={MADE_MANNERS.map((value) => ({ value, name: value }))}
          value={manner}
          onChange={setManner}
        />
      </div>
      {done ? (
        <p className="flex items-baseline gap-x-4" role="status">
          <span className="figures">
            {done.now + 1} of {done.of}
          </span>
          <button type="button" className="act" onClick={stop}>
            Stop
          </button>
        </p>
      ) : (
        <div className="flex flex-wrap gap-x-5">
          {empty.length > 0 && (
            <button type="button" className="act" onClick={() => draw(empty, manner)}>
              Fill {empty.length === 1 ? 'the empty place' : `${empty.length} empty places`}
            </button>
          )}
          {open.length > empty.length && (
            <button type="button" className="act" onClick={() => draw(open, manner)}>
              Draw {pictures(open.length)}, wherever one can stand
            </button>
          )}
          {made.length > 0 && (
            <button type="button" className="act" onClick={() => draw(made, manner, true)}>
              Draw the {pictures(made.length)} again in the colors of now
            </button>
          )}
          {open.length === 0 && made.length === 0 && (
            <span className="text-quiet">Every place has a picture of your own.</span>
          )}
        </div>
      )}
      {told !== undefined && (
        <p role="alert" className="text-error">
          {told}
        </p>
      )}
    </div>
  );
}
