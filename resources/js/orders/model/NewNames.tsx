import { useQuery } from '@tanstack/react-query';
import type { Schemas } from '../../lib/api';
import { queries } from '../../lib/queries';
import { count } from '../../lib/format';
import { DataTable, type Column } from '../../ui/DataTable';
import { Select } from '../../ui/Select';

type Item = Schemas['ModelItem'];

interface Props {
  items: Item[];
  /** Codes, by name. */
  categories: Record<string, string>;
  onChoose: (categories: Record<string, string>) => void;
}

/** What the model has and nobody has given a number: each gets one by the rule of the category that is chosen for it. */
export function NewNames({ items, categories, onChoose }: Props) {
  const all = useQuery(queries.categories());
  const options = Object.fromEntries((all.data ?? []).map((one) => [one.code, one.name]));
  const choose = (some: Item[], code: string) =>
    onChoose({ ...categories, ...Object.fromEntries(some.map(({ name }) => [name, code])) });
  const columns: Column<Item>[] = [
    { id: 'name', head: 'In the model', text: ({ name }) => name, cell: ({ name }) => name },
    { id: 'title', head: 'Title', text: ({ title }) => title, cell: ({ title }) => title },
    {
      id: 'kind',
      head: 'Kind',
      text: ({ kind }) => kind,
      cell: ({ kind }) => (kind === 'assembly' ? 'Assembly' : 'Part'),
    },
    {
      id: 'category',
      head: 'Number by the rule of',
      className: 'w-56',
      text: ({ name }) => options[categories[name] ?? ''] ?? '',
      cell: (row) => (
        <Select
          aria-label={`Category of ${row.name}`}
          value={categories[row.name] ?? ''}
          placeholder="Category"
          options={options}
          onChange={(code) => choose([row], code)}
        />
      ),
    },
  ];
  return (
    <section aria-label="Without a number">
      <h2 className="mb-1">Without a number yet</h2>
      <DataTable
        label="Without a number"
        rows={items}
        columns={columns}
        keyOf={({ name }) => name}
        empty=""
        caption={`${count(items.length)} ${items.length === 1 ? 'part' : 'parts'} of the model without a number here`}
        acts={(some, clear) => (
          <span className="w-56">
            <Select<string>
              aria-label="Category of all selected"
              value=""
              placeholder="Set category"
              options={options}
              onChange={(code) => {
                choose(some, code);
                clear();
              }}
            />
          </span>
        )}
      />
    </section>
  );
}
