import { useQuery } from '@tanstack/react-query';
import { useState } from 'react';
import { api, told, type Schemas } from '../lib/api';
import { queries } from '../lib/queries';
import { useMay } from '../lib/session';
import { touches } from '../lib/touches';
import { useAct } from '../lib/useAct';
import { Button } from '../ui/Button';
import { Loading } from '../ui/Loading';
import { Notice, ProblemNotice } from '../ui/Notice';
import { Page } from '../ui/Page';

type Separation = Schemas['SeparationPage'];
type Pair = Schemas['DutyPair'];

const same = (a: Pair, b: Pair) => (a.one === b.one && a.other === b.other) || (a.one === b.other && a.other === b.one);

/** Which duties one person may not have on one change: a table of pairs. */
export function DutiesPage() {
  const separation = useQuery(queries.separation());
  return (
    <Page title="Separation of duties" over="Set-up">
      <Loading query={separation}>{(page) => <Pairs page={page} />}</Loading>
    </Page>
  );
}

function Pairs({ page }: { page: Separation }) {
  const maySet = useMay('manage_people');
  const [pairs, setPairs] = useState(page.pairs);
  // Of what was read when one began: what others save meanwhile is not overwritten with what stands here.
  const [version, setVersion] = useState(page.version);
  const set = useAct(
    touches.separation,
    () => told(api.PUT('/api/separation', { body: { pairs, version } })),
    (saved) => {
      setPairs(saved.pairs);
      setVersion(saved.version);
    },
  );
  const isIn = (some: Pair[], pair: Pair) => some.some((one) => same(one, pair));
  return (
    <form
      aria-label="Separation of duties"
      className="max-w-5xl space-y-4"
      onSubmit={(event) => {
        event.preventDefault();
        set.mutate(undefined);
      }}
    >
      <p className="text-soft">
        A tick means: one person may not do both on the same change, whichever comes first. What is already done stays;
        the next act is refused.
      </p>
      <table className="border-y border-strong bg-sheet">
        <thead>
          <tr>
            <th scope="col" className="p-2 text-left font-medium">
              Not both
            </th>
            {page.duties.slice(0, -1).map((duty) => (
              <th key={duty.code} scope="col" className="w-24 p-2 align-bottom text-sm font-medium">
                {duty.name}
              </th>
            ))}
          </tr>
        </thead>
        <tbody>
          {page.duties.slice(1).map((row, at) => (
            <tr key={row.code} className="border-t border-rule">
              <th scope="row" className="p-2 text-left font-medium whitespace-nowrap">
                {row.name}
              </th>
              {page.duties.slice(0, -1).map((column, across) => {
                if (across > at) return <td key={column.code} />;
                const pair = { one: column.code, other: row.code };
                const always = isIn(page.always, pair);
                return (
                  <td key={column.code} className="p-0 text-center">
                    <label className="flex min-h-8 items-center justify-center">
                      <span className="sr-only">
                        {column.name} and {row.name.toLowerCase()}
                        {always && ', always apart'}
                      </span>
                      <input
                        type="checkbox"
                        checked={always || isIn(pairs, pair)}
                        disabled={always || !maySet}
                        onChange={(event) =>
                          setPairs(event.target.checked ? [...pairs, pair] : pairs.filter((one) => !same(one, pair)))
                        }
                      />
                    </label>
                  </td>
                );
              })}
            </tr>
          ))}
        </tbody>
      </table>
      <p className="text-sm text-soft">
        Always apart, and greyed: who raises or edits an order does not sign it, and its editor waives none of its
        checks. Who raised a request, or a report that it answers, does not approve it.
      </p>
      <ProblemNotice problem={set.error} />
      {set.isSuccess && <Notice look="good">Saved.</Notice>}
      {maySet && (
        <Button type="submit" look="main" busy={set.isPending}>
          Save
        </Button>
      )}
    </form>
  );
}
