import { useQuery } from '@tanstack/react-query';
import { useState } from 'react';
import { api, told } from '../lib/api';
import { queries } from '../lib/queries';
import { useMe } from '../lib/session';
import { touches } from '../lib/touches';
import { useAct } from '../lib/useAct';
import { Button } from '../ui/Button';
import { Field } from '../ui/Field';
import { Input } from '../ui/Input';
import { Notice, ProblemNotice } from '../ui/Notice';
import { Select } from '../ui/Select';
import { Several } from '../ui/Several';
import { WholeInput } from '../ui/WholeInput';

const YEAR = 365;

const reaches = { read: 'Read only', some: 'Read, and some rights', all: 'Whatever I may' } as const;

/** Makes a token for a program that acts for who is signed in; it is told once. */
export function NewToken() {
  const me = useMe();
  const [name, setName] = useState('');
  const [reach, setReach] = useState<keyof typeof reaches>('read');
  const [scopes, setScopes] = useState('');
  const [days, setDays] = useState<number | undefined>(YEAR);
  const mine = (useQuery(queries.abilities()).data ?? []).filter(({ code }) => me.abilities.includes(code));
  const issue = useAct(
    touches.token,
    () =>
      told(
        api.POST('/api/session/tokens', {
          body: {
            name,
            all: reach === 'all',
            scopes: reach === 'some' && scopes !== '' ? scopes.split(',') : [],
            days: days ?? 0,
          },
        }),
      ),
    () => setName(''),
  );
  return (
    <form
      aria-label="New token"
      className="space-y-3"
      onSubmit={(event) => {
        event.preventDefault();
        issue.mutate(undefined);
      }}
    >
      {issue.data !== undefined && (
        <div className="space-y-2">
          <Notice look="good">Token, shown this once. The program sends it as its bearer token.</Notice>
          <Input
            readOnly
            aria-label="Token"
            className="max-w-xl font-mono"
            value={issue.data.token}
            onFocus={(event) => event.target.select()}
          />
        </div>
      )}
      <div className="flex flex-wrap items-start gap-3">
        <Field label="Program" className="w-56" error={issue.error?.at('name')}>
          <Input value={name} onChange={(event) => setName(event.target.value)} />
        </Field>
        <Field label="May" className="w-48">
          <Select value={reach} onChange={setReach} options={reaches} />
        </Field>
        {reach === 'some' && (
          <div>
            <span className="mb-0.5 block text-sm font-medium text-soft">Rights</span>
            <Several
              label="Rights"
              chosen={scopes}
              options={Object.fromEntries(mine.map((one) => [one.code, one.name]))}
              none="None chosen"
              onChange={setScopes}
            />
          </div>
        )}
        <Field label="Ends after, days" className="w-32" error={issue.error?.at('days')}>
          <WholeInput value={days} onChange={setDays} />
        </Field>
      </div>
      <ProblemNotice problem={issue.error} shown={['name', 'days']} />
      <Button type="submit" busy={issue.isPending}>
        Create token
      </Button>
    </form>
  );
}
