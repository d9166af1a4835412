import { Dialog } from 'radix-ui';
import { useRef, type ReactNode } from 'react';

/** A sheet laid over the page, framed in the colour of what is in hand. */
export function Panel(props: {
  title: string;
  open: boolean;
  onOpenChange: (open: boolean) => void;
  trigger?: ReactNode;
  side?: boolean;
  wide?: boolean;
  children: ReactNode;
}) {
  const opener = useRef<Element>(null);
  return (
    <Dialog.Root open={props.open} onOpenChange={props.onOpenChange}>
      {props.trigger && <Dialog.Trigger asChild>{props.trigger}</Dialog.Trigger>}
      <Dialog.Portal>
        <Dialog.Overlay className="fixed inset-0 bg-black/25" />
        <Dialog.Content
          aria-describedby={undefined}
          onOpenAutoFocus={(e) => {
            // what is to be filled in comes before the button that closes
            opener.current = document.activeElement;
            const first = (e.currentTarget as HTMLElement).querySelector<HTMLElement>(
              'input, select',
            );
            if (!first) return;
            e.preventDefault();
            first.focus();
          }}
          onCloseAutoFocus={(e) => {
            // sheets without a trigger of their own give the focus back to what opened them
            e.preventDefault();
            if (opener.current instanceof HTMLElement) opener.current.focus();
          }}
          className={`fixed max-h-[92dvh] overflow-y-auto border-2 border-hand bg-paper p-5 ${
            props.wide ? 'w-[min(40rem,calc(100vw-16px))]' : 'w-[min(30rem,calc(100vw-16px))]'
          } ${
            props.side ? 'top-[44px] right-2' : 'top-1/2 left-1/2 -translate-x-1/2 -translate-y-1/2'
          }`}
        >
          <div className="mb-3 flex items-start justify-between gap-4">
            <Dialog.Title className="text-[19px] leading-tight font-bold">
              {props.title}
            </Dialog.Title>
            <Dialog.Close className="link text-[13px]">close</Dialog.Close>
          </div>
          {props.children}
        </Dialog.Content>
      </Dialog.Portal>
    </Dialog.Root>
  );
}
