import { useQuery, useQueryClient } from '@tanstack/react-query';
import { useEffect } from 'react';
import { Link } from 'react-router';
import { queries } from '../lib/queries';
import { useMay } from '../lib/session';
import { count } from '../lib/format';
import { Loading } from '../ui/Loading';
import { Page } from '../ui/Page';
import { Differences } from './Differences';
import { UnsettledHandovers } from './UnsettledHandovers';
import { VerificationState } from './VerificationState';

/** How it stands with all that is handed over: on its way, rejected, unanswered, and what planning has otherwise. */
export function HandoversPage() {
  const health = useQuery(queries.handovers());
  const mayConnect = useMay('connect_systems');
  const client = useQueryClient();
  const found = `${health.data?.differing} ${health.data?.verification?.ended_at} ${health.data?.verifying}`;
  // What a reading has found since is shown without asking for it.
  useEffect(() => void client.invalidateQueries({ queryKey: ['hand-overs', 'differences'] }), [client, found]);
  return (
    <Page
      title="Hand-overs to planning"
      over="What planning has accepted, and what it has"
      aside={health.data && <VerificationState health={health.data} />}
    >
      <Loading query={health}>
        {(known) => {
          const some = (...states: string[]) => known.handovers.filter(({ state }) => states.includes(state)).length;
          return (
            <div className="space-y-6">
              <p className="text-soft">
                {count(some('waiting'))} on the way · {count(some('partly_refused', 'refused'))} rejected ·{' '}
                {count(some('unanswered'))} unanswered · {count(known.differing)}{' '}
                {known.differing === 1 ? 'row differs' : 'rows differ'} in planning
                {known.files_undelivered > 0 && (
                  <>
                    {' · '}
                    {mayConnect ? (
                      <Link to="/set-up/hand-over-profiles" className="text-accent underline underline-offset-3">
                        {undelivered(known.files_undelivered)}
                      </Link>
                    ) : (
                      undelivered(known.files_undelivered)
                    )}
                  </>
                )}
              </p>
              <UnsettledHandovers rows={known.handovers} may={known.may} />
              <Differences may={known.may} verified={known.verification !== null} />
            </div>
          );
        }}
      </Loading>
    </Page>
  );
}

const undelivered = (files: number) =>
  `${count(files)} ${files === 1 ? 'file' : 'files'} for other systems not delivered`;
