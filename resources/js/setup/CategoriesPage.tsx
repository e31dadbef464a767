import { useQuery } from '@tanstack/react-query';
import { useState } from 'react';
import type { Schemas } from '../lib/api';
import { count } from '../lib/format';
import { queries } from '../lib/queries';
import { useMay } from '../lib/session';
import { sequences, takenOver } from '../lib/words';
import { Button } from '../ui/Button';
import { DataTable, type Column } from '../ui/DataTable';
import { Loading } from '../ui/Loading';
import { Page } from '../ui/Page';
import { CategoryForm } from './CategoryForm';
import { NewCategory } from './NewCategory';
import { KindSequences } from './KindSequences';
import { actsColumn } from '../ui/table/columns';

/** How the items of each category are numbered and revised from now on, and what they are asked for. */
export function CategoriesPage() {
  const categories = useQuery(queries.categories());
  const maySet = useMay('set_up');
  const [open, setOpen] = useState('');
  return (
    <Page title="Categories and numbers" over="Set-up">
      <Loading query={categories}>
        {(rows) => (
          <div className="max-w-6xl space-y-3">
            <DataTable
              label="Categories"
              rows={rows}
              columns={columnsOf(rows, maySet ? { open, onOpen: setOpen } : null)}
              keyOf={(row) => row.code}
              empty="No category is set up."
            />
            {rows
              .filter(({ code }) => code === open)
              .map((row) => (
                <section
                  key={row.code}
                  aria-label={`Change ${row.name}`}
                  className="border-y border-strong bg-sheet p-3"
                >
                  <h2 className="mb-2">{row.name}</h2>
                  <CategoryForm category={row} categories={rows} onDone={() => setOpen('')} />
                </section>
              ))}
          </div>
        )}
      </Loading>
      {maySet && <NewCategory />}
      <KindSequences />
    </Page>
  );
}

type Category = Schemas['CategoryRow'];

interface Change {
  open: string;
  onOpen: (code: string) => void;
}

/** @param change given, a category can be opened to be changed */
function columnsOf(rows: Category[], change: Change | null): Column<Category>[] {
  const parent = (row: Category) => rows.find(({ code }) => code === row.under)?.name ?? '';
  const sequence = (row: Category) => (row.sequence == null ? 'as its kind' : sequences[row.sequence]);
  const taken = (row: Category) => (row.taken_over == null ? '' : takenOver[row.taken_over]);
  const attributes = (row: Category) => row.attributes.map(({ label }) => label).join(', ');
  return [
    { id: 'name', head: 'Category', text: (row) => row.name, cell: (row) => row.name },
    { id: 'under', head: 'Under', text: parent, cell: parent },
    {
      id: 'prefix',
      head: 'Number prefix',
      text: (row) => row.number_prefix,
      cell: (row) => <span className="font-mono text-[0.84rem]">{row.number_prefix}</span>,
    },
    {
      id: 'digits',
      head: 'Digits',
      numeric: true,
      text: (row) => String(row.number_width),
      cell: (row) => row.number_width,
    },
    {
      id: 'check',
      head: 'Check digit',
      text: (row) => (row.number_check ? 'yes' : 'no'),
      cell: (row) => (row.number_check ? 'yes' : 'no'),
    },
    { id: 'revisions', head: 'Revisions', text: sequence, cell: sequence },
    { id: 'taken', head: 'Plants take it over', text: taken, cell: taken },
    { id: 'attributes', head: 'Attributes', text: attributes, cell: attributes },
    { id: 'items', head: 'Items', numeric: true, text: (row) => String(row.items), cell: (row) => count(row.items) },
    ...(change
      ? [
          actsColumn(
            (row: Category) =>
              row.code !== change.open && (
                <Button
                  look="quiet"
                  className="!h-6"
                  aria-label={`Change ${row.name}`}
                  onClick={() => change.onOpen(row.code)}
                >
                  Change
                </Button>
              ),
          ),
        ]
      : []),
  ];
}
