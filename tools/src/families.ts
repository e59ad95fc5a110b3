import type { Category } from '@garnish/core/fonts/family';

/** The shipped families by kind, each by the package that carries it (`=` for one file a weight). */
const BY_KIND: Readonly<Record<Category, string>> = {
  sans: `albert-sans archivo asap assistant atkinson-hyperlegible-next cabin chivo commissioner dm-sans
    dosis encode-sans epilogue exo-2 figtree geist geologica golos-text hanken-grotesk ibm-plex-sans
    instrument-sans inter jost karla kumbh-sans lexend libre-franklin manrope montserrat mulish noto-sans
    nunito nunito-sans onest open-sans outfit overpass plus-jakarta-sans public-sans quicksand raleway
    red-hat-display red-hat-text roboto roboto-condensed rubik schibsted-grotesk sora source-sans-3
    space-grotesk urbanist work-sans =alegreya-sans =barlow =be-vietnam-pro =fira-sans =hind =lato
    =poppins =pt-sans =titillium-web =ubuntu-sans`,
  serif: `alegreya =amiri baskervville brygada-1918 cormorant-garamond crimson-pro domine eb-garamond
    gelasio libre-baskerville literata lora merriweather newsreader noto-serif petrona piazzolla
    roboto-serif source-serif-4 stix-two-text vollkorn =cardo =crimson-text =ibm-plex-serif =pt-serif
    =spectral`,
  slab: `bitter josefin-slab roboto-slab rokkitt =aleo =arvo =crete-round =zilla-slab`,
  display: `bodoni-moda bricolage-grotesque fraunces gabarito josefin-sans league-spartan oswald
    playfair playfair-display syne unbounded =abril-fatface =alfa-slab-one =anton =bebas-neue
    =dm-serif-display =instrument-serif =marcellus =righteous`,
  hand: `caveat dancing-script playpen-sans shantell-sans =architects-daughter =kalam
    =patrick-hand`,
  mono: `azeret-mono fira-code geist-mono inconsolata jetbrains-mono martian-mono overpass-mono
    roboto-mono sometype-mono source-code-pro =courier-prime =ibm-plex-mono =space-mono`,
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
