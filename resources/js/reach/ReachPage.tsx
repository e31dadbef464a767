import { useQuery } from '@tanstack/react-query';
import { Link, useParams, useSearchParams } from 'react-router';
import { queries } from '../lib/queries';
import { Loading } from '../ui/Loading';
import { ChangeNumber } from '../ui/Num';
import { Page } from '../ui/Page';
import { ReachGraph } from './ReachGraph';
import { ReachTable } from './ReachTable';

/** All that a request would touch: as a table to decide on, and as a picture from what is affected to what is sold. */
export function ReachPage() {
  const { number = '' } = useParams();
  const [params] = useSearchParams();
  const asPicture = params.get('as') === 'picture';
  const dossier = useQuery(queries.dossier(number));
  const request = dossier.data?.requests.find((one) => one.number === number);
  return (
    <Page
      title="Reach"
      number={number}
      over={
        <span className="flex items-baseline gap-2">
          <ChangeNumber number={number} /> {request?.title}
        </span>
      }
      aside={
        <nav aria-label="View" className="flex gap-4">
          {(['table', 'picture'] as const).map((as) => (
            <Link
              key={as}
              to={as === 'table' ? '?' : '?as=picture'}
              replace
              aria-current={(as === 'picture') === asPicture ? 'page' : undefined}
              className={
                (as === 'picture') === asPicture
                  ? 'border-b-3 border-accent font-semibold'
                  : 'border-b-3 border-transparent text-accent'
              }
            >
              {as === 'table' ? 'Table' : 'Graph'}
            </Link>
          ))}
        </nav>
      }
    >
      <Loading query={dossier}>
        {() =>
          asPicture ? (
            <ReachGraph number={number} />
          ) : (
            <ReachTable
              number={number}
              open={request !== undefined && !['rejected', 'ordered', 'gathered'].includes(request.state)}
            />
          )
        }
      </Loading>
    </Page>
  );
}
