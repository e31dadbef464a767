import { useQuery } from '@tanstack/react-query';
import { api, told } from '../lib/api';
import { queries } from '../lib/queries';
import { touches } from '../lib/touches';
import { useAct } from '../lib/useAct';
import { Button } from '../ui/Button';

/** Whether one is told of what happens to a change without taking part in it. */
export function WatchButton({ number }: { number: string }) {
  const watch = useQuery(queries.watch(number));
  const params = { params: { path: { number } } };
  const turn = useAct(touches.watch, (on: boolean) =>
    told(on ? api.PUT('/api/changes/{number}/watch', params) : api.DELETE('/api/changes/{number}/watch', params)),
  );
  const watching = watch.data?.watching === true;
  return (
    <Button
      look="quiet"
      className="no-print !px-1"
      aria-pressed={watching}
      busy={turn.isPending}
      disabled={watch.data === undefined}
      title={turn.error?.message ?? ''}
      onClick={() => turn.mutate(!watching)}
    >
      {watching ? 'Watching' : 'Watch'}
    </Button>
  );
}
