/** What a guest's browser may ask for, and how: each by the beginning of its address. Nothing else is there for it. */
const MAY: readonly (readonly [method: string, address: RegExp])[] = [
  // The page, whose address is the link.
  ['GET', /^\/g\/[\w-]+\/?$/],
  // What it shows.
  [
    'GET',
    /^\/guest\/[\w-]+(?:\/(?:events|changes|notes|kept-pages(?:\/[\w-]+)?|files\/[\w.-]+))?$/,
  ],
  ['POST', /^\/guest\/[\w-]+\/(?:enter|notes)$/],
  ['PUT', /^\/guest\/[\w-]+\/notes\/[\w-]+$/],
  ['DELETE', /^\/guest\/[\w-]+\/notes\/[\w-]+$/],
  // The program, and the empty page that the site is shown in, with its faces and pictures.
  ['GET', /^\/assets\/[\w.-]+$/],
  ['GET', /^\/mark\.svg$/],
  ['GET', /^\/proof\/(?:worn)?$/],
  ['GET', /^\/reading\/$/],
  ['GET', /^\/proof\/(?:fonts|pictures)\/[\w.-]+$/],
];

/** Whether a guest may ask for this: of an address what stands before its question mark. */
export function isForGuests(method: string | undefined, url: string | undefined): boolean {
  const [path = ''] = (url ?? '').split('?');
  const asked = method === 'HEAD' ? 'GET' : method;
  return MAY.some(([own, address]) => own === asked && address.test(path));
}
