import clsx from 'clsx';
import { api, told, type Schemas } from '../lib/api';
import { moment, quantity } from '../lib/format';
import { useMay } from '../lib/session';
import { touches } from '../lib/touches';
import { useAct } from '../lib/useAct';
import { handoverStates } from '../lib/words';
import { Button } from '../ui/Button';
import { DataTable, type Column } from '../ui/DataTable';
import { Introduce } from '../planning/Introduce';
import { ItemNumber } from '../ui/Num';
import { Notice, ProblemNotice } from '../ui/Notice';

type Handover = Schemas['HandoverRow'];
type Entry = Schemas['HandoverEntryRow'];

const columns: Column<Entry>[] = [
  { id: 'number', head: 'Entry', numeric: true, text: (e) => String(e.number), cell: (e) => e.number },
  { id: 'action', head: 'To do', text: (e) => e.action, cell: (e) => e.action },
  {
    id: 'item',
    head: 'Item',
    className: 'whitespace-nowrap',
    text: (e) => e.item,
    cell: (e) => <ItemNumber number={e.item} />,
  },
  { id: 'revision', head: 'Revision', text: (e) => e.revision, cell: (e) => e.revision },
  { id: 'plant', head: 'Plant', text: (e) => e.plant ?? '', cell: (e) => e.plant ?? '' },
  {
    id: 'operation',
    head: 'Operation',
    text: (e) => `${e.operation ?? ''} ${e.title ?? ''}`.trim(),
    cell: (e) => (
      <>
        {e.operation} {e.title}
      </>
    ),
  },
  { id: 'find', head: 'Find', numeric: true, text: (e) => String(e.find ?? ''), cell: (e) => e.find },
  {
    id: 'component',
    head: 'Component or data',
    className: 'whitespace-nowrap',
    text: (e) => (e.component === null ? (e.data ?? '') : `${e.component}${e.by_product ? ' comes out' : ''}`),
    cell: (e) =>
      e.component === null ? (
        <span className="whitespace-normal">{e.data}</span>
      ) : (
        <>
          <ItemNumber number={e.component} /> {e.by_product && 'comes out'}
        </>
      ),
  },
  {
    id: 'quantity',
    head: 'Quantity',
    numeric: true,
    text: (e) => e.quantity ?? '',
    cell: (e) => (e.quantity === null ? '' : `${quantity(e.quantity)} ${e.unit ?? ''}`),
  },
  {
    id: 'answer',
    head: 'Answer from planning',
    text: (e) => `${e.answer} ${e.reason}`,
    cell: (e) => (
      <span
        className={clsx(e.answer === 'refused' && 'font-semibold text-alarm', e.answer === 'taken' && 'text-accent')}
      >
        {e.answer === 'taken' ? '■ accepted' : e.answer === 'refused' ? `▲ rejected: ${e.reason}` : '□ waiting'}
      </span>
    ),
  },
];

const looks = {
  waiting: 'text-soft',
  taken: 'text-accent',
  partly_refused: 'text-alarm',
  refused: 'text-alarm',
  unanswered: 'text-warn',
};

/** One hand-over: its files, and what planning said to each entry. */
export function HandoverView({ handover }: { handover: Handover }) {
  const maySend = useMay('send_handover');
  const again = useAct(touches.handover, () =>
    told(api.POST('/api/handovers/{name}/delivery', { params: { path: { name: handover.name } } })),
  );
  const refused = handover.entries.filter((entry) => entry.answer === 'refused');
  const lacking = [
    ...new Set(
      refused.flatMap(({ item, component, reason }) =>
        [item, component ?? ''].filter(
          (number) => number !== '' && reason === `Item ${number} is not known to planning.`,
        ),
      ),
    ),
  ];
  return (
    <div className="space-y-2">
      <div className="flex flex-wrap items-baseline gap-x-4 gap-y-1">
        <h3>
          Hand-over <span className="font-mono text-sm">{handover.name}</span>
        </h3>
        <b className={clsx('font-semibold', looks[handover.state])}>{handoverStates[handover.state]}</b>
        <span className="text-sm text-soft">
          written {moment(handover.written_at)}
          {handover.sending && handover.state !== 'waiting' && ', being resent'}
          {handover.answered_at !== null && `, answered ${moment(handover.answered_at)}`}
        </span>
        <span className="flex gap-3 text-sm">
          {['xml', 'json', 'csv'].map((format) => (
            <a
              key={format}
              className="text-accent hover:underline"
              href={`/api/handovers/${handover.name}/files/${format}`}
            >
              {format.toUpperCase()}
            </a>
          ))}
        </span>
      </div>
      {handover.introduced.length > 0 && (
        <p className="text-sm">
          Planning lacked {handover.introduced.join(', ')}: introduced before the hand-over was sent.
        </p>
      )}
      {handover.last_error !== '' && (
        <Notice look="warn">
          {handover.last_error} Tried {handover.tries === 1 ? 'once' : `${handover.tries} times`}; retried
          automatically, up to five times.
        </Notice>
      )}
      {refused.length > 0 && (
        <Notice look="alarm">
          Planning rejected {refused.length} of {handover.entries.length} entries. Correct it in planning, then resend;
          accepted entries are not repeated.
        </Notice>
      )}
      {maySend && lacking.length > 0 && <Introduce numbers={lacking} />}
      <DataTable
        label={`Entries of ${handover.name}`}
        rows={handover.entries}
        columns={columns}
        keyOf={(entry) => String(entry.number)}
        rowClass={(entry) => (entry.answer === 'refused' ? 'bg-alarm-soft' : '')}
        empty="It has no entries."
        exportName={handover.name}
      />
      <ProblemNotice problem={again.error} />
      {maySend && (
        <Button busy={again.isPending} onClick={() => again.mutate(undefined)}>
          Resend
        </Button>
      )}
    </div>
  );
}
