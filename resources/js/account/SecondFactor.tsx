import { useQuery } from '@tanstack/react-query';
import { lazy, Suspense, useState } from 'react';
import { api, told } from '../lib/api';
import { queries } from '../lib/queries';
import { touches } from '../lib/touches';
import { useAct } from '../lib/useAct';
import { Button } from '../ui/Button';
import { Field } from '../ui/Field';
import { Input } from '../ui/Input';
import { Loading } from '../ui/Loading';
import { ProblemNotice } from '../ui/Notice';
import { ProvenAct } from './ProvenAct';
import { RecoveryCodes } from './RecoveryCodes';

const QrCode = lazy(() => import('./QrCode'));

/** The authenticator that is asked for besides the password: set up, or removed. */
export function SecondFactor() {
  const factor = useQuery(queries.secondFactor());
  const [codes, setCodes] = useState<string[]>([]);
  return (
    <div className="space-y-4">
      {codes.length > 0 && <RecoveryCodes codes={codes} />}
      <Loading query={factor}>
        {({ on, required, recovery_codes: left }) =>
          on ? (
            <SetUp required={required} left={left} onCodes={setCodes} />
          ) : (
            <NotSetUp required={required} onCodes={setCodes} />
          )
        }
      </Loading>
    </div>
  );
}

function NotSetUp({ required, onCodes }: { required: boolean; onCodes: (codes: string[]) => void }) {
  const begin = useAct(touches.nothing, (password: string) =>
    told(api.POST('/api/session/second-factor', { body: { password } })),
  );
  const [code, setCode] = useState('');
  const confirm = useAct(
    touches.secondFactor,
    () => told(api.PUT('/api/session/second-factor', { body: { code } })),
    (told) => onCodes(told.codes),
  );
  if (begin.data === undefined) {
    return (
      <>
        <p>
          {required ? 'Your role asks for a second factor.' : 'Off.'} An authenticator on your phone shows a code that
          is asked for besides your password.
        </p>
        <ProvenAct
          label="Set up an authenticator"
          busy={begin.isPending}
          problem={begin.error}
          onAct={(password) => begin.mutate(password)}
        />
      </>
    );
  }
  return (
    <div className="flex flex-wrap gap-6">
      <Suspense fallback={<div className="size-44" />}>
        <QrCode text={begin.data.address} label="QR code for your authenticator" />
      </Suspense>
      <form
        aria-label="Confirm the authenticator"
        className="max-w-sm space-y-3"
        onSubmit={(event) => {
          event.preventDefault();
          confirm.mutate(undefined);
        }}
      >
        <p>
          Scan it with your authenticator, or type the key:{' '}
          <span className="font-mono break-all">{begin.data.secret.match(/.{1,4}/g)?.join(' ')}</span>
        </p>
        <Field label="Code that it shows" className="w-40" error={confirm.error?.at('code')}>
          <Input
            inputMode="numeric"
            autoComplete="one-time-code"
            value={code}
            onChange={(event) => setCode(event.target.value)}
          />
        </Field>
        <ProblemNotice problem={confirm.error} shown={['code']} />
        <Button type="submit" look="main" busy={confirm.isPending}>
          Turn on
        </Button>
      </form>
    </div>
  );
}

interface SetUpProps {
  required: boolean;
  left: number;
  onCodes: (codes: string[]) => void;
}

function SetUp({ required, left, onCodes }: SetUpProps) {
  const recover = useAct(
    touches.secondFactor,
    (password: string) => told(api.POST('/api/session/recovery-codes', { body: { password } })),
    (told) => onCodes(told.codes),
  );
  const remove = useAct(
    touches.secondFactor,
    (password: string) => told(api.DELETE('/api/session/second-factor', { body: { password } })),
    () => onCodes([]),
  );
  const [act, setAct] = useState<'recover' | 'remove' | null>(null);
  return (
    <>
      <p>
        On. {left} {left === 1 ? 'recovery code is' : 'recovery codes are'} left.
      </p>
      <div className="flex gap-2">
        <Button look="quiet" onClick={() => setAct('recover')}>
          New recovery codes
        </Button>
        {!required && (
          <Button look="quiet" onClick={() => setAct('remove')}>
            Remove the authenticator
          </Button>
        )}
      </div>
      {act === 'recover' && (
        <ProvenAct
          label="Replace recovery codes"
          busy={recover.isPending}
          problem={recover.error}
          onAct={(password) => recover.mutate(password)}
        />
      )}
      {act === 'remove' && (
        <ProvenAct
          label="Remove"
          busy={remove.isPending}
          problem={remove.error}
          onAct={(password) => remove.mutate(password)}
        />
      )}
    </>
  );
}
