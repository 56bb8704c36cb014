/** How long what was made may take to be drawn, ms. */
const PATIENCE = 8000;

/**
 * Puts the focus on what was just made, once it is there. Whoever has gone on with something else meanwhile is left there: the focus moves from where it
 * was, or from nowhere.
 */
export function focusWhen(find: () => HTMLElement | null | undefined): void {
  const from = document.activeElement;
  const until = performance.now() + PATIENCE;
  const look = () => {
    const now = document.activeElement;
    if (now !== from && now !== document.body && now?.id !== 'drawer') return;
    const made = find();
    if (made) made.focus();
    else if (performance.now() < until) requestAnimationFrame(look);
  };
  requestAnimationFrame(look);
}

/** The same of the first element that a selector finds. */
export const focusOn = (selector: string) => focusWhen(() => document.querySelector<HTMLElement>(selector));
