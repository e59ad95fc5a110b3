/**
 * What belongs to the window and not to the page: it scrolls one way, and what is out of sight is not laid
 * out, its size remembered. All that a page looks like is in the exported sheet.
 */
export const ARRANGEMENT = `
html { overflow-x: clip; }
.block, .site > footer { content-visibility: auto; contain-intrinsic-size: auto 30rem; overflow-clip-margin: 3rem; }
`;
