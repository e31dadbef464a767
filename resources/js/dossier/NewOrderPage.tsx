import { useQueries } from '@tanstack/react-query';
import { useState } from 'react';
import { useNavigate, useSearchParams } from 'react-router';
import { api, told, type Schemas } from '../lib/api';
import { queries } from '../lib/queries';
import { touches } from '../lib/touches';
import { useAct } from '../lib/useAct';
import { useDraft } from '../lib/useDraft';
import { priorities } from '../lib/words';
import { Button } from '../ui/Button';
import { ChangePicker } from '../ui/ChangePicker';
import { Field } from '../ui/Field';
import { Loading } from '../ui/Loading';
import { MatterFields } from '../ui/MatterFields';
import { ProblemNotice } from '../ui/Notice';
import { ChangeNumber } from '../ui/Num';
import { Page } from '../ui/Page';
import { Select } from '../ui/Select';
import { SheetButtons } from '../orders/work/SheetButtons';
import { OrderFromSheet } from './OrderFromSheet';

interface Draft extends Record<string, unknown> {
  title: string;
  description: string;
  priority: Schemas['NewOrder']['priority'];
  items: string[];
  requests: string[];
  parent: string | null;
}

const listed = (text: string | null) => text?.split(',').filter(Boolean) ?? [];

/** Raises an order: directly for a small matter, or of one or several approved requests, whose items and texts come along. */
export function NewOrderPage() {
  const [params] = useSearchParams();
  const items = listed(params.get('items'));
  const requests = listed(params.get('requests'));
  const parent = params.get('parent');
  const read = useQueries({ queries: requests.map((number) => queries.dossier(number)) });
  const failed = read.find((one) => one.isError);
  if (failed)
    return (
      <Page title="Raise a change order">
        <Loading query={failed}>{() => null}</Loading>
      </Page>
    );
  const pages = read.flatMap(({ data }) => (data ? [data] : []));
  if (pages.length < requests.length) return null;
  const ranks = Object.keys(priorities) as Draft['priority'][];
  return (
    <OrderForm
      name={`order ${[...requests, ...items].join(',')}${parent === null ? '' : ` under ${parent}`}`}
      start={{
        title: pages[0]?.title ?? '',
        description: '',
        priority: ranks.find((one) => pages.some(({ priority }) => priority === one)) ?? 'normal',
        items,
        requests,
        parent,
      }}
    />
  );
}

function OrderForm({ name, start }: { name: string; start: Draft }) {
  const draft = useDraft<Draft>(name, start);
  const { value, change } = draft;
  const navigate = useNavigate();
  const raise = useAct(
    [...touches.order, ...touches.request],
    () => told(api.POST('/api/orders', { body: value })),
    ({ number }) => {
      draft.clear();
      void navigate(`/changes/${number}`);
    },
  );
  const error = (place: string) => raise.error?.at(place);
  const [file, setFile] = useState<File | null>(null);
  return (
    <Page title="Raise a change order" over="Engineering change order">
      <p className="mb-3 flex flex-wrap items-baseline gap-x-4">
        <span className="text-soft">Fill in the form, or a sheet with items and lines.</span>
        <SheetButtons
          address="/api/order-sheet"
          onFile={setFile}
          formats={['xlsx', 'csv', 'json']}
          labels={{ save: 'Empty sheet', read: 'Import filled-in sheet' }}
        />
      </p>
      {file ? (
        <OrderFromSheet key={`${file.name} ${file.lastModified}`} file={file} onDone={() => setFile(null)} />
      ) : (
        <form
          className="grid max-w-5xl gap-x-8 gap-y-4 md:grid-cols-[1fr_20rem]"
          onSubmit={(event) => {
            event.preventDefault();
            raise.mutate(undefined);
          }}
        >
          <div className="space-y-4">
            <MatterFields
              value={value}
              label="What changes, and why"
              hint={
                value.requests.length > 0
                  ? 'May stay empty: what the requests say is carried over'
                  : 'There is no request that says it'
              }
              rows={5}
              error={error}
              onChange={change}
            />
          </div>
          <div className="space-y-4">
            <section aria-label="Requests">
              <h2 className="mb-1 text-base">Approved requests</h2>
              {value.requests.length > 0 && (
                <ul className="mb-1 border-y border-rule bg-sheet">
                  {value.requests.map((number) => (
                    <li key={number} className="flex items-center justify-between gap-3 px-2 py-0.5">
                      <ChangeNumber number={number} />
                      <Button
                        look="quiet"
                        aria-label={`Remove ${number}`}
                        onClick={() => change({ requests: value.requests.filter((one) => one !== number) })}
                      >
                        Remove
                      </Button>
                    </li>
                  ))}
                </ul>
              )}
              <ChangePicker
                label="Add an approved request"
                types={['request']}
                fits={(one) => one.state === 'approved'}
                onPick={(one) => change({ requests: [...new Set([...value.requests, one.number])] })}
                invalid={error('requests') !== undefined}
              />
              {error('requests') !== undefined && <p className="mt-0.5 text-sm text-alarm">▸ {error('requests')}</p>}
              <p className="mt-0.5 text-sm text-soft">None: the order is raised directly.</p>
            </section>
            {value.parent !== null && (
              <p className="flex items-center justify-between gap-3">
                <span>
                  Subordinate to <ChangeNumber number={value.parent} />, released after it
                </span>
                <Button look="quiet" aria-label="Subordinate to none" onClick={() => change({ parent: null })}>
                  Remove
                </Button>
              </p>
            )}
            {error('parent') !== undefined && <p className="text-sm text-alarm">▸ {error('parent')}</p>}
            <Field label="Priority" error={error('priority')}>
              <Select value={value.priority} onChange={(priority) => change({ priority })} options={priorities} />
            </Field>
            <ProblemNotice
              problem={raise.error}
              shown={['title', 'description', 'items', 'requests', 'priority', 'parent']}
            />
            <div className="flex gap-2">
              <Button type="submit" look="main" busy={raise.isPending}>
                Create order
              </Button>
              <Button look="quiet" onClick={draft.clear}>
                Clear
              </Button>
            </div>
          </div>
        </form>
      )}
    </Page>
  );
}
