import { Link, useNavigate } from 'react-router';
import { count } from '../lib/format';
import { queries } from '../lib/queries';
import { useMay } from '../lib/session';
import { usePaged } from '../lib/usePaged';
import { DataTable } from '../ui/DataTable';
import { Loading } from '../ui/Loading';
import { Notice } from '../ui/Notice';
import { itemColumns } from './itemColumns';

/** The items that the filters find. Pages of them arrive while one scrolls: nothing but the list is drawn anew then. */
export function FoundItems({ filters }: { filters: Record<string, string> }) {
  const navigate = useNavigate();
  const mayRaise = useMay('raise_request');
  const mayOrder = useMay('raise_order');
  const found = usePaged(queries.items(filters));
  const { words = '' } = filters;
  return (
    <>
      {found.first?.hint && <Notice>{found.first.hint}</Notice>}
      <Loading query={found.query}>
        {(rows) => (
          <DataTable
            label="Items"
            caption={`${found.total === 1 ? '1 item' : `${count(found.total)} items`}${found.first?.nearly ? ' with a similar number or title' : ''}`}
            exportName="items"
            sortParam="sort"
            rows={rows}
            columns={itemColumns}
            keyOf={(item) => item.number}
            onOpen={(item) => void navigate(`/items/${item.number}`)}
            paged={found.paged}
            acts={(chosen) => (
              <>
                {mayRaise && (
                  <Link
                    className="target text-accent underline-offset-3 hover:underline"
                    to={`/requests/new?items=${chosen.map(({ number }) => number).join(',')}`}
                  >
                    Raise a change request
                  </Link>
                )}
                {mayOrder && (
                  <Link
                    className="target text-accent underline-offset-3 hover:underline"
                    to={`/orders/new?items=${chosen.map(({ number }) => number).join(',')}`}
                  >
                    Raise a change order
                  </Link>
                )}
                {chosen.length === 2 && (
                  <Link
                    className="target text-accent underline-offset-3 hover:underline"
                    to={`/compare?left=${chosen[0]?.number}&right=${chosen[1]?.number}`}
                  >
                    Compare
                  </Link>
                )}
              </>
            )}
            empty={words === '' ? 'No item matches these filters.' : `No item matches “${words}”.`}
          />
        )}
      </Loading>
    </>
  );
}
