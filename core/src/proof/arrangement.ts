/** The widest that the page's content gets, and its opening words, in rem. */
export const CONTENT_REM = 64;
export const HERO_REM = 44;

/** The column in which the page sets running text, in rem; a role’s own longest line narrows it. */
export const PROSE_REM = 40;

/**
 * The arrangement of the proof's own page: where things stand, never what they look like. It is not
 * exported, so it may say nothing that the exported sheet decides.
 */
export const ARRANGEMENT = `
*, *::before, *::after { box-sizing: border-box; }
body, h1, h2, h3, h4, h5, h6, p, table { margin: 0; }
html { overflow-x: clip; }
.site { min-block-size: 100vh; }
.site-header, .site-main, .site-footer { inline-size: min(100% - 2 * var(--space-inset), ${CONTENT_REM}rem); margin-inline: auto; }
.site-header { display: flex; flex-wrap: wrap; align-items: center; justify-content: space-between; gap: var(--space-stack) var(--space-inset); padding-block: var(--space-inset); border-block-end: 1px solid var(--table-line, currentcolor); }
.site-name { display: flex; align-items: center; gap: 0.5rem; min-inline-size: 0; }
.mark { inline-size: 2rem; block-size: 2rem; flex: none; }
.mark-a { fill: var(--color-link, currentcolor); }
.mark-b { fill: var(--color-action, currentcolor); }
.site-nav { display: flex; flex-wrap: wrap; gap: 0.25rem 1.5rem; }
.nav-link { text-decoration: none; padding-block: 0.25rem; }
.hero { padding-block: var(--space-section); max-inline-size: ${HERO_REM}rem; display: grid; gap: var(--space-stack); }
.actions { display: flex; flex-wrap: wrap; gap: var(--space-stack); margin-block-start: var(--space-stack); }
.button, .quiet-button { display: inline-block; padding-block: 0.75em; text-decoration: none; border-radius: 0.25rem; }
.quiet-button { border-width: 1px; border-style: solid; }
.notice { border-inline-start-width: 0.25rem; border-inline-start-style: solid; margin-block-end: var(--space-section); }
.block { content-visibility: auto; contain-intrinsic-size: auto 30rem; display: grid; gap: var(--space-stack); margin-block-end: var(--space-section); }
.prose { max-inline-size: ${PROSE_REM}rem; }
.table { border-collapse: collapse; inline-size: 100%; font-variant-numeric: tabular-nums; }
.table th, .table td { text-align: start; padding-block: 0.5em; padding-inline-end: 1em; border-block-end-width: 1px; border-block-end-style: solid; border-color: inherit; vertical-align: baseline; overflow-wrap: anywhere; }
.cards { display: grid; grid-template-columns: repeat(auto-fit, minmax(min(100%, 15rem), 1fr)); gap: var(--space-inset); }
.card { container-type: inline-size; display: grid; gap: var(--space-stack); align-content: start; padding: var(--space-inset); }
.alerts { display: grid; grid-template-columns: repeat(auto-fit, minmax(min(100%, 14rem), 1fr)); gap: var(--space-stack); }
.alert { display: grid; gap: 0.5rem; justify-items: start; align-content: start; padding: var(--space-stack); border-width: 1px; border-style: solid; }
.tag { padding: 0.125em 0.5em; border-radius: 0.125rem; }
.form-row { display: grid; gap: 0.25rem; }
.field { display: block; padding: 0.5em 0.75em; border-width: 1px; border-style: solid; max-inline-size: 24rem; }
.artwork { margin: 0 0 var(--space-section); }
.artwork svg { display: block; max-inline-size: 100%; block-size: auto; }
.over-picture { position: relative; max-inline-size: none; padding: 0; margin-block: var(--space-inset) var(--space-section); min-block-size: 26rem; align-items: end; overflow: clip; }
.hero-picture, .hero-veil { position: absolute; inset: 0; inline-size: 100%; block-size: 100%; object-fit: cover; }
.hero-words { position: relative; display: grid; gap: var(--space-stack); padding: var(--space-inset); max-inline-size: calc(${HERO_REM}rem + 2 * var(--space-inset)); }
.site-footer { padding-block: var(--space-inset) var(--space-section); border-block-start: 1px solid var(--table-line, currentcolor); }
h1, h2, h3, h4, h5, h6 { overflow-wrap: break-word; }
h1 { text-wrap: balance; }
`;
