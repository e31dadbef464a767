import { useState } from 'react';
import { api, told, type Schemas } from '../lib/api';
import { moment } from '../lib/format';
import { touches } from '../lib/touches';
import { useAct } from '../lib/useAct';
import { faultWithin } from '../setup/ChooseSeveral';
import { CodeField, isCode } from '../setup/CodeField';
import { SaveOrRetire } from '../setup/SaveOrRetire';
import { Button } from '../ui/Button';
import { Field } from '../ui/Field';
import { Input } from '../ui/Input';
import { ProblemNotice } from '../ui/Notice';
import { EventChoice } from './EventChoice';

interface Props {
  webhook: Schemas['WebhookRow'] | null;
  onDone: () => void;
  /** A secret was made, which nobody can read again. */
  onSecret: (name: string, secret: string) => void;
}

/** Adds a webhook, or changes one: where it goes, of what it tells, and what it signs with. */
export function WebhookForm({ webhook, onDone, onSecret }: Props) {
  const [code, setCode] = useState(webhook?.code ?? '');
  const [name, setName] = useState(webhook?.name ?? '');
  const [address, setAddress] = useState(webhook?.address ?? '');
  const [events, setEvents] = useState(webhook?.events ?? []);
  const [tried, setTried] = useState(false);
  const params = { path: { code } };
  const set = useAct(
    touches.system,
    (retired: boolean) =>
      told(
        api.PUT('/api/webhooks/{code}', {
          params,
          body: { name, address, events, retired, ...(webhook === null ? {} : { version: webhook.version }) },
        }),
      ),
    ({ secret }) => {
      if (secret !== null) onSecret(name, secret);
      onDone();
    },
  );
  const renew = useAct(
    touches.system,
    () => told(api.POST('/api/webhooks/{code}/secret', { params })),
    ({ secret }) => {
      if (secret !== null) onSecret(name, secret);
      onDone();
    },
  );
  const tryOut = useAct(touches.system, () => told(api.POST('/api/webhooks/{code}/trial', { params })));
  return (
    <form
      aria-label={webhook === null ? 'New webhook' : `Change ${webhook.name}`}
      className="space-y-3 border-y border-strong bg-sheet p-3"
      onSubmit={(event) => {
        event.preventDefault();
        setTried(true);
        if (isCode(code)) set.mutate(webhook?.retired ?? false);
      }}
    >
      <div className="flex flex-wrap items-start gap-3">
        {webhook === null && (
          <CodeField value={code} onChange={setCode} tried={tried} error={set.error?.at('code')} such="line_control" />
        )}
        <Field label="Name" className="w-60" error={set.error?.at('name')}>
          <Input value={name} onChange={(event) => setName(event.target.value)} />
        </Field>
        <Field label="Address" className="w-96 max-w-full" error={set.error?.at('address')}>
          <Input
            value={address}
            placeholder="https://"
            inputMode="url"
            onChange={(event) => setAddress(event.target.value)}
          />
        </Field>
      </div>
      <EventChoice chosen={events} error={faultWithin(set.error, 'events')} onChange={setEvents} />
      <ProblemNotice problem={set.error} shown={['code', 'name', 'address', 'events']} />
      <ProblemNotice problem={renew.error ?? tryOut.error} />
      <div className="flex flex-wrap items-center gap-x-6 gap-y-2">
        <SaveOrRetire
          save={webhook === null ? 'Add the webhook' : 'Save'}
          retired={webhook?.retired ?? null}
          busy={set.isPending}
          onRetire={set.mutate}
          onCancel={onDone}
        />
        {webhook !== null && !webhook.retired && (
          <span className="flex flex-wrap items-center gap-2">
            <Button look="quiet" busy={tryOut.isPending} onClick={() => tryOut.mutate(undefined)}>
              Send a test event
            </Button>
            <Button look="quiet" busy={renew.isPending} onClick={() => renew.mutate(undefined)}>
              New secret
            </Button>
            <span role="status" className="text-sm text-soft">
              {tryOut.isSuccess && 'Sent; it stands among the messages.'}
              {webhook.former_until !== null && ` The former secret is valid until ${moment(webhook.former_until)}.`}
            </span>
          </span>
        )}
      </div>
    </form>
  );
}
