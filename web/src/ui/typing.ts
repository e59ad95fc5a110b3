/** Kinds of inputs in which words are typed; all others only choose. */
const TYPED = new Set(['text', 'search', 'url', 'email', 'tel', 'password', 'number']);

const isTyped = (target: EventTarget | null): target is HTMLElement =>
  target instanceof HTMLTextAreaElement ||
  (target instanceof HTMLInputElement && TYPED.has(target.type)) ||
  (target instanceof HTMLElement && target.isContentEditable);

/** The field in which something was typed that is not taken yet. */
let open: EventTarget | undefined;

const onInput = ({ target }: Event): void => {
  if (isTyped(target)) open = target;
};

const onTaken = ({ target }: Event): void => {
  if (target === open) open = undefined;
};

const onKey = (event: KeyboardEvent): void => {
  const takes = event.key === 'Enter' && !(event.target instanceof HTMLTextAreaElement);
  if (takes || event.key === 'Escape') onTaken(event);
};

/** Follows what is typed in fields: taken with Enter or by leaving, given up with Escape. */
export function followTyping(): () => void {
  document.addEventListener('input', onInput, true);
  document.addEventListener('focusout', onTaken, true);
  document.addEventListener('keyup', onKey, true);
  return () => {
    document.removeEventListener('input', onInput, true);
    document.removeEventListener('focusout', onTaken, true);
    document.removeEventListener('keyup', onKey, true);
  };
}

/** Whether words are being typed that are not taken yet, or could not be taken. */
export const isTyping = ({ target }: Pick<Event, 'target'>): boolean =>
  isTyped(target) && (open === target || target.getAttribute('aria-invalid') === 'true');
