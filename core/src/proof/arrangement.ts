/**
 * What belongs to the window and not to the page: it scrolls one way, what is out of sight is not laid out, its size
 * remembered, and nothing moves by itself while one decides beside it: transitions play under the pointer alone. All
 * that a page looks like is in the exported sheet.
 */
export const ARRANGEMENT = `
html { overflow-x: clip; }
.block, .site > footer { content-visibility: auto; contain-intrinsic-size: auto 30rem; overflow-clip-margin: 3rem; }
html:not(:hover) .site * { transition-duration: 0s !important; }
`;
