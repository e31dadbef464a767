import { useQuery } from '@tanstack/react-query';
import { useParams, useSearchParams } from 'react-router';
import { day } from '../../lib/format';
import { queries } from '../../lib/queries';
import { useShortcut } from '../../lib/useShortcut';
import { states } from '../../lib/words';
import { Button } from '../../ui/Button';
import { Loading } from '../../ui/Loading';
import { Notice, ProblemNotice } from '../../ui/Notice';
import { ChangeNumber, ItemNumber } from '../../ui/Num';
import { Page } from '../../ui/Page';
import { ConsequenceStrip } from '../ConsequenceStrip';
import { DifferenceTotals } from '../DifferenceTotals';
import { Iterations } from '../work/Iterations';
import { Newer } from '../work/Newer';
import { TurnButtons } from '../work/TurnButtons';
import { useWork } from '../work/useWork';
import { DataGrid } from './DataGrid';
import { useItemData, type DataRedline } from './useItemData';

/** What is known of an item under an order: cost, lead time, supply, planning figures, attributes, and whether it is retired. */
export function DataPage() {
  const { number = '', item = '' } = useParams();
  const redline = useQuery(queries.dataRedline(number, item));
  return redline.data ? (
    <>
      <DataView redline={redline.data} />
      {redline.data.may_edit && <ConsequenceStrip order={number} />}
    </>
  ) : (
    <Page title={item}>
      <Loading query={redline}>{() => null}</Loading>
    </Page>
  );
}

function DataView({ redline }: { redline: DataRedline }) {
  const { set } = useItemData(redline);
  const work = { order: redline.order, item: redline.item.number, work: 'item_data', scope: `data ${redline.order}` };
  const { turn } = useWork(work);
  const [params, setParams] = useSearchParams();
  const only = params.get('show') === 'differences';
  const turnOnly = () => setParams(only ? {} : { show: 'differences' }, { replace: true });
  useShortcut('v d', turnOnly);
  useShortcut('mod+z', () => turn.mutate('undo'), redline.may_edit && redline.can_undo);
  useShortcut('mod+shift+z', () => turn.mutate('redo'), redline.may_edit && redline.can_redo);

  return (
    <Page
      title={redline.item.title}
      number={redline.item.number}
      over={
        <span className="flex items-baseline gap-2">
          <ItemNumber number={redline.item.number} /> item data, under <ChangeNumber number={redline.order} />{' '}
          {redline.order_title}
        </span>
      }
      aside={
        <span className="text-lg">
          Data {redline.base ?? ''}
          {redline.becomes === null ? (
            ' unchanged'
          ) : (
            <>
              {' '}
              → <b className="font-semibold">{redline.becomes}</b>
              {redline.effective_on !== null && ` from ${day(redline.effective_on)}`}
            </>
          )}
          <span className="ml-3 text-base text-soft">{states[redline.state]}</span>
        </span>
      }
    >
      <div className="mb-2 flex flex-wrap items-center gap-2">
        {redline.may_edit && <TurnButtons of={redline} busy={turn.isPending} onTurn={(which) => turn.mutate(which)} />}
        <Button aria-pressed={only} onClick={turnOnly}>
          {only ? 'Show all fields' : 'Show differences only'} <kbd className="font-mono text-xs text-soft">v d</kbd>
        </Button>
        <span className="ml-auto">
          <DifferenceTotals rows={redline.rows} />
        </span>
      </div>
      <div className="mb-2 space-y-2">
        {redline.moved_on && <Newer of={work} mayEdit={redline.may_edit} />}
        <ProblemNotice problem={turn.error} />
        <ProblemNotice problem={set.error} shown={redline.rows.map(({ key }) => key)} />
        {redline.faults.length > 0 && <Notice look="alarm">{redline.faults.join(' ')}</Notice>}
        {!redline.may_edit && redline.state === 'revising' && (
          <Notice>Only the editor of the order edits, and who has a task for it.</Notice>
        )}
      </div>
      <DataGrid redline={redline} set={redline.may_edit ? set : null} only={only} />
      <Iterations of={work} shown={redline} />
    </Page>
  );
}
