import { Dialog as Radix } from 'radix-ui';
import { useRef, type ReactNode } from 'react';

interface Props {
  open: boolean;
  onClose: () => void;
  title: string;
  /** The title stands there for screen readers only. */
  titleHidden?: boolean;
  className?: string;
  children: ReactNode;
}

/** For help, finding and signing in again: nothing important happens in a dialog. Focus goes back to where it was opened from. */
export function Dialog({ open, onClose, title, titleHidden = false, className = 'p-4', children }: Props) {
  const before = useRef<HTMLElement | null>(null);
  return (
    <Radix.Root open={open} onOpenChange={(next) => !next && onClose()}>
      <Radix.Portal>
        <Radix.Overlay className="fixed inset-0 z-40 bg-ink/30" />
        <Radix.Content
          aria-describedby={undefined}
          onOpenAutoFocus={() => {
            before.current = document.activeElement instanceof HTMLElement ? document.activeElement : null;
          }}
          onCloseAutoFocus={(event) => {
            event.preventDefault();
            if (before.current?.isConnected === true) before.current.focus();
          }}
          className={`fixed top-[10vh] left-1/2 z-50 max-h-[85vh] w-[36rem] max-w-[95vw] -translate-x-1/2 overflow-y-auto border border-strong bg-sheet shadow-lg ${className}`}
        >
          <Radix.Title className={titleHidden ? 'sr-only' : 'mb-2 text-lg font-semibold'}>{title}</Radix.Title>
          {children}
        </Radix.Content>
      </Radix.Portal>
    </Radix.Root>
  );
}
