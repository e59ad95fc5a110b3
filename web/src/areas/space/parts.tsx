import { sideKey, sidesOf, SPACE_PARTS } from '@garnish/core/components/spaces';
import { useState } from 'react';
import { useSearchParams } from 'react-router';
import { SpacePartRow } from '../../proof/space-part-row.tsx';
import { useDecided } from '../../system/system-context.ts';

const AT = '/space/parts/';

/** Every space of the components, and which of them depart from their usual role. */
export function Parts() {
  const decided = useDecided(['space']);
  const [parameters] = useSearchParams();
  const { parts } = decided.document.space;
  // Whoever is led here to a space that takes its usual role sees it at once.
  const asked = parameters.get('at') ?? '';
  const isAsked = asked.startsWith(AT) && !Object.hasOwn(parts, asked.slice(AT.length));
  const [all, setAll] = useState(isAsked);
  const isDecided = (id: string): boolean =>
    [id, ...sidesOf(id).map((side) => sideKey(id, side))].some((key) => Object.hasOwn(parts, key));
  const decidedHere = Object.keys(SPACE_PARTS).filter(isDecided);
  const others = Object.keys(SPACE_PARTS).filter((id) => !isDecided(id));
  return (
    <div>
      {decidedHere.length > 0 && (
        <ul aria-label="Spaces decided one by one">
          {decidedHere.map((id) => (
            <SpacePartRow key={id} id={id} />
          ))}
        </ul>
      )}
      {decidedHere.length === 0 && (
        <p className="text-quiet">Every space takes its usual role; nothing departs from it.</p>
      )}
      <button type="button" className="act" aria-expanded={all} onClick={() => setAll(!all)}>
        {all ? 'Only those that depart' : `All ${others.length} others`}
      </button>
      {all && (
        <ul aria-label="Spaces with their usual role">
          {others.map((id) => (
            <SpacePartRow key={id} id={id} />
          ))}
        </ul>
      )}
    </div>
  );
}
