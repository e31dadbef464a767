import { useEffect, useState } from 'react';
import { Button } from './Button';

interface Props {
  /** What is being done meanwhile. */
  doing: string;
  onStop: () => void;
}

/** From here on one wants to know what takes so long, in milliseconds. */
const PATIENCE = 1_000;

/** Says what is waited for when it takes more than a moment, for how long already, and lets one stop waiting. */
export function LongWait({ doing, onStop }: Props) {
  const [seconds, setSeconds] = useState(0);
  useEffect(() => {
    const tick = setInterval(() => setSeconds((before) => before + 1), PATIENCE);
    return () => clearInterval(tick);
  }, []);
  if (seconds === 0) return null;
  return (
    <div className="sticky top-13 z-20 flex flex-wrap items-center gap-x-3 border-y border-strong bg-sheet px-3 py-2">
      <p role="status">{doing}</p>
      {/* Not read out at every second. */}
      <span aria-hidden className="text-soft">
        {seconds} s
      </span>
      <Button onClick={onStop}>Stop</Button>
    </div>
  );
}
