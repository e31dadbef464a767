import { useQueryClient } from '@tanstack/react-query';
import { api, told } from '../lib/api';
import { moment } from '../lib/format';
import { queries } from '../lib/queries';
import { touches } from '../lib/touches';
import { useAct } from '../lib/useAct';
import { Button } from '../ui/Button';
import { ProblemNotice } from '../ui/Notice';

interface Props {
  number: string;
  /** When planning told; null: never. */
  at: string | null;
}

/** When planning told what is wanted in a year, which is kept for some minutes; and a way to ask it again now. */
export function WantedAge({ number, at }: Props) {
  const client = useQueryClient();
  const anew = useAct(
    touches.nothing,
    () => told(api.GET('/api/requests/{number}/money', { params: { path: { number }, query: { anew: '1' } } })),
    (page) => client.setQueryData(queries.money(number).queryKey, page),
  );
  return (
    <>
      {at === null ? 'No planning data for these products yet' : `Planning data as of ${moment(at)}`}
      <Button look="quiet" className="!h-6 !text-sm" busy={anew.isPending} onClick={() => anew.mutate(undefined)}>
        Refresh from planning
      </Button>
      <ProblemNotice problem={anew.error} shown={[]} />
    </>
  );
}
