import { Select as Radix } from 'radix-ui';
import type { ReactNode } from 'react';

export interface Choice {
  id: string;
  name: string;
  /** The heading it stands under. */
  under?: string;
}

interface Props {
  value: string;
  options: Choice[];
  onChange: (v: string) => void;
  /** What stands there, and can be chosen, while nothing is. */
  empty?: string;
  id?: string;
  label?: string;
  describedBy?: string;
  disabled?: boolean;
  invalid?: boolean;
  className?: string;
}

/** An item needs a value; this one stands for none. */
const NONE = '\u0000';

function Item({ value, children }: { value: string; children: ReactNode }) {
  return (
    <Radix.Item
      value={value}
      className="fig relative flex min-h-[30px] cursor-default items-center py-0.5 pr-3 pl-6 text-[13.5px] leading-tight outline-none select-none data-highlighted:bg-ink data-highlighted:text-paper"
    >
      <Radix.ItemIndicator className="absolute left-1.5">
        <svg width="12" height="12" aria-hidden>
          <path d="M2 6.5L5 9.5L10.5 2.5" fill="none" stroke="currentColor" strokeWidth="2.2" />
        </svg>
      </Radix.ItemIndicator>
      <Radix.ItemText>{children}</Radix.ItemText>
    </Radix.Item>
  );
}

/** One of a list, chosen by pointer, by arrows or by typing its first letters; options under a heading are grouped. */
export function Select(p: Props) {
  const headings = [...new Set(p.options.map((o) => o.under))];
  const items = (under: string | undefined) =>
    p.options
      .filter((o) => o.under === under)
      .map((o) => (
        <Item key={o.id} value={o.id || NONE}>
          {o.name}
        </Item>
      ));
  return (
    <Radix.Root
      value={p.value || NONE}
      disabled={p.disabled}
      onValueChange={(v) => p.onChange(v === NONE ? '' : v)}
    >
      <Radix.Trigger
        id={p.id}
        aria-label={p.label}
        aria-invalid={p.invalid ? true : undefined}
        aria-describedby={p.describedBy}
        className={`select ${p.className ?? ''}`}
      >
        <span className="min-w-0 truncate">
          <Radix.Value />
        </span>
        <Radix.Icon asChild>
          <svg width="10" height="8" className="shrink-0" aria-hidden>
            <path d="M1.5 1.5L5 5.5L8.5 1.5" fill="none" stroke="currentColor" strokeWidth="1.8" />
          </svg>
        </Radix.Icon>
      </Radix.Trigger>
      <Radix.Portal>
        <Radix.Content
          position="popper"
          sideOffset={2}
          collisionPadding={8}
          className="z-50 max-h-[min(420px,var(--radix-select-content-available-height))] max-w-[calc(100vw-16px)] min-w-[var(--radix-select-trigger-width)] overflow-hidden border-[1.5px] border-ink bg-paper text-ink"
        >
          <Radix.Viewport className="py-1">
            {p.empty !== undefined && <Item value={NONE}>{p.empty}</Item>}
            {headings.map((h) =>
              h ? (
                <Radix.Group key={h}>
                  <Radix.Label className="px-2 pt-1.5 text-[12px] text-ink2 italic">
                    {h}
                  </Radix.Label>
                  {items(h)}
                </Radix.Group>
              ) : (
                items(h)
              ),
            )}
          </Radix.Viewport>
        </Radix.Content>
      </Radix.Portal>
    </Radix.Root>
  );
}
