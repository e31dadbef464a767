import { useQuery } from '@tanstack/react-query';
import { useParams } from 'react-router';
import { ApiProblem } from '../../lib/api';
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

/** A component replaced wherever it is used, under an order: every line is seen before and after, then all are edited in one act. */
export function ReplacePage() {
  const { number = '' } = useParams();
  const state = useReplacement();
  const dossier = useQuery(queries.dossier(number));
  const replacement = useQuery(queries.replacement(number, state.asked));
  // A Dossier is found by the numbers of its requests too.
  const order = dossier.data?.order?.number === number ? dossier.data.order : undefined;
  const problem = replacement.error instanceof ApiProblem ? replacement.error : null;
  const page = state.asked.old === '' || problem !== null ? undefined : replacement.data;
  return (
    <>
      <Page
        title="Replace a component"
        number={number}
        over={
          <>
            under <ChangeNumber number={number} /> {order?.title}
          </>
        }
        aside={order && <span className="text-soft">{states[order.state]}</span>}
      >
        <Loading query={dossier}>
          {() =>
            order === undefined ? (
              <p>There is no order {number}.</p>
            ) : (
              <>
                <ReplacementForm state={state} page={page} problem={problem} effective={order.effective_on} />
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
      {order?.is_open && <ConsequenceStrip order={number} />}
    </>
  );
}
