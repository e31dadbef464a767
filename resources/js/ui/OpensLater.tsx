import { Suspense, useState, type ReactNode } from 'react';

interface Props {
  /** The button as it is until then, and while what it opens is on its way. */
  button: (onClick: () => void) => ReactNode;
  /** What is opened, with a trigger of its own that looks the same: a lazy component that begins open. */
  children: ReactNode;
}

/** A button whose menu or form is loaded when somebody presses it for the first time: most pages are read, and nothing is opened. */
export function OpensLater({ button, children }: Props) {
  const [opened, setOpened] = useState(false);
  if (!opened) return button(() => setOpened(true));
  return <Suspense fallback={button(() => undefined)}>{children}</Suspense>;
}
