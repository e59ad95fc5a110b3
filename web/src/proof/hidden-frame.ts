/**
 * A page on the address of the proof, or on that of other people’s pages, that nobody sees: no script runs in it, whatever it is given. Nothing where the
 * browser lets nobody read it.
 */
export async function openHiddenFrame(
  title: string,
  address: '/proof/' | '/reading/' = '/proof/',
): Promise<{ readonly page: Document; readonly frame: HTMLIFrameElement } | undefined> {
  const frame = document.createElement('iframe');
  frame.src = address;
  frame.title = title;
  frame.setAttribute('aria-hidden', 'true');
  frame.tabIndex = -1;
  frame.style.position = 'fixed';
  frame.style.insetInlineStart = '-9999px';
  frame.style.visibility = 'hidden';
  await new Promise((resolve) => {
    frame.addEventListener('load', resolve, { once: true });
    document.body.append(frame);
  });
  const page = frame.contentDocument;
  if (page?.defaultView) return { page, frame };
  frame.remove();
  return undefined;
}
