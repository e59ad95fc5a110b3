import { useKeptPages } from '../../system/kept-pages.ts';
import { keptPage } from '../../system/shown-page.ts';
import { useSystem } from '../../system/system-context.ts';

/** The pages that were read from outside, in the choice of pages. */
export default function KeptOptions() {
  const system = useSystem(({ id }) => id);
  const { data } = useKeptPages(system);
  const pages = data?.pages ?? [];
  return (
    pages.length > 0 && (
      <>
        <hr />
        {pages.map(({ id, name }) => (
          <option key={id} value={keptPage(id)}>
            {name}
          </option>
        ))}
      </>
    )
  );
}
