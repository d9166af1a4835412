import { useEffect } from 'react';

/** Whether keys go into a text just now. */
export const isTyping = (target: EventTarget | null) =>
  target instanceof HTMLInputElement || target instanceof HTMLTextAreaElement;

/** Whether a letter finds an option of a list just now. */
const isChoosing = (target: EventTarget | null) =>
  target instanceof Element && target.closest('[role=combobox], [role=listbox]') !== null;

/** Does something on a key that stands alone, while nothing is typed and no sheet is open. */
export function useKey(key: string, action: () => void) {
  useEffect(() => {
    const listen = (e: KeyboardEvent) => {
      if (e.key !== key || e.ctrlKey || e.metaKey || e.altKey) return;
      if (isTyping(e.target) || isChoosing(e.target)) return;
      if (document.querySelector('[role=dialog]')) return;
      e.preventDefault();
      action();
    };
    window.addEventListener('keydown', listen);
    return () => window.removeEventListener('keydown', listen);
  });
}
