import { useQueryClient } from '@tanstack/react-query';
import { api, told, type Schemas } from '../lib/api';
import { count, day, moment } from '../lib/format';
import { queries } from '../lib/queries';
import { touches } from '../lib/touches';
import { useAct } from '../lib/useAct';
import { Button } from '../ui/Button';
import { Notice, ProblemNotice } from '../ui/Notice';

interface Props {
  page: Schemas['CutInPage'];
  question: Schemas['CutInQuestion'];
}

/** What one has to know before trusting the plan: when planning told of it, what is missing, what cannot be kept. */
export function Trust({ page, question }: Props) {
  const client = useQueryClient();
  const anew = useAct(
    touches.nothing,
    () => told(api.POST('/api/cut-in', { body: { ...question, anew: true } })),
    (answer) => {
      client.setQueryData(queries.cutIn(question).queryKey, answer);
      // What other levers were told before is of no use any more.
      client.removeQueries({ queryKey: ['planning', 'cut-in'], type: 'inactive' });
      void client.invalidateQueries({ queryKey: ['planning', 'cut-in-rows'] });
    },
  );
  return (
    <>
      <p className="!mb-1 flex flex-wrap items-center gap-x-3 text-sm text-soft">
        {page.fetched_at ? `Planning data as of ${moment(page.fetched_at)}` : 'No planning data for these items yet'}
        <Button look="quiet" className="!h-6 !text-sm" busy={anew.isPending} onClick={() => anew.mutate(undefined)}>
          Refresh from planning
        </Button>
      </p>
      <ProblemNotice problem={anew.error} shown={[]} />
      {page.fault && (
        <Notice look="warn">
          {page.fault}{' '}
          {page.fetched_at
            ? `Shown: planning data as of ${moment(page.fetched_at)}.`
            : 'No earlier planning data for these items.'}
        </Notice>
      )}
      {page.not_known > 0 && (
        <p className="!mt-0 text-sm text-soft">
          {page.not_known_items.join(', ')}
          {page.not_known > page.not_known_items.length &&
            ` and ${count(page.not_known - page.not_known_items.length)} more`}{' '}
          {page.not_known === 1 ? 'is' : 'are'} not in planning; stock and demand are taken as zero.
        </p>
      )}
      {page.strangers.length > 0 && (
        <Notice look="warn">
          Planning also returned {page.strangers.join(', ')}, which {page.strangers.length === 1 ? 'was' : 'were'} not
          requested; ignored.
        </Notice>
      )}
      {page.earliest === null && (
        <Notice look="warn">No day within a year is possible: it waits for {page.waits_for.join(', ')}.</Notice>
      )}
      {page.against_prescribed && (
        <Notice look="warn">
          {day(page.prescribed)} cannot be kept. {page.against_prescribed}
        </Notice>
      )}
      {page.unknown.length > 0 && (
        <Notice look="warn">Without a standard cost, counted as nothing: {page.unknown.join(', ')}.</Notice>
      )}
    </>
  );
}
