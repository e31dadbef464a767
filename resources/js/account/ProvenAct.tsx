import { useState } from 'react';
import type { ApiProblem } from '../lib/api';
import { Button } from '../ui/Button';
import { Field } from '../ui/Field';
import { Input } from '../ui/Input';
import { ProblemNotice } from '../ui/Notice';

interface Props {
  label: string;
  busy: boolean;
  problem: ApiProblem | null;
  onAct: (password: string) => void;
}

/** An act that asks for the password again: a screen that was left open is not enough. */
export function ProvenAct({ label, busy, problem, onAct }: Props) {
  const [password, setPassword] = useState('');
  return (
    <form
      aria-label={label}
      className="space-y-2"
      onSubmit={(event) => {
        event.preventDefault();
        onAct(password);
      }}
    >
      <div className="flex items-start gap-2">
        <Field label="Your password" className="w-64" error={problem?.at('password')}>
          <Input
            type="password"
            autoComplete="current-password"
            value={password}
            onChange={(event) => setPassword(event.target.value)}
          />
        </Field>
        <Button type="submit" className="mt-5" busy={busy}>
          {label}
        </Button>
      </div>
      <ProblemNotice problem={problem} shown={['password']} />
    </form>
  );
}
