import { useQuery } from '@tanstack/react-query';
import { useParams } from 'react-router';
import { ApiProblem, type Schemas } from '../../lib/api';
import { queries } from '../../lib/queries';
import { states } from '../../lib/words';
import { Loading } from '../../ui/Loading';
import { ProblemNotice } from '../../ui/Notice';
import { ChangeNumber } from '../../ui/Num';
import { Page } from '../../ui/Page';
import { ConsequenceStrip } from '../ConsequenceStrip';
import { ReplacementForm } from './ReplacementForm';
import { ReplacementTable } from './ReplacementTable';
import { Supplies } from './Supplies';
import { useReplacement } from './useReplacement';

const PLACES = ['old', 'new', 'from', 'product', 'category'];

/** The order of the number, or what the request of the number proposes: a Dossier is found by either. */
function whatIsEdited({ order, proposals, title }: Schemas['Dossier'], number: string) {
  if (order?.number === number) return { ...order, ahead: order.is_open };
  const proposed = proposals.some(({ request, items }) => request === number && items.length > 0);
  return proposed ? { title, state: 'proposed', effective_on: null, ahead: order === null } : undefined;
}

/** A component replaced wherever it is used, under an order: every line is seen before and after, then all are edited in one act. */
export function ReplacePage() {
  const { number = '' } = useParams();
  const state = useReplacement();
  const dossier = useQuery(queries.dossier(number));
  const replacement = useQuery(queries.replacement(number, state.asked));
  const under = dossier.data && whatIsEdited(dossier.data, number);
  const problem = replacement.error instanceof ApiProblem ? replacement.error : null;
  const page = state.asked.old === '' || problem !== null ? undefined : replacement.data;
  return (
    <>
      <Page
        title="Replace a component"
        number={number}
        over={
          <>
            under <ChangeNumber number={number} /> {under?.title}
          </>
        }
        aside={under && <span className="text-soft">{states[under.state]}</span>}
      >
        <Loading query={dossier}>
          {() =>
            under === undefined ? (
              <p>There is no order {number}.</p>
            ) : (
              <>
                <ReplacementForm state={state} page={page} problem={problem} effective={under.effective_on} />
                <ProblemNotice problem={problem} shown={PLACES} />
                {state.asked.old === '' && (
                  <p className="text-soft">
                    Choose the component: every line that uses it is listed before anything changes.
                  </p>
                )}
                {page && <Supplies page={page} />}
                {state.asked.old !== '' && problem === null && (
                  <Loading query={replacement}>
                    {(shown) => (
                      <ReplacementTable page={shown} asked={state.asked} stale={replacement.isPlaceholderData} />
                    )}
                  </Loading>
                )}
              </>
            )
          }
        </Loading>
      </Page>
      {under?.ahead && <ConsequenceStrip order={number} />}
    </>
  );
}
