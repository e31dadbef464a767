import { useNavigate, useSearchParams } from 'react-router';
import { api, told, type Schemas } from '../lib/api';
import { useAct } from '../lib/useAct';
import { useDraft } from '../lib/useDraft';
import { priorities, reasons, sites, sources } from '../lib/words';
import { Button } from '../ui/Button';
import { Field } from '../ui/Field';
import { Input, TextArea } from '../ui/Input';
import { ItemPicker } from '../ui/ItemPicker';
import { ItemNumber } from '../ui/Num';
import { Notice, ProblemNotice } from '../ui/Notice';
import { Page } from '../ui/Page';
import { Select } from '../ui/Select';

type Body = Schemas['NewRequest'];

interface Draft extends Record<string, unknown> {
  title: string;
  reason: Body['reason'] | '';
  source: Body['source'] | '';
  site: Body['site'] | '';
  priority: Body['priority'];
  description: string;
  items: string[];
}

/** Raises an engineering change request against one or more items. */
export function NewRequestPage() {
  const [params] = useSearchParams();
  const named = params.get('items')?.split(',').filter(Boolean) ?? [];
  const draft = useDraft<Draft>(`request ${named.join(',')}`, {
    title: '',
    reason: '',
    source: '',
    site: '',
    priority: 'normal',
    description: '',
    items: named,
  });
  const { value, change } = draft;
  const navigate = useNavigate();
  const raise = useAct(
    // The server says which choice is missing, beside its field.
    () => told(api.POST('/api/requests', { body: value as Body })),
    (dossier) => {
      draft.clear();
      void navigate(`/changes/${dossier.number}`);
    },
  );
  const error = (place: string) => raise.error?.at(place);

  return (
    <Page title="Raise a change request" over="Engineering change request">
      <form
        className="grid max-w-5xl gap-x-8 gap-y-4 md:grid-cols-[1fr_18rem]"
        onSubmit={(event) => {
          event.preventDefault();
          raise.mutate(undefined);
        }}
      >
        <div className="space-y-4">
          <Field label="Title" error={error('title')}>
            <Input value={value.title} onChange={(event) => change({ title: event.target.value })} />
          </Field>
          <Field
            label="Description"
            hint="What is wrong or wanted, where it was seen, what is proposed"
            error={error('description')}
          >
            <TextArea
              rows={7}
              value={value.description}
              onChange={(event) => change({ description: event.target.value })}
            />
          </Field>
          <section aria-labelledby="affected">
            <h2 id="affected" className="mb-1 text-base">
              Affected items
            </h2>
            {value.items.length > 0 && (
              <ul className="mb-1 border-y border-rule bg-sheet">
                {value.items.map((number) => (
                  <li
                    key={number}
                    className="flex items-center justify-between border-t border-rule px-2 py-0.5 first:border-t-0"
                  >
                    <ItemNumber number={number} />
                    <Button
                      look="quiet"
                      aria-label={`Take off ${number}`}
                      onClick={() => change({ items: value.items.filter((one) => one !== number) })}
                    >
                      Take off
                    </Button>
                  </li>
                ))}
              </ul>
            )}
            <ItemPicker
              label="Add an affected item"
              placeholder="Add an item: number or title"
              onPick={(item) => change({ items: [...new Set([...value.items, item.number])] })}
              invalid={error('items') !== undefined}
            />
            {error('items') && <p className="mt-0.5 text-sm text-alarm">▸ {error('items')}</p>}
          </section>
        </div>
        <div className="space-y-4">
          <Field label="Reason" error={error('reason')}>
            <Select value={value.reason} onChange={(reason) => change({ reason })} options={reasons} />
          </Field>
          <Field label="Source" error={error('source')}>
            <Select value={value.source} onChange={(source) => change({ source })} options={sources} />
          </Field>
          <Field label="Site" error={error('site')}>
            <Select value={value.site} onChange={(site) => change({ site })} options={sites} />
          </Field>
          <Field label="Priority" error={error('priority')}>
            <Select value={value.priority} onChange={(priority) => change({ priority })} options={priorities} />
          </Field>
          {value.priority === 'critical' && (
            <Notice look="alarm">Every coordinator sees it at the top of the Desk.</Notice>
          )}
          <ProblemNotice
            problem={raise.error}
            shown={['title', 'description', 'items', 'reason', 'source', 'site', 'priority']}
          />
          <div className="flex gap-2">
            <Button type="submit" look="main" busy={raise.isPending}>
              Raise the request
            </Button>
            <Button look="quiet" onClick={draft.clear}>
              Clear
            </Button>
          </div>
        </div>
      </form>
    </Page>
  );
}
