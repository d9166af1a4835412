/** Puts the focus at the beginning of the view: the bench of a step where there is one. */
export function focusWork() {
  const work =
    document.querySelector<HTMLElement>('[data-work]') ??
    document.querySelector<HTMLElement>('main');
  if (!work) return;
  work.tabIndex = -1;
  work.focus();
}
