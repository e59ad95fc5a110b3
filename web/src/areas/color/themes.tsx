import { THEMES, THEMES_SAY, themesOf, type Themes } from '@garnish/core/system/themes';
import { useDecided, useStore } from '../../system/system-context.ts';
import { TryChoice } from '../../system/try-choice.tsx';

const PATH = '/color/themes';

/** Which themes the site has, and which one stands where nothing is said. */
export function ThemesChoice() {
  const store = useStore();
  const { document } = useDecided(['color']);
  const themes = themesOf(document);
  const choose = (next: Themes): void => {
    if (next === themes) return;
    store.change(
      [
        next === 'light and dark'
          ? { op: 'remove', path: PATH }
          : { op: 'add', path: PATH, value: next },
      ],
      `themes: ${next}`,
    );
  };
  return (
    <div data-decision={PATH}>
      <TryChoice
        label="Themes"
        options={THEMES.map((value) => ({ value, name: value }))}
        value={themes}
        onChange={choose}
      />
      <p className="text-quiet">{THEMES_SAY[themes]}</p>
    </div>
  );
}
