import { useDeferredValue } from 'react';
import { useNavigate, useSearchParams } from 'react-router';
import { api, told, type Schemas } from '../lib/api';
import { touches } from '../lib/touches';
import { useAct } from '../lib/useAct';
import { useDraft } from '../lib/useDraft';
import { priorities } from '../lib/words';
import { Button } from '../ui/Button';
import { ChoiceField } from '../ui/ChoiceField';
import { Field } from '../ui/Field';
import { MatterFields } from '../ui/MatterFields';
import { Input } from '../ui/Input';
import { ProblemNotice } from '../ui/Notice';
import { Page } from '../ui/Page';
import { Select } from '../ui/Select';
import { LikelySame } from './LikelySame';

type Body = Schemas['NewReport'];

interface Draft extends Record<string, unknown> {
  title: string;
  /** Codes; empty until chosen. */
  source: string;
  site: string;
  severity: Body['severity'];
  description: string;
  serial: string;
  items: string[];
}

/** Reports a problem: what was seen, where, on what. Reports that are likely the same are shown meanwhile. */
export function NewReportPage() {
  const [params] = useSearchParams();
  const named = params.get('items')?.split(',').filter(Boolean) ?? [];
  const draft = useDraft<Draft>(`report ${named.join(',')}`, {
    title: '',
    source: '',
    site: '',
    severity: 'normal',
    description: '',
    serial: '',
    items: named,
  });
  const { value, change } = draft;
  const navigate = useNavigate();
  const raise = useAct(
    touches.report,
    () => told(api.POST('/api/reports', { body: value })),
    ({ number }) => {
      draft.clear();
      void navigate(`/reports/${number}`);
    },
  );
  const error = (place: string) => raise.error?.at(place);
  const written = useDeferredValue(value);
  return (
    <Page title="Report a problem" over="Problem report">
      <form
        className="grid max-w-6xl gap-x-8 gap-y-4 md:grid-cols-[1fr_22rem]"
        onSubmit={(event) => {
          event.preventDefault();
          raise.mutate(undefined);
        }}
      >
        <div className="space-y-4">
          <MatterFields
            value={value}
            label="What was seen"
            hint="When, where, under which circumstances, how often"
            rows={6}
            error={error}
            onChange={change}
          />
          <div className="grid grid-cols-2 gap-4">
            <Field label="Serial or lot numbers" hint="As written on the unit" error={error('serial')}>
              <Input value={value.serial} onChange={(event) => change({ serial: event.target.value })} />
            </Field>
            <Field label="Severity" error={error('severity')}>
              <Select value={value.severity} onChange={(severity) => change({ severity })} options={priorities} />
            </Field>
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
          </div>
          <ProblemNotice
            problem={raise.error}
            shown={['title', 'description', 'items', 'serial', 'severity', 'source', 'site']}
          />
          <div className="flex gap-2">
            <Button type="submit" look="main" busy={raise.isPending}>
              Create report
            </Button>
            <Button look="quiet" onClick={draft.clear}>
              Clear
            </Button>
          </div>
          <p className="text-sm text-soft">Photos and marked-up drawings are added on the next page.</p>
        </div>
        <LikelySame title={written.title} description={written.description} items={written.items} />
      </form>
    </Page>
  );
}
