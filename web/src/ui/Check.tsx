import { Checkbox } from 'radix-ui';
import { useId, type ReactNode } from 'react';

interface Props {
  checked: boolean;
  onChange: (on: boolean) => void;
  disabled?: boolean;
  /** The words beside it; a check in a table has a label instead. */
  children?: ReactNode;
  label?: string;
  className?: string;
}

/** Something that is so or not. */
export function Check({ checked, onChange, disabled, children, label, className }: Props) {
  const id = useId();
  return (
    <span
      className={`inline-flex min-h-[28px] items-center gap-2 text-[13.5px] ${className ?? ''}`}
    >
      <Checkbox.Root
        id={id}
        checked={checked}
        disabled={disabled}
        aria-label={label}
        onCheckedChange={(to) => onChange(to === true)}
        className="relative grid size-[18px] min-h-0 shrink-0 place-items-center border border-ink bg-paper p-0 text-ink after:absolute after:-inset-[5px] disabled:opacity-50"
      >
        <Checkbox.Indicator>
          <svg width="12" height="12" aria-hidden>
            <path d="M2 6.5L5 9.5L10.5 2.5" fill="none" stroke="currentColor" strokeWidth="2.2" />
          </svg>
        </Checkbox.Indicator>
      </Checkbox.Root>
      {children && <label htmlFor={id}>{children}</label>}
    </span>
  );
}
