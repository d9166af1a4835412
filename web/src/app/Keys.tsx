import { useState } from 'react';

import { Panel } from '../ui/Panel';
import { useKey } from './useKey';

const KEYS: [string, string][] = [
  ['/', 'jump to a field, a step or a view'],
  ['?', 'this list'],
  ['Tab', 'the next pin, note, step or figure'],
  ['[ and ]', 'the pin in focus a day earlier or later; with Shift a week'],
  [', .', 'on the section: move the line that shows the figures of a day'],
  ['m', 'on the section, or shift and click: mark a day to see what differs from it'],
  ['Esc', 'while dragging: put the date back; else close what is open'],
  ['Enter', 'on a figure: its working; on a note: show it in the margin'],
  ['Ctrl Z', 'undo; with Shift redo'],
];

/** The list of keys. */
export function KeysButton() {
  const [open, setOpen] = useState(false);
  useKey('?', () => setOpen(true));
  return (
    <Panel
      title="Keys"
      open={open}
      onOpenChange={setOpen}
      trigger={
        <button type="button" className="link max-[640px]:hidden">
          <kbd className="kbd">?</kbd> keys
        </button>
      }
    >
      <table className="w-full">
        <tbody>
          {KEYS.map(([key, what]) => (
            <tr key={key} className="border-b border-rule2">
              <td className="py-1.5 pr-4 whitespace-nowrap">
                <kbd className="kbd">{key}</kbd>
              </td>
              <td>{what}</td>
            </tr>
          ))}
        </tbody>
      </table>
    </Panel>
  );
}
