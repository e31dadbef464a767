import { useState } from 'react';
import type { Schemas } from '../lib/api';

export interface Signing {
  /** Its place in the path. */
  step: number;
  ticked: string[];
  password: string;
  setStep: (step: number) => void;
  setTicked: (rows: string[]) => void;
  setPassword: (password: string) => void;
  /** As the server takes it, without what it covers. */
  body: { password: string; step?: number; checks?: string[] };
}

/** What is filled in to sign a step of a path. Rows that were ticked for one step are not ticked for another. */
export function useSigning(path: Schemas['PathPicture']): Signing {
  const [chosen, setChosen] = useState<number | null>(null);
  const [ticked, setTicked] = useState<string[]>([]);
  const [password, setPassword] = useState('');
  const step = chosen !== null && path.signable.includes(chosen) ? chosen : (path.signable[0] ?? 0);
  return {
    step,
    ticked,
    password,
    setStep: (next) => {
      setChosen(next);
      setTicked([]);
    },
    setTicked,
    setPassword,
    body: {
      password,
      ...(ticked.length === 0 ? {} : { checks: ticked }),
      ...(path.code === null ? {} : { step }),
    },
  };
}
