import { useQuery } from '@tanstack/react-query';
import { useState } from 'react';
import { Link, useParams, useSearchParams } from 'react-router';
import { count } from '../../lib/format';
import { queries } from '../../lib/queries';
import { useShortcut } from '../../lib/useShortcut';
import { states } from '../../lib/words';
import { Button } from '../../ui/Button';
import { Loading } from '../../ui/Loading';
import { Notice, ProblemNotice } from '../../ui/Notice';
import { ChangeNumber, ItemNumber } from '../../ui/Num';
import { Page } from '../../ui/Page';
import { AddLine } from '../AddLine';
import { DifferenceTotals } from '../DifferenceTotals';
import { LineTalk } from '../LineTalk';
import type { RedlineRow } from '../useRedline';
import { useRedlineView } from '../useRedlineView';
import { Iterations } from '../work/Iterations';
import { Newer } from '../work/Newer';
import { SheetButtons } from '../work/SheetButtons';
import { SheetProblem } from '../work/SheetProblem';
import { TurnButtons } from '../work/TurnButtons';
import { useWork } from '../work/useWork';
import { BatchForm } from './BatchForm';
import { BuiltGrid } from './BuiltGrid';
import { EngineeringSide } from './EngineeringSide';
import { KitForm } from './KitForm';
import { OperationForm } from './OperationForm';
import { RoutingStrip } from './RoutingStrip';
import { useBuilt, type BuiltRedline } from './useBuilt';
import { useTakeInto } from './useTakeInto';

type Adding = 'line' | 'operation' | 'kit' | null;

/** What a plant builds of an item under an order: operations with their lines, before and after in one table. */
export function BuiltPage() {
  const { number = '', item = '', plant = '' } = useParams();
  const redline = useQuery(queries.builtRedline(number, item, plant));
  return redline.data ? (
    <>
      <BuiltView redline={redline.data} />
      <RoutingStrip redline={redline.data} />
    </>
  ) : (
    <Page title={`${item} at ${plant}`}>
      <Loading query={redline}>{() => null}</Loading>
    </Page>
  );
}

