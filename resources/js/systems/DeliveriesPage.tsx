import { useState } from 'react';
import { Link, useParams } from 'react-router';
import { api, told, type Schemas } from '../lib/api';
import { count, moment } from '../lib/format';
import { queries } from '../lib/queries';
import { touches } from '../lib/touches';
import { useAct } from '../lib/useAct';
import { useAddressFilters } from '../lib/useAddressFilters';
import { usePaged } from '../lib/usePaged';
import { actOf } from '../register/acts';
import { Button } from '../ui/Button';
import { Choice } from '../ui/Choice';
import { DataTable, type Column } from '../ui/DataTable';
import { Loading } from '../ui/Loading';
import { ProblemNotice } from '../ui/Notice';
import { ChangeNumber } from '../ui/Num';
import { Page } from '../ui/Page';
import { OneDelivery } from './OneDelivery';

type Delivery = Schemas['DeliveryRow'];

const states = { waiting: 'Waiting', delivered: 'Delivered', refused: 'Rejected', given_up: 'Given up' } as const;
const looks = { waiting: 'text-soft', delivered: '', refused: 'text-alarm', given_up: 'text-alarm' };

/** What went to another system, what waits, and what did not arrive, with a way to send it again. */
export function DeliveriesPage() {
  const { code = '' } = useParams();
  const { value, set } = useAddressFilters();
  const list = usePaged(queries.deliveries(code, value('state')));
  const [open, setOpen] = useState<number | null>(null);
  const again = useAct(touches.system, (ids: number[]) =>
    told(api.POST('/api/channels/{code}/deliveries', { params: { path: { code } }, body: { ids } })),
  );
  const channel = list.first;
  const isWebhook = channel?.purpose !== 'files';
  const stuck = channel === undefined ? 0 : channel.undelivered + channel.waiting;
  return (
    <Page
      title={channel === undefined ? code : `Messages to ${channel.name}`}
      over={
        isWebhook ? (
          <Link to="/set-up/webhooks" className="underline underline-offset-3">
            Webhooks
          </Link>
        ) : (
          <Link to="/set-up/hand-over-profiles" className="underline underline-offset-3">
            Hand-over profiles
          </Link>
        )
      }
    >
      <Loading query={list.query}>
        {(rows) => (
          <div className="space-y-4">
            <div className="flex flex-wrap items-center justify-between gap-3">
              <Choice
                label="State"
                value={value('state') || 'all'}
                options={{ all: 'All', ...states }}
                onChange={(next) => set('state', next === 'all' ? '' : next)}
              />
              {stuck > 0 && channel?.retired === false && (
                <Button busy={again.isPending} onClick={() => again.mutate([])}>
                  Send all {count(stuck)} undelivered again
                </Button>
              )}
            </div>
            <ProblemNotice problem={again.error} />
            <DataTable<Delivery>
              label="Messages"
              exportName={`messages-${code}`}
              rows={rows}
              columns={columns(isWebhook)}
              keyOf={(row) => String(row.id)}
              caption={`${count(list.total)} ${list.total === 1 ? 'message' : 'messages'}`}
              paged={list.paged}
              fixedOrder
              empty={value('state') === '' ? 'Nothing has been sent there yet.' : 'No message is in this state.'}
              onOpen={(row) => setOpen(row.id)}
              acts={(chosen, clear) => (
                <Button
                  look="quiet"
                  busy={again.isPending}
                  onClick={() =>
                    again.mutate(
                      chosen.map(({ id }) => id),
                      { onSuccess: clear },
                    )
                  }
                >
                  Send {count(chosen.length)} again
                </Button>
              )}
            />
            {open !== null && <OneDelivery key={open} id={open} onClose={() => setOpen(null)} />}
          </div>
        )}
      </Loading>
    </Page>
  );
}

function columns(isWebhook: boolean): Column<Delivery>[] {
  const what = (row: Delivery) => (isWebhook ? actOf(row.what) : row.what);
  // Of an order or a request; a correction is of none.
  const isOfChange = (row: Delivery) =>
    isWebhook ? /^(order|request)\./.test(row.what) : row.subject !== 'correction';
  return [
    {
      id: 'name',
      head: isWebhook ? 'No.' : 'File',
      text: (row) => row.name,
      cell: (row) => <span className="font-mono text-[0.84rem] whitespace-nowrap">{row.name}</span>,
    },
    { id: 'what', head: isWebhook ? 'Event' : 'Hand-over', text: what, cell: what },
    {
      id: 'subject',
      head: 'About',
      text: (row) => row.subject,
      cell: (row) => (isOfChange(row) ? <ChangeNumber number={row.subject} /> : row.subject),
    },
    {
      id: 'state',
      head: 'State',
      text: (row) => states[row.state],
      cell: (row) => <span className={looks[row.state]}>{states[row.state]}</span>,
    },
    { id: 'said', head: 'Answer', text: (row) => row.said, cell: (row) => row.said },
    { id: 'tries', head: 'Tries', numeric: true, text: (row) => String(row.tries), cell: (row) => row.tries },
    {
      id: 'written',
      head: 'Written',
      text: (row) => row.written_at,
      cell: (row) => <span className="whitespace-nowrap">{moment(row.written_at)}</span>,
    },
    {
      id: 'next',
      head: 'Next try',
      text: (row) => row.due_at ?? '',
      cell: (row) => (
        <span className="whitespace-nowrap">{row.tries === 0 || row.due_at === null ? '' : moment(row.due_at)}</span>
      ),
    },
  ];
}
