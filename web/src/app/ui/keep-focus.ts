/** What is left when a control goes: named parts of a page that a screen reader can read out. */
const AROUND = 'section, form, aside, dialog, [role=dialog], main';

/**
 * Moves focus to what stood around a control that goes while it has it: it would fall to the top of the page,
 * and whoever works by keys or by ear would lose their place. Works until the page is closed.
 *
 * @param page the document
 */
export function keepFocus(page: Document): void {
  let last: HTMLElement | null = null;
  let around: readonly HTMLElement[] = [];
  page.addEventListener('focusin', ({ target }) => {
    if (!(target instanceof HTMLElement)) return;
    last = target;
    around = [];
    for (let at = target.parentElement; at; at = at.parentElement) if (at.matches(AROUND)) around = [...around, at];
  });
  const watch = new MutationObserver(() => {
    if (!last || last.isConnected || page.activeElement !== page.body) return;
    const next = around.find((each) => each.isConnected);
    if (!next) return;
    if (!next.hasAttribute('tabindex')) next.tabIndex = -1;
    next.focus({ preventScroll: true });
  });
  watch.observe(page.body, { childList: true, subtree: true });
}
