import { Dialog as Radix } from 'radix-ui';
import type { ReactNode } from 'react';

interface Props {
  open: boolean;
  onClose: () => void;
  title: string;
  children: ReactNode;
}

/** For help and lists of keys only: nothing important happens in a dialog. */
export function Dialog({ open, onClose, title, children }: Props) {
  return (
    <Radix.Root open={open} onOpenChange={(next) => !next && onClose()}>
      <Radix.Portal>
        <Radix.Overlay className="fixed inset-0 z-40 bg-ink/30" />
        <Radix.Content
          aria-describedby={undefined}
          className="fixed top-24 left-1/2 z-50 w-[34rem] max-w-[95vw] -translate-x-1/2 border border-strong bg-sheet p-4 shadow-lg"
        >
          <Radix.Title className="mb-2 text-lg font-semibold">{title}</Radix.Title>
          {children}
        </Radix.Content>
      </Radix.Portal>
    </Radix.Root>
  );
}
