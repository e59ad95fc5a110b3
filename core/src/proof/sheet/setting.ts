/**
 * How the sheet of parts is set: the places of its specimens, never their looks, which are the system’s own. It is
 * part of the window and not exported.
 */
export const SHEET_SETTING = `
.sheet { padding: 48px max(20px, 4vw) 120px; }
.sheet p, .sheet h1, .sheet h2 { margin: 0; }
.sheet-head { display: flex; flex-wrap: wrap; align-items: baseline; gap: 8px 24px; padding-block-end: 40px; }
.sheet-head > .logo { align-self: center; }
.sheet-head > :last-child { margin-inline-start: auto; }
.sheet-chapter { display: grid; grid-template-columns: minmax(0, 1fr); gap: 24px 40px; padding-block: 32px 64px; border-block-start: 1px solid color-mix(in srgb, currentcolor 30%, transparent); content-visibility: auto; contain-intrinsic-size: auto 40rem; overflow-clip-margin: 3rem; }
.sheet .sheet-content { font-size: 15px; line-height: 1.4; max-inline-size: none; }
.sheet .sheet-of-components > .sheet-content { font-size: inherit; line-height: inherit; }
.sheet-content { display: grid; grid-template-columns: minmax(0, 1fr); gap: 40px; min-inline-size: 0; }
@media (width >= 960px) { .sheet-chapter { grid-template-columns: 8.5rem minmax(0, 1fr); } }
.sheet-caption { font-variant-numeric: tabular-nums; overflow-wrap: anywhere; }
.sheet-named { display: grid; gap: 8px; align-content: end; min-inline-size: 0; }
.sheet-row { display: grid; gap: 16px; min-inline-size: 0; }
.sheet-faces { display: grid; grid-template-columns: repeat(auto-fit, minmax(min(100%, 20rem), 1fr)); gap: 40px; }
.sheet-face { display: grid; gap: 12px; }
.sheet-face-large { font-size: 128px; line-height: 1; }
.sheet-face-letters { font-size: 20px; line-height: 1.4; overflow-wrap: anywhere; }
.sheet-scale { display: flex; flex-wrap: wrap; align-items: end; gap: 12px 28px; }
.sheet-letter { line-height: 1; }
.sheet-texts { display: grid; gap: 28px; }
.sheet-text { display: grid; gap: 4px 32px; align-items: baseline; }
@media (width >= 720px) { .sheet-text { grid-template-columns: 13rem minmax(0, 1fr); } }
.sheet-ramp { display: grid; gap: 8px; }
.sheet-rungs { display: grid; grid-template-columns: repeat(16, minmax(0, 1fr)); gap: 8px 0; }
.sheet-rungs .sheet-named { gap: 4px; align-content: start; }
.sheet-rung { block-size: 56px; box-shadow: inset 0 0 0 1px color-mix(in srgb, currentcolor 10%, transparent); }
.sheet-rungs .sheet-value { display: none; }
@media (width >= 1360px) { .sheet-rungs .sheet-value { display: block; font-size: 0.85em; } }
@media (width < 720px) { .sheet-rungs { grid-template-columns: repeat(8, minmax(0, 1fr)); } }
.sheet-grounds { display: grid; grid-template-columns: repeat(auto-fit, minmax(min(100%, 17rem), 1fr)); gap: 24px; }
.sheet-ground { display: grid; align-content: start; gap: 10px; padding: 24px; outline: 1px solid color-mix(in srgb, currentcolor 14%, transparent); outline-offset: -1px; }
.sheet-ground > :first-child { padding-block-end: 8px; }
.sheet-lined { display: grid; grid-template-columns: 2rem minmax(0, 1fr); align-items: center; gap: 12px; }
.sheet-line { block-size: 3px; }
.sheet-families { display: grid; gap: 12px; }
.sheet-family { display: grid; grid-template-columns: repeat(auto-fit, minmax(min(100%, 8.5rem), 1fr)); gap: 1px; align-items: stretch; }
.sheet-family > .sheet-caption { align-self: center; }
.sheet-cell { position: relative; display: flex; align-items: center; min-block-size: 48px; padding: 6px 12px; overflow-wrap: anywhere; }
.sheet-mark { position: absolute; inset-block: 0; inset-inline-start: 0; inline-size: 3px; }
.sheet-swatches { display: grid; grid-template-columns: repeat(auto-fill, minmax(8rem, 1fr)); gap: 24px; align-items: end; }
.sheet-swatch { block-size: 72px; box-shadow: inset 0 0 0 1px color-mix(in srgb, currentcolor 14%, transparent); }
.sheet-text .sheet-value, .sheet-uses .sheet-value, .sheet-swatches .sheet-value { display: block; }
.sheet-band { position: relative; block-size: 160px; overflow: clip; }
.sheet-under, .sheet-over { position: absolute; inset: 0; inline-size: 100%; block-size: 100%; object-fit: cover; }
.sheet-bars, .sheet-uses { display: flex; flex-wrap: wrap; align-items: end; gap: 24px 32px; }
.sheet-uses > .sheet-named { inline-size: 10rem; }
.sheet-square { aspect-ratio: 1; background: currentcolor; opacity: 0.8; max-inline-size: 100%; }
.sheet-bar { block-size: 12px; min-inline-size: 1px; background: currentcolor; opacity: 0.8; max-inline-size: 100%; }
.sheet-around { justify-self: start; outline: 1px solid color-mix(in srgb, currentcolor 40%, transparent); outline-offset: -1px; background: color-mix(in srgb, currentcolor 12%, transparent); }
.sheet-inside { inline-size: 48px; block-size: 32px; background: currentcolor; opacity: 0.8; }
.sheet-around > .sheet-inside { opacity: 0.35; }
.sheet-between { display: flex; }
.sheet-between > .sheet-inside { inline-size: 28px; flex: none; }
.sheet-edge { margin-inline-start: 32px; border-inline-start: 1px solid color-mix(in srgb, currentcolor 50%, transparent); }
.sheet-pulled { block-size: 32px; inline-size: 72px; background: currentcolor; opacity: 0.8; }
.sheet-frame > .grid { row-gap: 0; }
.sheet-column { block-size: 96px; padding: 8px; background: color-mix(in srgb, currentcolor 10%, transparent); }
.sheet-widths { display: grid; gap: 16px; }
.sheet-width { block-size: 12px; background: color-mix(in srgb, currentcolor 25%, transparent); }
.sheet-shapes { display: grid; grid-template-columns: repeat(auto-fill, minmax(min(100%, 14rem), 1fr)); gap: 24px; align-items: end; }
.sheet-empty { background: color-mix(in srgb, currentcolor 12%, transparent); }
.sheet-treated { inline-size: 100%; block-size: auto; aspect-ratio: 3 / 2; object-fit: cover; }
.sheet-clear { display: block; inline-size: 48px; block-size: 12px; background: currentcolor; opacity: 0.8; }
.sheet-corner { block-size: 72px; background: color-mix(in srgb, currentcolor 16%, transparent); outline-offset: -1px; }
.sheet-rule { border-block-start-style: solid; }
.sheet-framed { block-size: 48px; }
.sheet-icon { font-size: 24px; }
.sheet-icon-size { aspect-ratio: 1; justify-self: start; background: color-mix(in srgb, currentcolor 25%, transparent); }
.sheet-length { block-size: 12px; background: color-mix(in srgb, currentcolor 25%, transparent); }
.sheet-levels { display: grid; grid-template-columns: repeat(auto-fit, minmax(6rem, 1fr)); gap: 32px; padding: 16px 8px 24px; }
.sheet-level { display: grid; place-items: center; block-size: 80px; background: inherit; border-radius: 4px; }
.sheet-levels { background: inherit; }
.sheet-tracks { display: grid; grid-template-columns: repeat(auto-fill, minmax(min(100%, 14rem), 1fr)); gap: 24px; }
.sheet-plays { display: grid; gap: 8px; align-content: end; }
.sheet-track { container-type: inline-size; background: linear-gradient(currentcolor) center / 100% 1px no-repeat; }
.sheet-curve { block-size: 96px; fill: none; stroke: currentcolor; stroke-width: 2; }
.sheet-moving { inline-size: 24px; block-size: 24px; border-radius: 50%; background: currentcolor; transition-property: translate; }
.sheet-slow { transition-duration: 900ms; }
.sheet-plays:hover .sheet-moving, .sheet-plays:focus-visible .sheet-moving { translate: calc(100cqi - 24px) 0; }
.sheet-striped { background: repeating-linear-gradient(45deg, currentcolor 0 6px, transparent 6px 12px); }
.sheet-pane { block-size: 72px; background: currentcolor; }
.sheet-layers { display: flex; isolation: isolate; padding-block-end: 40px; flex-wrap: wrap; }
.sheet-layer { position: relative; display: flex; align-items: start; inline-size: 11rem; block-size: 5rem; padding: 8px 12px; outline: 1px solid color-mix(in srgb, currentcolor 40%, transparent); margin-inline-end: -2.5rem; }
.sheet-layer:nth-child(even) { inset-block-start: 28px; }
.sheet .sheet-of-states > .sheet-content { font-size: inherit; line-height: inherit; }
.sheet-states { display: flex; flex-wrap: wrap; align-items: end; gap: 20px 32px; }
.sheet-states > .sheet-named { min-inline-size: 6rem; max-inline-size: 100%; justify-items: start; }
.sheet-states .field, .sheet-states .slider, .sheet-states .progress { inline-size: 12rem; }
.sheet-states .step-bar { inline-size: 20rem; }
.sheet-states .skip-link { position: static; translate: none; }
.sheet-states .dialog { position: static; }
.sheet-kind { display: grid; gap: 16px; min-inline-size: 0; }
`;