function BuiltView({ redline }: { redline: BuiltRedline }) {
  const [adding, setAdding] = useState<Adding>(null);
  const acts = useBuilt(redline);
  const [params, setParams] = useSearchParams();
  const take = useTakeInto(redline);
  // What was there to begin with stays, so that it can say that nothing is open any more.
  const [begun] = useState(redline.open > 0);
  const [parts, setParts] = useState<Record<string, string>>({});
  const [at, setAt] = useState<RedlineRow | null>(null);
  const beside = redline.may_edit && (params.get('beside') ?? (begun ? 'engineering' : 'none')) !== 'none';
  const turnBeside = () =>
    setParams(
      (before) => {
        before.set('beside', beside ? 'none' : 'engineering');
        return before;
      },
      { replace: true },
    );
  useShortcut('v e', turnBeside, redline.may_edit);
  const { edit, route, sheet } = acts;
  const work = {
    order: redline.order,
    item: redline.item.number,
    work: `manufacturing:${redline.plant}`,
    scope: `built ${redline.order}`,
  };
  const { turn } = useWork(work);
  const { only, wide, turnOnly, turnWide } = useRedlineView({
    mayEdit: redline.may_edit,
    onAdd: () => setAdding('line'),
    undo: redline.can_undo ? () => turn.mutate('undo') : null,
    redo: redline.can_redo ? () => turn.mutate('redo') : null,
  });
  useShortcut('o n', () => setAdding('operation'), redline.may_edit);
  const operations = redline.operations.flatMap(({ after }) => after ?? []);

  return (
    <Page
      title={`${redline.item.title} at ${redline.plant}`}
      number={redline.item.number}
      over={
        <span className="flex items-baseline gap-2">
          <ItemNumber number={redline.item.number} /> manufacturing structure at {redline.plant}, under{' '}
          <ChangeNumber number={redline.order} /> {redline.order_title}
        </span>
      }
      aside={
        <span className="text-lg">
          Revision {redline.base ?? 'none yet'}
          {redline.becomes === null ? (
            ', unchanged'
          ) : (
            <>
              {' '}
              → <b className="font-semibold">{redline.becomes}</b>
            </>
          )}
          <span className="ml-3 text-base text-soft">{states[redline.state]}</span>
        </span>
      }
    >
      <div className="mb-2 flex flex-wrap items-center gap-2">
        {redline.may_edit && (
          <>
            <TurnButtons of={redline} busy={turn.isPending} onTurn={(which) => turn.mutate(which)} />
            <Button onClick={() => setAdding('line')}>Add a line</Button>
            <Button onClick={() => setAdding('operation')}>Add an operation</Button>
            <Button onClick={() => setAdding('kit')}>Gather into a kit</Button>
          </>
        )}
        <Button aria-pressed={only} onClick={turnOnly}>
          {only ? 'Show all lines' : 'Show differences only'} <kbd className="font-mono text-xs text-soft">v d</kbd>
        </Button>
        <Button aria-pressed={wide} onClick={turnWide}>
          Scrap, dates, fixed revisions
        </Button>
        {redline.may_edit && (
          <Button aria-pressed={beside} onClick={turnBeside}>
            Engineering beside <kbd className="font-mono text-xs text-soft">v e</kbd>
          </Button>
        )}
        <SheetButtons
          address={`/api/orders/${redline.order}/items/${redline.item.number}/plants/${encodeURIComponent(redline.plant)}/sheet`}
          onFile={redline.may_edit ? (file) => sheet.mutate(file) : null}
        />
        <BatchForm redline={redline} route={route} />
        <Link
          to={`/items/${redline.item.number}?kind=manufacturing&plant=${encodeURIComponent(redline.plant)}&view=accounted&order=${redline.order}`}
          className="text-accent hover:underline"
        >
          {redline.open === 0
            ? '■ Accountability complete'
            : `▲ ${count(redline.open)} engineering ${redline.open === 1 ? 'line' : 'lines'} open`}
        </Link>
        <span className="ml-auto">
          <DifferenceTotals rows={[...redline.operations, ...redline.rows]} />
        </span>
      </div>
      <div className="mb-2 space-y-2">
        {redline.moved_on && <Newer of={work} mayEdit={redline.may_edit} />}
        <ProblemNotice problem={turn.error} />
        <SheetProblem problem={sheet.error} />
        {redline.faults.length > 0 && <Notice look="alarm">{redline.faults.join(' ')}</Notice>}
        {!redline.may_edit && redline.state === 'revising' && (
          <Notice>Only the editor of the order edits, and who has a task for it.</Notice>
        )}
      </div>
      {adding === 'kit' && <KitForm redline={redline} onDone={() => setAdding(null)} />}
      {adding === 'operation' && (
        <OperationForm
          operation={null}
          next={Math.max(0, ...operations.map(({ number }) => number)) + 10}
          centres={redline.work_centres}
          route={route}
          onDone={() => setAdding(null)}
        />
      )}
      <div className={beside ? 'grid items-start gap-4 lg:grid-cols-[20rem_minmax(0,1fr)]' : ''}>
        {beside && (
          <EngineeringSide
            redline={redline}
            take={take}
            parts={parts}
            onPart={(key, text) => setParts((before) => ({ ...before, [key]: text }))}
          />
        )}
        <div className="min-w-0">
          <BuiltGrid
            redline={redline}
            acts={acts}
            only={only}
            wide={wide}
            onAdd={() => setAdding('line')}
            onDrop={(operation, lines) => take.mutate({ lines, operation, parts })}
            onMarked={setAt}
          />
          <LineTalk
            order={redline.order}
            at={at === null ? null : { item: work.item, work: work.work, row: at }}
            only={work}
          />
        </div>
      </div>
      {adding === 'line' && (
        <AddLine rows={redline.rows} operations={operations} edit={edit} onDone={() => setAdding(null)} />
      )}
      <Iterations
        of={work}
        shown={redline}
        side={(name) =>
          `${name}=${redline.item.number}&${name}_kind=manufacturing&${name}_plant=${encodeURIComponent(redline.plant)}&${name}_order=${redline.order}`
        }
      />
    </Page>
  );
}
