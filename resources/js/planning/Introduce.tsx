import { api, told } from '../lib/api';
import { count } from '../lib/format';
import { touches } from '../lib/touches';
import { useAct } from '../lib/useAct';
import { Button } from '../ui/Button';
import { ProblemNotice } from '../ui/Notice';

/** Tells planning of items that it lacks: all of them in one act. */
export function Introduce({ numbers }: { numbers: string[] }) {
  const introduce = useAct(touches.planning, () => told(api.POST('/api/planning/items', { body: { items: numbers } })));
  return (
    <>
      <Button busy={introduce.isPending} onClick={() => introduce.mutate(undefined)}>
        {numbers.length === 1
          ? `Introduce ${numbers[0] ?? ''} to planning`
          : `Introduce ${count(numbers.length)} to planning`}
      </Button>
      {introduce.isSuccess && <span role="status"> Planning knows {numbers.length === 1 ? 'it' : 'them'} now.</span>}
      <ProblemNotice problem={introduce.error} />
    </>
  );
}
