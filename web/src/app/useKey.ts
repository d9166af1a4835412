import { useEffect } from 'react';

/** Whether keys go into a text just now. */
export const isTyping = (target: EventTarget | null) =>
  target instanceof HTMLInputElement ||
  target instanceof HTMLTextAreaElement ||
  target instanceof HTMLSelectElement;

/** Does something on a key that stands alone, while nothing is typed and no sheet is open. */
export function useKey(key: string, action: () => void) {
  useEffect(() => {
    const listen = (e: KeyboardEvent) => {
      if (e.key !== key || e.ctrlKey || e.metaKey || e.altKey || isTyping(e.target)) return;
      if (document.querySelector('[role=dialog]')) return;
      e.preventDefault();
      action();
    };
    window.addEventListener('keydown', listen);
    return () => window.removeEventListener('keydown', listen);
  });
}
