import { useState } from 'react';
import { Link } from 'react-router';
import { api, told } from '../lib/api';
import { touches } from '../lib/touches';
import { useAct } from '../lib/useAct';
import { Button } from '../ui/Button';
import { DataTable } from '../ui/DataTable';
import { Field } from '../ui/Field';
import { Input } from '../ui/Input';
import { ProblemNotice } from '../ui/Notice';
import { iterationColumns } from './iterationColumns';
import type { Redline } from './useRedline';
import { actsColumn } from '../ui/table/columns';

/** Saved work between releases: saved with a note, compared with what is now, and gone back to. */
export function Iterations({ redline }: { redline: Redline }) {
  const [note, setNote] = useState('');
  const path = { number: redline.order, item: redline.item.number };
  const keep = useAct(
    touches.order,
    () => told(api.POST('/api/orders/{number}/items/{item}/iterations', { params: { path }, body: { note } })),
    () => setNote(''),
  );
  const goBack = useAct(touches.order, (iteration: number) =>
    told(
      api.POST('/api/orders/{number}/items/{item}/iterations/{iteration}/return', {
        params: { path: { ...path, iteration: String(iteration) } },
        body: { seen: redline.seen },
      }),
    ),
  );
  if (!redline.may_edit && redline.iterations.length === 0) return null;
  const side = (name: string) => `${name}=${redline.item.number}&${name}_order=${redline.order}`;
  return (
    <section aria-labelledby="iterations" className="mt-6 max-w-4xl">
      <h2 id="iterations" className="mb-1">
        Saved iterations
      </h2>
      {redline.may_edit && (
        <form
          className="mb-2 flex items-start gap-2"
          onSubmit={(event) => {
            event.preventDefault();
            keep.mutate(undefined);
          }}
        >
          <Field label={`Save iteration ${redline.working}, note`} className="w-96" error={keep.error?.at('note')}>
            <Input value={note} onChange={(event) => setNote(event.target.value)} />
          </Field>
          <Button type="submit" className="mt-5.5" busy={keep.isPending}>
            Save iteration
          </Button>
        </form>
      )}
      <ProblemNotice problem={goBack.error ?? keep.error} shown={['note']} />
      {redline.iterations.length > 0 && (
        <DataTable
          label="Saved iterations"
          rows={redline.iterations}
          keyOf={(one) => String(one.number)}
          empty=""
          columns={[
            ...iterationColumns,
            actsColumn((one: Redline['iterations'][number]) => (
              <>
                <Link
                  className="text-accent hover:underline"
                  to={`/compare?${side('left')}&left_iteration=${one.number}&${side('right')}&levels=one`}
                >
                  Compare with now
                </Link>
                {redline.may_edit && (
                  <Button
                    look="quiet"
                    className="!h-6"
                    aria-label={`Go back to ${one.name}`}
                    busy={goBack.isPending}
                    onClick={() => goBack.mutate(one.number)}
                  >
                    Go back
                  </Button>
                )}
              </>
            )),
          ]}
        />
      )}
    </section>
  );
}
