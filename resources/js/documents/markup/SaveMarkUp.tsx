import { useQuery } from '@tanstack/react-query';
import { useState } from 'react';
import { useNavigate, useSearchParams } from 'react-router';
import { bringFile } from '../../attachments/Attachments';
import { placeOf } from '../../lib/places';
import { queries } from '../../lib/queries';
import { useMay } from '../../lib/session';
import { useAct } from '../../lib/useAct';
import { Button } from '../../ui/Button';
import { Field } from '../../ui/Field';
import { ProblemNotice } from '../../ui/Notice';
import { Select } from '../../ui/Select';

interface Props {
  item: string;
  name: string;
  empty: boolean;
  svg: () => string;
  onSaved: () => void;
}

/** Keeps a mark-up as an attachment of a report or request that is open. */
export function SaveMarkUp({ item, name, empty, svg, onSaved }: Props) {
  const [params] = useSearchParams();
  const navigate = useNavigate();
  const mayBring = useMay('report_problem');
  const open = useQuery(queries.changes({ show: 'open', words: '', priority: '' }));
  const naming = useQuery(queries.item(item));
  const [to, setTo] = useState(params.get('for') ?? '');
  const named = new Set((naming.data?.changes ?? []).map(({ number }) => number));
  const save = useAct(
    () =>
      bringFile(
        (open.data ?? []).find(({ number }) => number === to)?.type === 'report' ? { report: to } : { request: to },
        'mark_up',
        new Blob([svg()], { type: 'image/svg+xml' }),
        `${name}.svg`,
      ),
    () => {
      onSaved();
      void navigate(placeOf(to));
    },
  );
  if (!mayBring) return null;
  const candidates = (open.data ?? [])
    .filter(({ type }) => type !== 'order')
    .sort((a, b) => Number(named.has(b.number)) - Number(named.has(a.number)));
  return (
    <section aria-label="Keep it" className="space-y-2">
      <Field
        label="Keep it with"
        hint="Reports and requests that name the item come first"
        error={save.error?.at('file')}
      >
        <Select
          value={to}
          onChange={setTo}
          options={Object.fromEntries(candidates.map(({ number, title }) => [number, `${number} ${title}`]))}
        />
      </Field>
      <ProblemNotice problem={save.error} shown={['file']} />
      <Button look="main" disabled={to === '' || empty} busy={save.isPending} onClick={() => save.mutate(undefined)}>
        Keep the mark-up
      </Button>
    </section>
  );
}
