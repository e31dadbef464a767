import { useQuery } from '@tanstack/react-query';
import { useState } from 'react';
import type { Schemas } from '../lib/api';
import { queries } from '../lib/queries';
import { actKinds, actOf } from '../register/acts';
import { SetUpList, statusColumn, textColumn } from '../setup/SetUpList';
import { channelColumns } from './channelColumns';
import { NewSecret } from './NewSecret';
import { WebhookForm } from './WebhookForm';

type Webhook = Schemas['WebhookRow'];

const told = (event: string) =>
  event.endsWith('.*') ? `all of ${actKinds[event.slice(0, -2)]?.toLowerCase() ?? event}` : actOf(event).toLowerCase();

/** Other systems that are told of what happens to changes, as it happens. */
export function WebhooksPage() {
  const webhooks = useQuery(queries.webhooks());
  // Shown once, above the list that has the webhook by then.
  const [secret, setSecret] = useState<{ name: string; secret: string } | null>(null);
  return (
    <SetUpList<Webhook>
      title="Webhooks"
      about="Another system is told of events as they happen: each is posted to its address, signed, in the order in which it happened, and tried again until it arrives."
      label="Webhooks"
      empty="No system is told of events yet."
      query={webhooks}
      ability="connect_systems"
      width="max-w-none"
      note={secret !== null && <NewSecret {...secret} />}
      columns={[
        textColumn('events', 'Told of', (row) => row.events.map(told).join(', ')),
        ...channelColumns<Webhook>(),
        statusColumn(),
      ]}
      form={(row, onDone) => (
        <WebhookForm
          key={row === null ? String(webhooks.data?.length) : `${row.code} ${row.version}`}
          webhook={row}
          onDone={onDone}
          onSecret={(name, made) => setSecret({ name, secret: made })}
        />
      )}
    />
  );
}
