import { useState } from 'react';
import { api, told, type Schemas } from '../../lib/api';
import { count } from '../../lib/format';
import { touches } from '../../lib/touches';
import { useAct } from '../../lib/useAct';
import { Button } from '../../ui/Button';
import { DataTable } from '../../ui/DataTable';
import { Notice, ProblemNotice } from '../../ui/Notice';
import { tickColumn } from '../../ui/table/columns';
import { useStrokeUndo } from '../useStrokeUndo';
import { keyOf, replacementColumns, type Row } from './replacementColumns';
import { Shortages } from './Shortages';
import type { Asked } from './useReplacement';

interface Props {
  page: Schemas['ReplacementPage'];
  asked: Record<Asked, string>;
  /** The page shown is still that of another question. */
  stale: boolean;
}

interface Made {
  stroke: string;
  lines: number;
  items: number;
}

const lines = (many: number) => `${count(many)} ${many === 1 ? 'line' : 'lines'}`;
const items = (rows: Row[]) => new Set(rows.map((row) => row.item.number)).size;
const ofItems = (many: number) => `${count(many)} ${many === 1 ? 'item' : 'items'}`;

/** Every line that has the component: all that can be so are chosen until somebody leaves one out. */
export function ReplacementTable({ page, asked, stale }: Props) {
  const [left, setLeft] = useState<ReadonlySet<string>>(new Set());
  const [made, setMade] = useState<Made | null>(null);
  const replace = useAct(touches.order, (rows: Row[]) =>
    told(
      api.POST('/api/orders/{number}/replacement', {
        params: { path: { number: page.order } },
        body: {
          old: asked.old,
          new: asked.new,
          from: asked.from,
          lines: rows.map((row) => ({ item: row.item.number, work: row.work, line: row.before.key })),
        },
      }),
    ).then((done) => setMade({ stroke: done.stroke, lines: rows.length, items: items(rows) })),
  );
  const undo = useStrokeUndo(page.order, () => setMade(null));
  const may = page.may_replace === null;
  const fits = (row: Row) => row.fault === null && (row.named || page.may_name);
  const chosen = page.rows.filter((row) => fits(row) && !left.has(keyOf(row)));
  const wrong = page.rows.filter((row) => row.fault !== null).length;
  const foreign = page.rows.filter((row) => row.fault === null && !fits(row)).length;
  const tick = (rows: Row[], on: boolean) => {
    const next = new Set(left);
    for (const row of rows) {
      if (on) next.delete(keyOf(row));
      else next.add(keyOf(row));
    }
    setLeft(next);
  };
  const columns = replacementColumns(page.order);
  const fit = page.rows.filter(fits);
  return (
    <div className="space-y-2">
      {made && (
        <Notice look="good">
          Replaced in {lines(made.lines)} of {ofItems(made.items)}.{' '}
          <Button look="quiet" busy={undo.isPending} onClick={() => undo.mutate(made.stroke)}>
            Undo
          </Button>
        </Notice>
      )}
      <ProblemNotice problem={undo.error} />
      {page.may_replace !== null && <Notice>{page.may_replace}</Notice>}
      <div className="flex flex-wrap items-center gap-3">
        {may && page.rows.length > 0 && (
          <>
            <Button
              look="main"
              busy={replace.isPending}
              disabled={chosen.length === 0 || stale}
              onClick={() => replace.mutate(chosen)}
            >
              {asked.new === '' ? 'Remove' : 'Replace'} in {lines(chosen.length)}
            </Button>
            <Button disabled={chosen.length === fit.length} onClick={() => tick(fit, true)}>
              Select all {count(fit.length)}
            </Button>
            <Button disabled={chosen.length === 0} onClick={() => tick(fit, false)}>
              Select none
            </Button>
          </>
        )}
        <span role="status">
          {lines(page.rows.length)} of {ofItems(items(page.rows))}
          {wrong > 0 && <span className="text-alarm">, {count(wrong)} cannot be replaced so</span>}
          {foreign > 0 && (
            <span>
              , {count(foreign)} in items not on {page.order}: whoever plans it adds them
            </span>
          )}
        </span>
      </div>
      {page.new.length > 0 && chosen.length > 0 && (
        <Shortages page={page} parents={[...new Set(chosen.map((row) => row.item.number))]} />
      )}
      <ProblemNotice problem={replace.error} />
      <DataTable
        label="Lines with the component"
        exportName={`replacement-${page.order}`}
        rows={page.rows}
        columns={
          may
            ? [
                tickColumn<Row>({
                  head: '',
                  label: (row) => `Replace in ${row.item.number}, ${row.work}, find ${row.before.find}`,
                  checked: (row) => fits(row) && !left.has(keyOf(row)),
                  disabled: (row) => !fits(row),
                  onTick: (row, on) => tick([row], on),
                }),
                ...columns,
              ]
            : columns
        }
        keyOf={keyOf}
        rowClass={(row) => (row.fault === null ? '' : 'bg-alarm-soft')}
        empty={`${page.old.item.number} is used nowhere that fits what is chosen.`}
      />
    </div>
  );
}
