import { useState } from 'react';
import { Input } from './Input';

interface Props {
  label: string;
  /** The words that the page begins with. */
  initial: string;
  onWords: (words: string) => void;
  className?: string;
}

/** Words to look for. It keeps what is typed itself: the address, which follows, is too slow for a quick typist. */
export function SearchInput({ label, initial, onWords, className }: Props) {
  const [words, setWords] = useState(initial);
  return (
    <Input
      aria-label={label}
      placeholder={label}
      className={className}
      value={words}
      onChange={(event) => {
        setWords(event.target.value);
        onWords(event.target.value);
      }}
    />
  );
}
