import { useQuery } from '@tanstack/react-query';
import { queries } from '../lib/queries';
import { useMay } from '../lib/session';
import { Loading } from '../ui/Loading';
import { Page } from '../ui/Page';
import { ChoiceTable } from './ChoiceTable';
import { NewChoice } from './NewChoice';

const lists = [
  { list: 'site', head: 'Sites', about: 'A site is a plant as well: it may have manufacturing structures of its own.' },
  { list: 'reason', head: 'Reasons', about: 'Why a change is asked for.' },
  { list: 'source', head: 'Sources', about: 'Where a report or a request comes from.' },
  {
    list: 'function',
    head: 'Functions',
    about: 'Of the company, by which a request is assessed: each may be asked about each item.',
  },
  {
    list: 'record',
    head: 'Records elsewhere',
    about: 'Kinds of records of other processes that reports, requests and orders refer to.',
  },
] as const;

/** What people choose from when they report a problem or raise a request. */
export function ChoicesPage() {
  const choices = useQuery(queries.choices());
  const maySet = useMay('set_up');
  return (
    <Page title="Sites, reasons, sources, functions and records" over="Set-up">
      <Loading query={choices}>
        {(rows) => (
          <div className="max-w-4xl space-y-8">
            {lists.map(({ list, head, about }) => (
              <section key={list} aria-labelledby={list}>
                <h2 id={list}>{head}</h2>
                <p className="mb-1 text-soft">{about}</p>
                <ChoiceTable label={head} rows={rows.filter((row) => row.list === list)} maySet={maySet} />
                {maySet && <NewChoice list={list} />}
              </section>
            ))}
          </div>
        )}
      </Loading>
    </Page>
  );
}
