import { fireEvent, screen } from '@testing-library/react';

/** What jsdom lacks of a browser and a list of choices needs. */
function completed() {
  const element = Element.prototype as unknown as Record<string, unknown>;
  element['scrollIntoView'] ??= () => undefined;
  element['hasPointerCapture'] ??= () => false;
  element['releasePointerCapture'] ??= () => undefined;
  (globalThis as unknown as Record<string, unknown>)['ResizeObserver'] ??= class {
    observe() {}
    unobserve() {}
    disconnect() {}
  };
}

/** For tests: chooses an option of a list by keyboard, as a reader without a mouse does. */
export function choose(label: string, option: string) {
  completed();
  fireEvent.keyDown(screen.getByLabelText(label), { key: 'Enter' });
  fireEvent.keyDown(screen.getByRole('option', { name: option }), { key: 'Enter' });
}
