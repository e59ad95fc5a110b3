import type { Category } from '@garnish/core/fonts/family';

/** The shipped families by kind, each by the package that carries it (`=` for one file a weight). */
const BY_KIND: Readonly<Record<Category, string>> = {
  sans: `albert-sans archivo assistant atkinson-hyperlegible-next cabin commissioner dm-sans encode-sans
    epilogue figtree golos-text hanken-grotesk instrument-sans karla libre-franklin manrope mulish
    noto-sans nunito-sans onest open-sans outfit public-sans rubik schibsted-grotesk source-sans-3
    work-sans =alegreya-sans =fira-sans =pt-sans`,
  serif: `alegreya =amiri baskervville brygada-1918 cormorant-garamond crimson-pro domine eb-garamond
    gelasio libre-baskerville literata lora merriweather newsreader noto-serif petrona piazzolla
    roboto-serif source-serif-4 stix-two-text vollkorn =cardo =pt-serif =spectral`,
  slab: `bitter roboto-slab rokkitt =aleo =arvo =crete-round =zilla-slab`,
  display: `bodoni-moda bricolage-grotesque fraunces gabarito josefin-sans league-spartan oswald
    playfair-display syne unbounded =abril-fatface =alfa-slab-one =bebas-neue =dm-serif-display
    =righteous`,
  hand: `caveat dancing-script playpen-sans shantell-sans =architects-daughter =kalam
    =patrick-hand`,
  mono: `azeret-mono inconsolata martian-mono overpass-mono sometype-mono source-code-pro =space-mono`,
};

export const FAMILIES: readonly (readonly [packageName: string, category: Category])[] =
  Object.entries(BY_KIND).flatMap(([category, names]) =>
    names
      .split(/\s+/)
      .map(
        (name) =>
          [
            name.startsWith('=') ? `@fontsource/${name.slice(1)}` : `@fontsource-variable/${name}`,
            category as Category,
          ] as const,
      ),
  );
