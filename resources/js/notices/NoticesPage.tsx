import { useSearchParams, useNavigate } from 'react-router';
import { api, told, type Schemas } from '../lib/api';
import { count, moment } from '../lib/format';
import { queries } from '../lib/queries';
import { touches } from '../lib/touches';
import { useAct } from '../lib/useAct';
import { usePaged } from '../lib/usePaged';
import { Button } from '../ui/Button';
import { Choice } from '../ui/Choice';
import { DataTable, type Column } from '../ui/DataTable';
import { Details } from '../ui/Details';
import { Loading } from '../ui/Loading';
import { ProblemNotice } from '../ui/Notice';
import { ChangeNumber, ItemNumber } from '../ui/Num';
import { Page } from '../ui/Page';
import { CalendarAddress } from './CalendarAddress';
import { Paces } from './Paces';
import { causes } from './causes';

type Notice = Schemas['NoticeRow'];

/** Of what it tells: a change, an item, or what has no number. */
function Subject({ notice: { change, path } }: { notice: Notice }) {
  if (change === '') return null;
  return path === `/items/${change}` ? <ItemNumber number={change} /> : <ChangeNumber number={change} />;
}

const columns: Column<Notice>[] = [
  {
    id: 'read',
    head: 'New',
    text: (r) => (r.read ? '' : 'new'),
    cell: (r) => (r.read ? null : <span className="text-sm font-semibold text-accent">new</span>),
  },
  { id: 'at', head: 'When', className: 'whitespace-nowrap', text: (r) => r.at, cell: (r) => moment(r.at) },
  { id: 'change', head: 'Change', text: (r) => r.change, cell: (r) => <Subject notice={r} /> },
  { id: 'title', head: 'Title', className: 'min-w-44', text: (r) => r.title, cell: (r) => r.title },
  {
    id: 'what',
    head: 'What happened',
    className: 'w-1/3',
    text: (r) => (r.about === '' ? r.what : `${r.what}: ${r.about}`),
    cell: (r) => (
      <>
        {r.what}
        {r.about !== '' && <span className="text-soft">: {r.about}</span>}
      </>
    ),
  },
  { id: 'by', head: 'By', className: 'whitespace-nowrap', text: (r) => r.by, cell: (r) => r.by },
  {
    id: 'cause',
    head: 'Why you',
    className: 'whitespace-nowrap',
    text: (r) => causes[r.cause],
    cell: (r) => causes[r.cause],
  },
];

/** What happened to the changes that concern the person who is signed in, the newest first. */
export function NoticesPage() {
  const [params, setParams] = useSearchParams();
  const navigate = useNavigate();
  const all = params.get('show') === 'all';
  const change = params.get('change') ?? '';
  const notices = usePaged(queries.notices({ ...(all ? {} : { unread: '1' }), ...(change === '' ? {} : { change }) }));
  const mark = useAct(touches.notice, (body: Schemas['ReadMark']) => told(api.POST('/api/notices/read', { body })));
  const set = (name: string, value: string) =>
    setParams(
      (before) => {
        if (value === '') before.delete(name);
        else before.set(name, value);
        return before;
      },
      { replace: true },
    );
  return (
    <Page title="Notices" over="What happened to your changes">
      <div className="no-print mb-3 flex flex-wrap items-center gap-x-5 gap-y-2">
        <Choice
          label="Which notices"
          value={all ? 'all' : 'unread'}
          options={{ unread: 'Unread', all: 'All' }}
          onChange={(value) => set('show', value === 'all' ? 'all' : '')}
        />
        {change !== '' && (
          <span>
            Of {change} only{' '}
            <Button look="quiet" className="!h-6 !px-1" onClick={() => set('change', '')}>
              Show all changes
            </Button>
          </span>
        )}
      </div>
      <ProblemNotice problem={mark.error} />
      <Loading query={notices.query}>
        {(rows) => (
          <>
            <DataTable
              label="Notices"
              caption={
                <span className="flex items-center gap-4">
                  {notices.total === 1 ? '1 notice' : `${count(notices.total)} notices`}
                  {rows.some((row) => !row.read) && (
                    <Button
                      look="quiet"
                      className="!h-6 !px-1"
                      busy={mark.isPending}
                      onClick={() => mark.mutate({ read: true, up_to: Math.max(...rows.map((row) => row.id)) })}
                    >
                      Mark all as read
                    </Button>
                  )}
                </span>
              }
              fixedOrder
              paged={notices.paged}
              exportName="notices"
              rows={rows}
              columns={columns}
              keyOf={(row) => String(row.id)}
              rowHeight={null}
              rowClass={(row) => (row.read ? '' : 'font-medium')}
              onOpen={(row) => {
                if (!row.read) mark.mutate({ read: true, ids: [row.id] });
                void navigate(row.path);
              }}
              acts={(chosen, clear) => (
                <>
                  {[true, false].map((read) => (
                    <Button
                      key={String(read)}
                      busy={mark.isPending}
                      onClick={() => {
                        mark.mutate({ read, ids: chosen.slice(0, MOST).map((row) => row.id) });
                        clear();
                      }}
                    >
                      {read ? 'Mark as read' : 'Mark as unread'}
                    </Button>
                  ))}
                </>
              )}
              empty={
                all
                  ? 'Nothing yet. You are told of changes that need you, that you take part in, and that you watch: “Watch” stands at the head of each.'
                  : 'Nothing new.'
              }
            />
            <div className="no-print mt-4 space-y-2">
              <Details summary="When mails are sent">
                <Paces />
              </Details>
              <Details summary="Calendar to subscribe to">
                <CalendarAddress />
              </Details>
            </div>
          </>
        )}
      </Loading>
    </Page>
  );
}

/** The server takes no more at once. */
const MOST = 500;
