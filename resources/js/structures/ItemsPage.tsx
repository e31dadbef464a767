import { useQuery } from '@tanstack/react-query';
import { Link, useSearchParams } from 'react-router';
import { queries } from '../lib/queries';
import { useMay } from '../lib/session';
import { itemKinds, supplies } from '../lib/words';
import { Button } from '../ui/Button';
import { ItemPicker } from '../ui/ItemPicker';
import { MainLink } from '../ui/MainLink';
import { Page } from '../ui/Page';
import { SaveAs } from '../ui/SaveAs';
import { SearchInput } from '../ui/SearchInput';
import { Select } from '../ui/Select';
import { CategoryTree } from './CategoryTree';
import { FoundItems } from './FoundItems';

const ANY = 'any';

/** All items: found by words, parts of numbers, and properties. */
export function ItemsPage() {
  const [params, setParams] = useSearchParams();
  const words = params.get('words') ?? '';
  const categories = useQuery(queries.categories());
  const category = categories.data?.find(({ code }) => code === params.get('category'));
  const mayAdd = useMay('add_item');
  const mayImport = useMay('import_data');
  const set = (name: string, value: string) =>
    setParams(
      (before) => {
        if (value === '' || value === ANY) before.delete(name);
        else before.set(name, value);
        // Another category asks for other things.
        if (name === 'category') before.delete('attribute');
        if (name === 'category' || name === 'attribute') before.delete('value');
        return before;
      },
      { replace: true },
    );
  const filter = (name: string, label: string, options: Record<string, string>) => (
    <Select
      aria-label={label}
      className="!w-40"
      value={params.get(name) ?? ANY}
      onChange={(value) => set(name, value)}
      options={{ [ANY]: label, ...options }}
    />
  );
  return (
    <Page
      title="Items"
      over="Products, parts and documents"
      aside={
        <span className="flex items-center gap-5">
          <SaveAs address="/api/catalogue" query={params.toString()} formats={['csv', 'xlsx', 'json']} />
          {mayImport && (
            <Link to="/import" className="text-accent hover:underline">
              Import from a file
            </Link>
          )}
          {mayAdd && <MainLink to="/items/new">New item</MainLink>}
        </span>
      }
    >
      <div className="no-print mb-3 flex flex-wrap gap-2">
        <SearchInput
          label="Number or words of the title"
          initial={words}
          className="!w-56"
          onWords={(next) => set('words', next)}
        />
        {filter('kind', 'Any kind', itemKinds)}
        {filter('status', 'Any status', {
          in_force: 'In force today',
          coming: 'Coming',
          being_revised: 'Being revised now',
          in_work: 'Not released',
          ended: 'Ended',
        })}
        {filter('supply', 'Made or bought', supplies)}
        {category && category.attributes.length > 0 && (
          <>
            {filter(
              'attribute',
              'Any attribute',
              Object.fromEntries(category.attributes.map(({ name, label }) => [name, label])),
            )}
            {params.has('attribute') && (
              <SearchInput
                label="Value contains"
                initial={params.get('value') ?? ''}
                className="!w-40"
                onWords={(value) => set('value', value)}
              />
            )}
          </>
        )}
        <ItemPicker
          key={params.get('used_in') ?? ''}
          label="Used in"
          placeholder="Used in: number or title"
          initial={params.get('used_in') ?? ''}
          className="!w-52"
          onPick={(item) => set('used_in', item.number)}
        />
        {[...params.keys()].some((name) => name !== 'sort') && (
          <Button look="quiet" onClick={() => setParams({}, { replace: true })}>
            Show all
          </Button>
        )}
      </div>
      <div className="grid gap-6 print:block lg:grid-cols-[13rem_minmax(0,1fr)]">
        <CategoryTree
          categories={categories.data ?? []}
          chosen={params.get('category') ?? ''}
          onChoose={(code) => set('category', code)}
        />
        <div className="min-w-0">
          <FoundItems filters={Object.fromEntries(params)} />
        </div>
      </div>
    </Page>
  );
}
