import { useState } from 'react';
import { useParams } from 'react-router';
import { count, moment } from '../lib/format';
import { api, told } from '../lib/api';
import { queries } from '../lib/queries';
import { touches } from '../lib/touches';
import { useAddressFilters } from '../lib/useAddressFilters';
import { useAct } from '../lib/useAct';
import { usePaged } from '../lib/usePaged';
import { supplyKinds } from '../lib/words';
import { Button } from '../ui/Button';
import { DataTable } from '../ui/DataTable';
import { Loading } from '../ui/Loading';
import { Notice, ProblemNotice } from '../ui/Notice';
import { ChangeNumber } from '../ui/Num';
import { Page } from '../ui/Page';
import { Select } from '../ui/Select';
import { DecideForm } from './DecideForm';
import { documentColumns, type OldDocument } from './documentColumns';
import { SeenForm } from './SeenForm';

const shows = {
  holding: 'Not seen to',
  open: 'Open',
  decided: 'Decided',
  seen: 'Seen to',
  all: 'All',
} as const;

type Doing = { what: 'decide' | 'seen'; rows: OldDocument[] } | null;

/** What in planning still names what an order replaced: each is decided, has an owner and a day, and is seen to. */
export function OldDocumentsPage() {
  const { number = '' } = useParams();
  const { asked, value, set } = useAddressFilters();
  const documents = usePaged(queries.oldDocuments(number, asked));
  const [doing, setDoing] = useState<Doing>(null);
  const done = () => setDoing(null);
  const act = useAct(
    touches.oldDocument,
    (body: { ids: number[]; as_proposed: boolean } | { ids: number[]; seen: boolean }) =>
      'seen' in body
        ? told(api.POST('/api/orders/{number}/old-documents/seen', { params: { path: { number } }, body }))
        : told(api.POST('/api/orders/{number}/old-documents/decision', { params: { path: { number } }, body })),
    done,
  );
  const tell = useAct(touches.oldDocument, (chosen: number[]) =>
    told(
      api.POST('/api/orders/{number}/old-documents/message', { params: { path: { number } }, body: { ids: chosen } }),
    ),
  );
  const ask = useAct(touches.oldDocument, () =>
    told(api.POST('/api/orders/{number}/old-documents/reading', { params: { path: { number } } })),
  );
  const page = documents.first;
  const ids = (rows: OldDocument[]) => rows.map(({ id }) => id);
  return (
    <Page
      title="Open documents"
      number={number}
      over={
        <span className="flex items-baseline gap-2">
          Follow through <ChangeNumber number={number} /> {page?.title}
        </span>
      }
      aside={
        page && (
          <>
            <span className="text-sm text-soft">
              {page.reading
                ? 'Asking planning …'
                : page.read_at === null
                  ? 'Planning has not answered yet'
                  : `Planning data as of ${moment(page.read_at)}`}
            </span>
            {page.may && (
              <Button busy={ask.isPending || page.reading} onClick={() => ask.mutate(undefined)}>
                Refresh from planning
              </Button>
            )}
          </>
        )
      }
    >
      <div className="no-print mb-3 flex flex-wrap items-center gap-2">
        <Select
          aria-label="State"
          className="!w-40"
          value={(value('state') || 'holding') as keyof typeof shows}
          onChange={(v) => set('state', v === 'holding' ? '' : v)}
          options={shows}
        />
        <Select
          aria-label="Kind"
          className="!w-44"
          value={value('kind') || '-'}
          onChange={(v) => set('kind', v)}
          options={{ '-': 'All kinds', ...supplyKinds }}
        />
        {page && (
          <span className="text-sm text-soft">
            {count(page.open)} open · {count(page.decided)} decided · {count(page.seen)} seen to
          </span>
        )}
      </div>
      {page && page.fault !== '' && (
        <div className="mb-3">
          <Notice look="warn">{page.fault} What was read before is shown.</Notice>
        </div>
      )}
      <Loading query={documents.query}>
        {(rows) => (
          <div className="space-y-3">
            <DataTable
              label="Documents that name what the order replaced"
              caption={documents.total === 1 ? '1 document' : `${count(documents.total)} documents`}
              exportName={`documents-of-${number}`}
              rows={rows}
              columns={documentColumns}
              keyOf={(row) => String(row.id)}
              paged={documents.paged}
              fixedOrder
              empty={
                page?.read_at === null
                  ? 'Planning has not answered yet.'
                  : 'Nothing in planning names what this order replaced, as far as these filters show.'
              }
              {...(page?.may === true && {
                acts: (chosen: OldDocument[], clear: () => void) => (
                  <>
                    <Button
                      look="quiet"
                      onClick={() => act.mutate({ ids: ids(chosen), as_proposed: true }, { onSuccess: clear })}
                    >
                      As proposed {count(chosen.length)}
                    </Button>
                    <Button look="quiet" onClick={() => setDoing({ what: 'decide', rows: chosen })}>
                      Decide {count(chosen.length)} …
                    </Button>
                    {page.may_tell && (
                      <Button
                        look="quiet"
                        busy={tell.isPending}
                        onClick={() => tell.mutate(ids(chosen), { onSuccess: clear })}
                      >
                        Send to planning {count(chosen.length)}
                      </Button>
                    )}
                    <Button look="quiet" onClick={() => setDoing({ what: 'seen', rows: chosen })}>
                      Seen to {count(chosen.length)} …
                    </Button>
                    <Button
                      look="quiet"
                      onClick={() => act.mutate({ ids: ids(chosen), seen: false }, { onSuccess: clear })}
                    >
                      Reopen {count(chosen.length)}
                    </Button>
                  </>
                ),
              })}
            />
            <ProblemNotice problem={act.error ?? tell.error ?? ask.error} />
            {doing?.what === 'decide' && <DecideForm order={number} rows={doing.rows} onDone={done} />}
            {doing?.what === 'seen' && <SeenForm order={number} rows={doing.rows} onDone={done} />}
          </div>
        )}
      </Loading>
    </Page>
  );
}
