import { useQueryClient } from '@tanstack/react-query';
import { api, told, type Schemas } from '../lib/api';
import { count, day, moment } from '../lib/format';
import { queries } from '../lib/queries';
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
        {page.fetched_at
          ? `What planning told by ${moment(page.fetched_at)}`
          : 'Planning has not told of these items yet'}
        <Button look="quiet" className="!h-6 !text-sm" busy={anew.isPending} onClick={() => anew.mutate(undefined)}>
          Refresh from planning
        </Button>
      </p>
      <ProblemNotice problem={anew.error} shown={[]} />
      {page.fault && (
        <Notice look="warn">
          {page.fault}{' '}
          {page.fetched_at
            ? `Shown is what it said by ${moment(page.fetched_at)}.`
            : 'It has not told us of these items before.'}
        </Notice>
      )}
      {page.not_known > 0 && (
        <p className="!mt-0 text-sm text-soft">
          Planning does not have {page.not_known_items.join(', ')}
          {page.not_known > page.not_known_items.length &&
            ` and ${count(page.not_known - page.not_known_items.length)} more`}{' '}
          among its items: nothing of them is there or wanted.
        </p>
      )}
      {page.strangers.length > 0 && (
        <Notice look="warn">
          Planning also told of {page.strangers.join(', ')}, which nobody asked about: left out.
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
