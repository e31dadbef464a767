import { useState } from 'react';
import { Link } from 'react-router';
import { api, told } from '../lib/api';
import { moment } from '../lib/format';
import { useAct } from '../lib/useAct';
import { Button } from '../ui/Button';
import { Field } from '../ui/Field';
import { Input } from '../ui/Input';
import { ProblemNotice } from '../ui/Notice';
import type { Redline } from './useRedline';

/** Saved work between releases: kept with a word, compared with what is now, and gone back to. */
export function Iterations({ redline }: { redline: Redline }) {
  const [note, setNote] = useState('');
  const path = { number: redline.order, item: redline.item.number };
  const keep = useAct(
    () => told(api.POST('/api/orders/{number}/items/{item}/iterations', { params: { path }, body: { note } })),
    () => setNote(''),
  );
  const goBack = useAct((iteration: number) =>
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
          <Field
            label={`Keep this as ${redline.working}, with a word on it`}
            className="w-96"
            error={keep.error?.at('note')}
          >
            <Input value={note} onChange={(event) => setNote(event.target.value)} />
          </Field>
          <Button type="submit" className="mt-5.5" busy={keep.isPending}>
            Keep
          </Button>
        </form>
      )}
      <ProblemNotice problem={goBack.error ?? keep.error} shown={['note']} />
      {redline.iterations.length > 0 && (
        <table aria-labelledby="iterations" className="w-full border-collapse border-y border-strong bg-sheet">
          <tbody>
            {redline.iterations.map((one) => (
              <tr key={one.number} className="border-b border-rule align-baseline last:border-b-0">
                <td className="w-20 px-2 py-1 font-semibold">{one.name}</td>
                <td className="px-2 py-1">{one.note}</td>
                <td className="px-2 py-1 text-sm text-soft">
                  {one.by}, {moment(one.at)}, {one.edits} edits
                </td>
                <td className="px-2 py-1 text-right whitespace-nowrap">
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
                </td>
              </tr>
            ))}
          </tbody>
        </table>
      )}
    </section>
  );
}
