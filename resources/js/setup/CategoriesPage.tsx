import { useQuery } from '@tanstack/react-query';
import { useState } from 'react';
import { count } from '../lib/format';
import { queries } from '../lib/queries';
import { useMay } from '../lib/session';
import { sequences } from '../lib/words';
import { Button } from '../ui/Button';
import { Loading } from '../ui/Loading';
import { Page } from '../ui/Page';
import { CategoryForm } from './CategoryForm';
import { NewCategory } from './NewCategory';
import { KindSequences } from './KindSequences';

/** How the items of each category are numbered and revised from now on, and what they are asked for. */
export function CategoriesPage() {
  const categories = useQuery(queries.categories());
  const maySet = useMay('set_up');
  const [open, setOpen] = useState('');
  return (
    <Page title="Categories and numbers" over="Set-up">
      <Loading query={categories}>
        {(rows) => (
          <div className="overflow-x-auto">
            <table aria-label="Categories" className="w-full max-w-5xl border-collapse border-y border-strong bg-sheet">
              <thead>
                <tr className="border-b border-strong text-left text-sm text-soft">
                  {['Category', 'Under', 'Number prefix', 'Digits', 'Check digit', 'Revisions', 'Attributes'].map(
                    (head) => (
                      <th key={head} className="px-2 py-1 font-medium">
                        {head}
                      </th>
                    ),
                  )}
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
                      <td colSpan={9} className="p-3">
                        <CategoryForm category={row} categories={rows} onDone={() => setOpen('')} />
                      </td>
                    ) : (
                      <>
                        <td className="px-2 py-1">{row.name}</td>
                        <td className="px-2 py-1">{rows.find(({ code }) => code === row.under)?.name}</td>
                        <td className="px-2 py-1 font-mono text-[0.84rem]">{row.number_prefix}</td>
                        <td className="px-2 py-1">{row.number_width}</td>
                        <td className="px-2 py-1">{row.number_check ? 'yes' : 'no'}</td>
                        <td className="px-2 py-1">
                          {row.sequence == null ? 'as the kind says' : sequences[row.sequence]}
                        </td>
                        <td className="px-2 py-1">{row.attributes.map(({ label }) => label).join(', ')}</td>
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
          </div>
        )}
      </Loading>
      {maySet && <NewCategory />}
      <KindSequences />
    </Page>
  );
}
