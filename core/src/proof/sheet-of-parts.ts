/** What the sheet of parts is called among pages: no page of a site can have this id. */
export const SHEET_OF_PARTS = '~parts';
