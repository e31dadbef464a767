import type { Schemas } from '../lib/api';
import { count } from '../lib/format';
import { Button } from '../ui/Button';
import { ChangeNumber } from '../ui/Num';
import { ProblemNotice } from '../ui/Notice';
import { Select } from '../ui/Select';
import { useTakeOver, type At } from './useTakeOver';

/** As the address says it. */
const NOBODY = 'none';

interface Props {
  of: Schemas['AccountabilityPage'];
  order: Schemas['UnderOrder'];
  plant: string;
  /** Chooses the item by whose example it is suggested. */
  onSibling: (sibling: string) => void;
}

/** What an order has done to what a plant builds; whoever edits it takes over all that is open, or takes the last edit back. */
export function TakeOver({ of, order, plant, onSibling }: Props) {
  const { takeOver, undo } = useTakeOver({
    order: order.number,
    item: of.item,
    plant,
    seen: order.seen,
    sibling: of.sibling,
  });
  const possible = of.lines.filter(({ suggested }) => suggested.length > 0).length;
  return (
    <section aria-label={`Under ${order.number}`} className="border-y border-strong bg-sheet px-3 py-2">
      <div className="flex flex-wrap items-center gap-3">
        <span>
          Under <ChangeNumber number={order.number} />:{' '}
          {order.edits.length === 0
            ? 'nothing changed at this plant yet'
            : `${count(order.edits.length)} ${order.edits.length === 1 ? 'edit' : 'edits'}`}
        </span>
        {order.may_edit && (
          <>
            <Button look="main" disabled={possible === 0} busy={takeOver.isPending} onClick={() => takeOver.mutate([])}>
              Take over all {count(possible)} that follow
            </Button>
            <Button disabled={!order.can_undo} busy={undo.isPending} onClick={() => undo.mutate(undefined)}>
              Undo
            </Button>
            {of.siblings.length > 0 && (
              <span className="flex items-center gap-2">
                <span className="text-sm whitespace-nowrap text-soft">New lines by the example of</span>
                <Select
                  aria-label="New lines by the example of"
                  className="w-40 font-mono text-sm"
                  value={of.sibling ?? NOBODY}
                  onChange={onSibling}
                  options={Object.fromEntries(
                    [...of.siblings, NOBODY].map((one) => [one, one === NOBODY ? 'no item' : one]),
                  )}
                />
              </span>
            )}
          </>
        )}
      </div>
      {order.edits.length > 0 && (
        <ol aria-label="Edits" className="mt-1 list-inside list-decimal text-sm">
          {order.edits.map((words, at) => (
            <li key={at}>{words}</li>
          ))}
        </ol>
      )}
      <ProblemNotice problem={takeOver.error ?? undo.error} />
    </section>
  );
}

/** Takes over the lines that are selected, where that follows from what is there. */
export function TakeOverThese({ at, rows, onDone }: { at: At; rows: Schemas['AccountRow'][]; onDone: () => void }) {
  const { takeOver } = useTakeOver(at);
  const possible = rows.filter(({ suggested }) => suggested.length > 0).map(({ line }) => line.key);
  return (
    <>
      <Button
        disabled={possible.length === 0}
        busy={takeOver.isPending}
        onClick={() => takeOver.mutate(possible, { onSuccess: onDone })}
      >
        Take over {count(possible.length)}
      </Button>
      <ProblemNotice problem={takeOver.error} />
    </>
  );
}
