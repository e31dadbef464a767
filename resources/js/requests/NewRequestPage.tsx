import { useQueries } from '@tanstack/react-query';
import { useNavigate, useSearchParams } from 'react-router';
import { api, told, type Schemas } from '../lib/api';
import { queries } from '../lib/queries';
import { touches } from '../lib/touches';
import { useAct } from '../lib/useAct';
import { useDraft } from '../lib/useDraft';
import { offered } from '../lib/choices';
import { priorities } from '../lib/words';
import { Button } from '../ui/Button';
import { ChoiceField } from '../ui/ChoiceField';
import { Field } from '../ui/Field';
import { MatterFields } from '../ui/MatterFields';
import { Loading } from '../ui/Loading';
import { ChangeNumber } from '../ui/Num';
import { Notice, ProblemNotice } from '../ui/Notice';
import { Page } from '../ui/Page';
import { Select } from '../ui/Select';

type Body = Schemas['NewRequest'];

interface Draft extends Record<string, unknown> {
  title: string;
  /** Codes; empty until chosen. */
  reason: string;
  source: string;
  site: string;
  priority: Body['priority'];
  description: string;
  items: string[];
}

/** Raises an engineering change request against one or more items, or of problem reports, all of which is carried along. */
export function NewRequestPage() {
  const [params] = useSearchParams();
  // Whoever leads here may have written the beginning.
  const said = { title: params.get('title') ?? '', description: params.get('description') ?? '' };
  const items = params.get('items')?.split(',').filter(Boolean) ?? [];
  const reports = params.get('reports')?.split(',').filter(Boolean) ?? [];
  const read = useQueries({ queries: reports.map((number) => queries.report(number)) });
  const failed = read.find((one) => one.isError);
  if (failed)
    return (
      <Page title="Raise a change request">
        <Loading query={failed}>{() => null}</Loading>
      </Page>
    );
  const pages = read.flatMap(({ data }) => (data ? [data] : []));
  if (pages.length < reports.length) return null;
  return (
    <RequestForm
      name={`request ${[...reports, ...items, said.title].filter(Boolean).join(',')}`}
      start={startOf(pages, items, said)}
      reports={pages}
    />
  );
}

/** What the reports say already, so that nobody types it again. */
function startOf(pages: Schemas['ReportPage'][], items: string[], said: { title: string; description: string }): Draft {
  const ranks = Object.keys(priorities) as Body['priority'][];
  const first = pages[0]?.report;
  return {
    title: first?.title ?? said.title,
    reason: first && 'defect' in offered('reason') ? 'defect' : '',
    source: first?.source ?? '',
    site: first?.site ?? '',
    priority: ranks.find((one) => pages.some(({ report }) => report.severity === one)) ?? 'normal',
    description: [
      said.description,
      ...pages.map(({ report, description }) =>
        [`${report.number}, ${report.title}`, report.serial && `Serial or lot: ${report.serial}`, description]
          .filter(Boolean)
          .join('\n'),
      ),
    ]
      .filter(Boolean)
      .join('\n\n'),
    items: [...new Set([...pages.flatMap(({ report }) => report.items), ...items])],
  };
}

interface FormProps {
  name: string;
  start: Draft;
  reports: Schemas['ReportPage'][];
}

function RequestForm({ name, start, reports }: FormProps) {
  const draft = useDraft<Draft>(name, start);
  const { value, change } = draft;
  const navigate = useNavigate();
  const raise = useAct(
    touches.request, // The server says which choice is missing, beside its field.
    () =>
      told(
        api.POST('/api/requests', {
          body: { ...(value as unknown as Body), reports: reports.map(({ report }) => report.number) },
        }),
      ),
    ({ number }) => {
      draft.clear();
      void navigate(`/changes/${number}`);
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
          {reports.length > 0 && (
            <p>
              Answers{' '}
              {reports.map(({ report }) => (
                <span key={report.number} className="mr-2">
                  <ChangeNumber number={report.number} />
                </span>
              ))}
              and carries along what they say.
            </p>
          )}
          <MatterFields
            value={value}
            label="Description"
            hint="What is wrong or wanted, where it was seen, what is proposed"
            rows={7}
            error={error}
            onChange={change}
          />
        </div>
        <div className="space-y-4">
          <ChoiceField
            label="Reason"
            list="reason"
            value={value.reason}
            error={error('reason')}
            onChange={(reason) => change({ reason })}
          />
          <ChoiceField
            label="Source"
            list="source"
            value={value.source}
            error={error('source')}
            onChange={(source) => change({ source })}
          />
          <ChoiceField
            label="Site"
            list="site"
            value={value.site}
            error={error('site')}
            onChange={(site) => change({ site })}
          />
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
              Create request
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
