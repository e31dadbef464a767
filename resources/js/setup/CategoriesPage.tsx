import { useQuery, useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import { api, told, type Schemas } from '../lib/api';
import { count } from '../lib/format';
import { queries } from '../lib/queries';
import { useMay } from '../lib/session';
import { useAct } from '../lib/useAct';
import { sequences } from '../lib/words';
import { Button } from '../ui/Button';
import { Field } from '../ui/Field';
import { Input } from '../ui/Input';
import { Loading } from '../ui/Loading';
import { ProblemNotice } from '../ui/Notice';
import { Page } from '../ui/Page';
import { Select } from '../ui/Select';

type Category = Schemas['CategoryRow'];

/** How the items of each category are numbered and revised from now on. */
export function CategoriesPage() {
  const categories = useQuery(queries.categories());
  const maySet = useMay('set_up');
  const [open, setOpen] = useState('');
  return (
    <Page title="Categories and numbers" over="Set-up">
      <Loading query={categories}>
        {(rows) => (
          <table aria-label="Categories" className="w-full max-w-5xl border-collapse border-y border-strong bg-sheet">
            <thead>
              <tr className="border-b border-strong text-left text-sm text-soft">
                {['Category', 'Numbers begin with', 'Digits', 'Check digit', 'Revisions'].map((head) => (
                  <th key={head} className="px-2 py-1 font-medium">
                    {head}
                  </th>
                ))}
                <th className="px-2 py-1 text-right font-medium">Items</th>
                <th>
                  <span className="sr-only">Change</span>
                </th>
              </tr>
            </thead>
            <tbody>
              {rows.map((row) => (
                <tr key={row.code} className="border-b border-rule align-top">
                  {open === row.code ? (
                    <td colSpan={7} className="p-3">
                      <RuleForm category={row} onDone={() => setOpen('')} />
                    </td>
                  ) : (
                    <>
                      <td className="px-2 py-1">{row.name}</td>
                      <td className="px-2 py-1 font-mono text-[0.84rem]">{row.number_prefix}</td>
                      <td className="px-2 py-1">{row.number_width}</td>
                      <td className="px-2 py-1">{row.number_check ? 'yes' : 'no'}</td>
                      <td className="px-2 py-1">{sequences[row.sequence]}</td>
                      <td className="px-2 py-1 text-right">{count(row.items)}</td>
                      <td className="px-2 py-1 text-right">
                        {maySet && (
                          <Button
                            look="quiet"
                            className="!h-6"
                            aria-label={`Change ${row.name}`}
                            onClick={() => setOpen(row.code)}
                          >
                            Change
                          </Button>
                        )}
                      </td>
                    </>
                  )}
                </tr>
              ))}
            </tbody>
          </table>
        )}
      </Loading>
    </Page>
  );
}

function RuleForm({ category, onDone }: { category: Category; onDone: () => void }) {
  const client = useQueryClient();
  const [rule, setRule] = useState({
    number_prefix: category.number_prefix,
    number_width: String(category.number_width),
    number_check: category.number_check,
    sequence: category.sequence,
  });
  const save = useAct(
    () =>
      told(
        api.PATCH('/api/categories/{code}', {
          params: { path: { code: category.code } },
          body: { ...rule, number_width: Number(rule.number_width) },
        }),
      ),
    (rows) => {
      client.setQueryData(queries.categories().queryKey, rows);
      onDone();
    },
  );
  return (
    <form
      aria-label={`Numbers of ${category.name}`}
      className="flex flex-wrap items-start gap-4"
      onSubmit={(event) => {
        event.preventDefault();
        save.mutate(undefined);
      }}
    >
      <b className="mt-6 w-36 font-semibold">{category.name}</b>
      <Field label="Numbers begin with" error={save.error?.at('number_prefix')}>
        <Input
          value={rule.number_prefix}
          onChange={(event) => setRule({ ...rule, number_prefix: event.target.value })}
        />
      </Field>
      <Field label="Digits of the counter" error={save.error?.at('number_width')}>
        <Input value={rule.number_width} onChange={(event) => setRule({ ...rule, number_width: event.target.value })} />
      </Field>
      <Field label="Revisions" className="w-56" error={save.error?.at('sequence')}>
        <Select value={rule.sequence} onChange={(sequence) => setRule({ ...rule, sequence })} options={sequences} />
      </Field>
      <label className="mt-7 flex items-center gap-2">
        <input
          type="checkbox"
          checked={rule.number_check}
          onChange={(event) => setRule({ ...rule, number_check: event.target.checked })}
        />
        Check digit
      </label>
      <span className="mt-5.5 flex gap-2">
        <Button type="submit" look="main" busy={save.isPending}>
          Save
        </Button>
        <Button look="quiet" onClick={onDone}>
          Leave it
        </Button>
      </span>
      <ProblemNotice problem={save.error} shown={['number_prefix', 'number_width', 'sequence']} />
    </form>
  );
}
