import { useQuery } from '@tanstack/react-query';
import type { ApiProblem, Schemas } from '../../lib/api';
import { queries } from '../../lib/queries';
import { DateInput } from '../../ui/DateInput';
import { Field } from '../../ui/Field';
import { Select } from '../../ui/Select';
import { Coming } from './Coming';
import { workOf } from '../worksheet/sheetRows';
import { NamedItem } from './NamedItem';
import { written, type useReplacement } from './useReplacement';

const ALL = 'all';

interface Props {
  state: ReturnType<typeof useReplacement>;
  page: Schemas['ReplacementPage'] | undefined;
  problem: ApiProblem | null;
  effective: string | null;
}

/** What goes and what comes, from which day, and where. */
export function ReplacementForm({ state: { asked, coming, set }, page, problem, effective }: Props) {
  const categories = useQuery(queries.categories());
  const at = (place: string) => problem?.at(place);
  return (
    <form
      aria-label="Replacement"
      className="mb-3 space-y-3 border-y border-rule bg-sheet px-3 py-2"
      onSubmit={(event) => event.preventDefault()}
    >
      <div className="grid items-start gap-x-6 gap-y-3 lg:grid-cols-[minmax(0,1fr)_minmax(0,1.6fr)_13rem]">
        <NamedItem
          label="Component to replace"
          number={asked.old}
          item={page?.old.item}
          error={at('old')}
          onPick={(number) => set('old', number)}
        />
        <Coming
          coming={coming}
          items={page?.new ?? []}
          oldUnit={page?.old.item.number === asked.old ? page.old.item.unit : undefined}
          error={at('new')}
          onChange={(next) => set('new', written(next))}
        />
        <Field
          label="From"
          error={at('from')}
          hint={asked.from === '' ? 'Empty: with the new revisions' : 'The old ends the day before'}
        >
          <DateInput
            value={asked.from}
            onChange={(day) => set('from', day)}
            {...(effective === null ? {} : { min: effective })}
          />
        </Field>
      </div>
      {asked.old !== '' && (
        <div className="grid items-start gap-x-6 gap-y-3 lg:grid-cols-[14rem_16rem_minmax(0,1fr)]">
          <Field label="Structures">
            <Select
              value={asked.work === '' ? ALL : asked.work}
              onChange={(work) => set('work', work === ALL ? '' : work)}
              options={{
                [ALL]: 'All structures',
                ...Object.fromEntries((page?.works ?? []).map((work) => [work, workOf(work)])),
              }}
            />
          </Field>
          <Field label="Category of the parent" error={at('category')}>
            <Select
              value={asked.category === '' ? ALL : asked.category}
              onChange={(category) => set('category', category === ALL ? '' : category)}
              options={{
                [ALL]: 'All categories',
                ...Object.fromEntries((categories.data ?? []).map(({ code, name }) => [code, name])),
              }}
            />
          </Field>
          <NamedItem
            label="Only inside product"
            number={asked.product}
            item={undefined}
            error={at('product')}
            onPick={(number) => set('product', number)}
            onClear={() => set('product', '')}
          />
        </div>
      )}
    </form>
  );
}
