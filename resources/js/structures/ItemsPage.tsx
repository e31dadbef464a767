import { useQuery } from '@tanstack/react-query';
import { useNavigate, useSearchParams } from 'react-router';
import { queries } from '../lib/queries';
import { DataTable } from '../ui/DataTable';
import { Loading } from '../ui/Loading';
import { Page } from '../ui/Page';
import { SearchInput } from '../ui/SearchInput';
import { itemColumns } from './itemColumns';

export function ItemsPage() {
  const [params, setParams] = useSearchParams();
  const navigate = useNavigate();
  const words = params.get('words') ?? '';
  const items = useQuery(queries.items(words));
  return (
    <Page title="Items" over="Products, parts and documents">
      <SearchInput
        label="Number or words of the title"
        initial={words}
        className="mb-3 !w-80"
        onWords={(next) => setParams(next === '' ? {} : { words: next }, { replace: true })}
      />
      <Loading query={items}>
        {(rows) => (
          <DataTable
            label="Items"
            caption={rows.length === 200 ? 'The first 200; write more to narrow it down' : `${rows.length} items`}
            exportName="items"
            rows={rows}
            columns={itemColumns}
            keyOf={(item) => item.number}
            onOpen={(item) => void navigate(`/items/${item.number}`)}
            empty={`No item reads like “${words}”.`}
          />
        )}
      </Loading>
    </Page>
  );
}
