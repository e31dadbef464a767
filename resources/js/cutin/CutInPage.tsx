import { useQuery } from '@tanstack/react-query';
import { Link, useParams } from 'react-router';
import type { Schemas } from '../lib/api';
import { day } from '../lib/format';
import { queries } from '../lib/queries';
import { Loading } from '../ui/Loading';
import { ChangeNumber } from '../ui/Num';
import { Page } from '../ui/Page';
import { Planner } from './Planner';
import type { Question } from './question';

/** The day on which a change cuts in: what every day costs, and the day that is chosen. */
export function CutInPage() {
  const { number = '' } = useParams();
  const dossier = useQuery(queries.dossier(number));
  const chosen = useQuery(queries.cutIns(number));
  const start = useQuery(queries.cutInStart(number));
  const request = dossier.data?.requests[0];
  return (
    <Page
      title="Cut-in"
      number={number}
      over={
        <span className="flex items-baseline gap-2">
          <ChangeNumber number={number} /> {request?.title}
        </span>
      }
      aside={
        <span className="flex gap-5">
          {chosen.data?.[0] && (
            <span>
              Chosen: <b className="font-semibold">{day(chosen.data[0].chosen_on)}</b>
            </span>
          )}
          <Link to="/cut-ins" className="no-print text-accent underline-offset-3 hover:underline">
            Planned and actual
          </Link>
        </span>
      }
    >
      <Loading query={chosen}>
        {(days) => (
          <Loading query={start}>
            {(named) =>
              request && (
                <Planner
                  number={number}
                  state={request.state}
                  chosen={days}
                  named={named}
                  start={days[0]?.asked ?? { swaps: swapsOf(named) }}
                />
              )
            }
          </Loading>
        )}
      </Loading>
    </Page>
  );
}

/** The swaps that the change itself names; where it names none, one to be filled in. */
function swapsOf(start: Schemas['CutInStart']): Question['swaps'] {
  // Of items alone nobody has said yet what comes.
  const unsaid = start.read_off === 'items';
  return start.swaps.length === 0
    ? [{ gone: [], come: [{ item: '' }] }]
    : start.swaps.map(({ gone, come, parents }) => ({
        gone,
        come: unsaid && come.length === 0 ? [{ item: '' }] : come,
        ...(parents.length === 0 ? {} : { parents }),
      }));
}
