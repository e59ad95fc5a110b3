/**
 * The arrangement of the proof's own page: where things stand, never what they look like or how far
 * they stand apart. It is not exported, so it may say nothing that the exported sheet decides.
 */
export const ARRANGEMENT = `
*, *::before, *::after { box-sizing: border-box; }
body, h1, h2, h3, h4, h5, h6, p, table, ul, dl, dd { margin: 0; }
ul { padding: 0; list-style: none; }
th, td { padding: 0; }
html { overflow-x: clip; }
.site { min-block-size: 100vh; }
:where(.site-header) { display: flex; flex-wrap: wrap; align-items: center; justify-content: space-between; }
.site-header { align-items: center; border-block-end: var(--edge-line, 1px) solid var(--table-line, currentcolor); }
.site-name { display: flex; align-items: center; min-inline-size: 0; }
.site-nav { display: flex; flex-wrap: wrap; }
.nav-link { text-decoration: none; display: inline-flex; align-items: center; }
.site-main { display: grid; grid-template-columns: minmax(0, 1fr); }
.hero { display: grid; }
.actions { display: flex; flex-wrap: wrap; }
.button, .quiet-button { display: inline-flex; align-items: center; text-decoration: none; }
.quiet-button { border-style: solid; }
.notice { border-inline-start-style: solid; }
/* What is out of sight is not laid out; its size is remembered. */
.block, .site > footer { content-visibility: auto; contain-intrinsic-size: auto 30rem; overflow-clip-margin: 3rem; }
.block { display: grid; grid-template-columns: minmax(0, 1fr); }
.table { border-collapse: collapse; inline-size: 100%; font-variant-numeric: tabular-nums; }
.table th, .table td { text-align: start; border-block-end-width: var(--edge-line, 1px); border-block-end-style: solid; border-color: inherit; vertical-align: baseline; overflow-wrap: anywhere; }
.card { container-type: inline-size; display: grid; align-content: start; }
.alert { display: grid; justify-items: start; align-content: start; border-style: solid; }
.form { display: grid; grid-template-columns: minmax(0, 1fr); }
.form-row { display: grid; }
.field { display: flex; align-items: center; border-style: solid; }
.artwork { margin: 0; }
.artwork svg { display: block; max-inline-size: 100%; block-size: auto; }
.over-picture { position: relative; display: grid; min-block-size: 26rem; align-items: end; overflow: clip; }
.hero-picture, .hero-veil { position: absolute; inset: 0; inline-size: 100%; block-size: 100%; object-fit: cover; }
.hero-words { position: relative; display: grid; }
.questions { display: grid; grid-template-columns: minmax(0, 1fr); }
.question { display: grid; grid-template-columns: minmax(0, 1fr); }
.footer-group { display: grid; align-content: start; justify-items: start; }
.footer-links { display: grid; justify-items: start; }
.footer-link { display: inline-flex; align-items: center; text-decoration: none; }
.site-footer { display: grid; border-block-start: var(--edge-line, 1px) solid var(--table-line, currentcolor); }
h1, h2, h3, h4, h5, h6 { overflow-wrap: break-word; }
h1 { text-wrap: balance; }
`;
