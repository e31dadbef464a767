import type { Schemas } from '../../lib/api';
import { Button } from '../../ui/Button';
import { ItemPicker } from '../../ui/ItemPicker';
import { ItemNumber } from '../../ui/Num';
import { workOf } from '../worksheet/sheetRows';
import { structureOf } from './transferColumns';
import { type Way } from './ways';

interface Props {
  source: Schemas['TransferSource'];
  ways: Way[];
  onAdd: (target: string) => void;
  onRemove: (target: string) => void;
}

/** To which siblings the edits of one structure go: those alike and the same at other plants are offered, any other can be named. */
export function Targets({ source, ways, onAdd, onRemove }: Props) {
  const key = `${source.item} ${source.work}`;
  const own = ways.filter((way) => way.source === key).map((way) => way.target);
  const offered = source.siblings.filter((target) => !own.includes(target));
  return (
    <section
      aria-label={`Siblings of ${source.item}, ${workOf(source.work)}`}
      className="grid items-start gap-x-4 lg:grid-cols-[26rem_1fr] border-t border-rule py-1 first:border-t-0"
    >
      <p className="truncate pt-1.5">
        <ItemNumber number={source.item} /> {source.title}
        <span className="text-sm text-soft">
          , {workOf(source.work)}, {source.changes === 1 ? '1 line' : `${source.changes} lines`}
        </span>
      </p>
      <div className="flex flex-wrap items-center gap-2">
        {own.map((target) => (
          <span key={target} className="flex h-8 items-center gap-2 border border-strong px-2">
            <ItemNumber number={structureOf(target).item} />
            {source.work !== 'engineering' && structureOf(target).where}
            <Button look="quiet" aria-label={`Remove ${target}`} onClick={() => onRemove(target)}>
              Remove
            </Button>
          </span>
        ))}
        {offered.map((target) => (
          <Button key={target} onClick={() => onAdd(target)}>
            + {structureOf(target).item} {source.work !== 'engineering' && structureOf(target).where}
          </Button>
        ))}
        <ItemPicker
          className="w-72"
          label={`Another sibling of ${source.item}, ${workOf(source.work)}`}
          placeholder="Another item: number or title"
          onPick={(item) => item.number !== source.item && onAdd(`${item.number} ${source.work}`)}
        />
      </div>
    </section>
  );
}
