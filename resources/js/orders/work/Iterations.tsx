import { useState } from 'react';
import { Link } from 'react-router';
import type { Schemas } from '../../lib/api';
import { Button } from '../../ui/Button';
import { DataTable } from '../../ui/DataTable';
import { Field } from '../../ui/Field';
import { Input } from '../../ui/Input';
import { ProblemNotice } from '../../ui/Notice';
import { actsColumn } from '../../ui/table/columns';
import { iterationColumns } from './iterationColumns';
import { useWork, type Work } from './useWork';

type Row = Schemas['IterationRow'];

interface Props {
  of: Work;
  /** As the page shows it. */
  shown: { may_edit: boolean; seen: number; working: string | null; iterations: Row[] };
  /** How a side of a comparison names the structure; undefined where there is none to compare. */
  side?: (name: 'left' | 'right') => string;
}

/** Saved work between releases: saved with a note, compared with what is now, and gone back to. */
export function Iterations({ of, shown: { may_edit: mayEdit, seen, working, iterations }, side }: Props) {
  const [note, setNote] = useState('');
  const { keep, goBack } = useWork(of);
  if ((!mayEdit || working === null) && iterations.length === 0) return null;
  return (
    <section aria-labelledby="iterations" className="mt-6 max-w-4xl">
      <h2 id="iterations" className="mb-1">
        Saved iterations
      </h2>
      {mayEdit && working !== null && (
        <form
          className="mb-2 flex items-start gap-2"
          onSubmit={(event) => {
            event.preventDefault();
            keep.mutate(note, { onSuccess: () => setNote('') });
          }}
        >
          <Field label={`Save iteration ${working}, note`} className="w-96" error={keep.error?.at('note')}>
            <Input value={note} onChange={(event) => setNote(event.target.value)} />
          </Field>
          <Button type="submit" className="mt-5.5" busy={keep.isPending}>
            Save iteration
          </Button>
        </form>
      )}
      <ProblemNotice problem={goBack.error ?? keep.error} shown={['note']} />
      {iterations.length > 0 && (
        <DataTable
          label="Saved iterations"
          rows={iterations}
          keyOf={(one) => String(one.number)}
          empty=""
          columns={[
            ...iterationColumns,
            actsColumn((one: Row) => (
              <>
                {side && (
                  <Link
                    className="text-accent hover:underline"
                    to={`/compare?${side('left')}&left_iteration=${one.number}&${side('right')}&levels=one`}
                  >
                    Compare with now
                  </Link>
                )}
                {mayEdit && (
                  <Button
                    look="quiet"
                    className="!h-6"
                    aria-label={`Go back to ${one.name}`}
                    busy={goBack.isPending}
                    onClick={() => goBack.mutate({ iteration: one.number, seen })}
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
