import { useState, type ReactNode } from 'react';

interface Props {
  summary: ReactNode;
  open?: boolean;
  className?: string;
  children: ReactNode;
}

/** What is read when somebody opens it. Closed, it asks the server for nothing; once opened, it keeps what was typed in it. */
export function Details({ summary, open = false, className, children }: Props) {
  const [opened, setOpened] = useState(open);
  return (
    <details
      className={className}
      open={open}
      onToggle={(event) => {
        if (event.currentTarget.open) setOpened(true);
      }}
    >
      <summary className="target cursor-pointer text-accent">{summary}</summary>
      {opened && children}
    </details>
  );
}
