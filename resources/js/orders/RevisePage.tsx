import { useQuery } from '@tanstack/react-query';
import { useState } from 'react';
import { useParams } from 'react-router';
import { queries } from '../lib/queries';
import { states } from '../lib/words';
import { Button } from '../ui/Button';
import { Loading } from '../ui/Loading';
import { Notice, ProblemNotice } from '../ui/Notice';
import { ChangeNumber, ItemNumber } from '../ui/Num';
import { Page } from '../ui/Page';
import { AddLine } from './AddLine';
import { ConsequenceStrip } from './ConsequenceStrip';
import { DifferenceTotals } from './DifferenceTotals';
import { dropped, reordered } from './reordered';
import { LineTalk } from './LineTalk';
import { RedlineGrid } from './RedlineGrid';
import { useRedline, type Redline, type RedlineRow } from './useRedline';
import { useRedlineView } from './useRedlineView';
import { Iterations } from './work/Iterations';
import { Newer } from './work/Newer';
import { SheetButtons } from './work/SheetButtons';
import { SheetProblem } from './work/SheetProblem';
import { TurnButtons } from './work/TurnButtons';
import { useWork } from './work/useWork';

/** The structure of one item under an order: before and after in one table. */
export function RevisePage() {
  const { number = '', item = '' } = useParams();
  const redline = useQuery(queries.redline(number, item));
  return redline.data ? (
    <>
      <ReviseView redline={redline.data} />
      {redline.data.is_open && <ConsequenceStrip order={number} />}
    </>
  ) : (
    <Page title={item}>
      <Loading query={redline}>{() => null}</Loading>
    </Page>
  );
}

function ReviseView({ redline }: { redline: Redline }) {
  const [adding, setAdding] = useState(false);
  const [at, setAt] = useState<RedlineRow | null>(null);
  const { edit, several, sheet } = useRedline(redline);
  const work = {
    order: redline.order,
    item: redline.item.number,
    work: 'engineering',
    scope: `redline ${redline.order}`,
  };
  const { turn } = useWork(work);
  const { only, wide, turnOnly, turnWide } = useRedlineView({
    mayEdit: redline.may_edit,
    onAdd: () => setAdding(true),
    undo: redline.can_undo ? () => turn.mutate('undo') : null,
    redo: redline.can_redo ? () => turn.mutate('redo') : null,
  });

  return (
    <Page
      title={redline.item.title}
      number={redline.item.number}
      over={
        <span className="flex items-baseline gap-2">
          <ItemNumber number={redline.item.number} /> under <ChangeNumber number={redline.order} />{' '}
          {redline.order_title}
        </span>
      }
      aside={
        <span className="text-lg">
          Revision {redline.base ?? 'none yet'} → <b className="font-semibold">{redline.becomes}</b>
          {redline.state === 'revising' && <span className="ml-2 text-base">now {redline.working}</span>}
          <span className="ml-3 text-base text-soft">{states[redline.state]}</span>
        </span>
      }
    >
      <div className="mb-2 flex flex-wrap items-center gap-2">
        {redline.may_edit && (
          <>
            <TurnButtons of={redline} busy={turn.isPending} onTurn={(which) => turn.mutate(which)} />
            <Button onClick={() => setAdding(true)}>Add a line</Button>
          </>
        )}
        <Button aria-pressed={only} onClick={turnOnly}>
          {only ? 'Show all lines' : 'Show differences only'} <kbd className="font-mono text-xs text-soft">v d</kbd>
        </Button>
        <Button aria-pressed={wide} onClick={turnWide}>
          Dates and fixed revisions
        </Button>
        <SheetButtons
          address={`/api/orders/${redline.order}/items/${redline.item.number}/sheet`}
          onFile={redline.may_edit ? (file) => sheet.mutate(file) : null}
        />
        <span className="ml-auto">
          <DifferenceTotals rows={redline.rows} />
        </span>
      </div>
      <div className="mb-2 space-y-2">
        {redline.moved_on && <Newer of={work} mayEdit={redline.may_edit} />}
        <ProblemNotice problem={turn.error} />
        <SheetProblem problem={sheet.error} />
        {!redline.may_edit && redline.state === 'revising' && (
          <Notice>Only the editor of the order edits, and who has a task for it.</Notice>
        )}
      </div>
      <RedlineGrid
        name={`lines-of-${redline.item.number}`}
        rows={redline.rows}
        mayEdit={redline.may_edit}
        edit={edit}
        several={several}
        only={only}
        wide={wide}
        onAdd={() => setAdding(true)}
        reorder={(marked, by) => reordered(marked, redline.rows, by)}
        drop={(lines, onto, side) => dropped(lines, redline.rows, onto, side)}
        onMarked={setAt}
      />
      {adding && <AddLine rows={redline.rows} edit={edit} onDone={() => setAdding(false)} />}
      <LineTalk
        order={redline.order}
        at={at === null ? null : { item: work.item, work: work.work, row: at }}
        only={work}
      />
      <Iterations
        of={work}
        shown={redline}
        side={(name) => `${name}=${redline.item.number}&${name}_order=${redline.order}`}
      />
    </Page>
  );
}
