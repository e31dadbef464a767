import { useDeferredValue, useMemo, useState } from 'react';
import { useParams, useSearchParams } from 'react-router';
import { count } from '../../lib/format';
import { useShortcut } from '../../lib/useShortcut';
import { states } from '../../lib/words';
import { Button } from '../../ui/Button';
import { Loading } from '../../ui/Loading';
import { Notice, ProblemNotice } from '../../ui/Notice';
import { ChangeNumber, ItemNumber } from '../../ui/Num';
import { Page } from '../../ui/Page';
import { SearchInput } from '../../ui/SearchInput';
import { Select } from '../../ui/Select';
import { AddLine } from '../AddLine';
import { ConsequenceStrip } from '../ConsequenceStrip';
import { DifferenceTotals } from '../DifferenceTotals';
import { dropped, reordered } from '../reordered';
import { RedlineGrid } from '../RedlineGrid';
import { fields as ofEngineering, plantFields } from '../redlineFields';
import type { RedlineRow } from '../useRedline';
import { useRedlineView } from '../useRedlineView';
import { LineTalk } from '../LineTalk';
import { TurnButtons } from '../work/TurnButtons';
import { SheetButtons } from '../work/SheetButtons';
import { FilterChoice } from './FilterChoice';
import { FindReplace } from './FindReplace';
import { leadColumns } from './leadColumns';
import { SheetBack } from './SheetBack';
import { MarkedTools, type Tool } from './MarkedTools';
import { filtered, grouped, placeOf, whereOf, type SheetRow, type Worksheet } from './sheetRows';
import { useLines, useWorksheet } from './useWorksheet';

/** All lines of all structures of an order in one table. */
export function WorksheetPage() {
  const { number = '' } = useParams();
  const { query, page } = useLines(number);
  return page ? (
    <>
      <WorksheetView page={page} onReadOn={query.isError ? () => void query.fetchNextPage() : null} />
      {page.is_open && <ConsequenceStrip order={number} />}
    </>
  ) : (
    <Page title="Worksheet" number={number}>
      <Loading query={query}>{() => null}</Loading>
    </Page>
  );
}

/** @param onReadOn reads what could not be read; null: nothing failed */
function WorksheetView({ page, onReadOn }: { page: Worksheet; onReadOn: (() => void) | null }) {
  const [params, setParams] = useSearchParams();
  const set = (name: string, value: string) =>
    setParams(
      (before) => {
        if (value === '') before.delete(name);
        else before.set(name, value);
        return before;
      },
      { replace: true },
    );
  const by = params.get('group') === 'component' ? 'component' : 'parent';
  const words = params.get('words') ?? '';
  const filter = {
    words: useDeferredValue(words),
    work: params.get('work') ?? '',
    parent: params.get('parent') ?? '',
    modelled: params.get('modelled') ?? '',
    task: params.get('task') ?? '',
  };
  const all = page.rows;
  const { words: wanted, work, parent, modelled, task } = filter;
  const rows = useMemo(
    () => grouped(filtered(all, page, { words: wanted, work, parent, modelled, task }), by),
    [all, page, wanted, work, parent, modelled, task, by],
  );
  const { edit, several, turn } = useWorksheet(page);
  const [open, setOpen] = useState<Tool | 'find' | null>(null);
  const [file, setFile] = useState<File | null>(null);
  const [adding, setAdding] = useState<SheetRow | null>(null);
  const [marked, setMarked] = useState<SheetRow | null>(null);
  const toggle = (tool: Tool | 'find') => setOpen((before) => (before === tool ? null : tool));
  const add = () => setAdding(marked ?? rows[0] ?? null);
  const { only, wide, turnOnly, turnWide } = useRedlineView({
    mayEdit: page.may_edit,
    onAdd: add,
    undo: page.can_undo ? () => turn.mutate('undo') : null,
    redo: page.can_redo ? () => turn.mutate('redo') : null,
  });
  useShortcut('v f', () => toggle('find'), page.may_edit && !page.reading);
  const lead = useMemo(() => leadColumns(page), [page]);
  const works = [...new Set(page.subjects.map((subject) => subject.work))];
  const fields = works.some((one) => one !== 'engineering') ? plantFields : ofEngineering;
  const tasks = [...new Set(all.flatMap((row) => row.task ?? []))].sort();
  const moved = page.subjects.filter((subject) => subject.moved_on);
  const shown = only ? rows.filter((row) => row.mark !== 'unchanged') : rows;
  const ofSubject = (subject: number) => all.filter((row) => row.subject === subject);
  const findAfter = adding?.after == null ? undefined : between(adding.after.find, ofSubject(adding.subject));

  return (
    <Page
      title="Worksheet"
      number={page.order}
      over={
        <>
          under <ChangeNumber number={page.order} /> {page.order_title}
        </>
      }
      aside={<span className="text-soft">{states[page.state]}</span>}
    >
      <div className="mb-2 flex flex-wrap items-center gap-2">
        {page.may_edit && (
          <>
            <TurnButtons of={page} busy={turn.isPending} onTurn={(which) => turn.mutate(which)} />
            <Button onClick={add}>Add a line</Button>
            <Button aria-pressed={open === 'find'} disabled={page.reading} onClick={() => toggle('find')}>
              Find and replace <kbd className="font-mono text-xs text-soft">v f</kbd>
            </Button>
            <Button aria-pressed={open === 'renumber'} onClick={() => toggle('renumber')}>
              Renumber
            </Button>
            <Button aria-pressed={open === 'copy'} onClick={() => toggle('copy')}>
              Copy or move
            </Button>
          </>
        )}
        <Button aria-pressed={only} onClick={turnOnly}>
          {only ? 'Show all lines' : 'Differences only'} <kbd className="font-mono text-xs text-soft">v d</kbd>
        </Button>
        <Button aria-pressed={wide} onClick={turnWide}>
          All columns
        </Button>
        <SheetButtons
          address={`/api/orders/${page.order}/worksheet`}
          onFile={page.may_edit ? setFile : null}
          formats={['xlsx', 'csv', 'json']}
        />
      </div>
      <div className="mb-2 flex flex-wrap items-center gap-2">
        <span className="w-72">
          <SearchInput label="Parent, component, notes" initial={words} onWords={(text) => set('words', text)} />
        </span>
        <FilterChoice
          label="Structure"
          value={work}
          onChange={(one) => set('work', one)}
          all="All structures"
          options={works.map((one) => [one, whereOf(page.subjects.find((subject) => subject.work === one))])}
        />
        <FilterChoice
          label="Parent"
          value={parent}
          onChange={(one) => set('parent', one)}
          all="All parents"
          options={[...new Set(page.subjects.map(({ item }) => item))].map((item) => [item, item])}
        />
        <FilterChoice
          label="Modelled"
          value={modelled}
          onChange={(one) => set('modelled', one)}
          all="Modelled or not"
          options={[
            ['yes', 'Modelled'],
            ['no', 'Not modelled'],
          ]}
        />
        {tasks.length > 0 && (
          <FilterChoice
            label="Task"
            value={task}
            onChange={(one) => set('task', one)}
            all="All tasks"
            options={tasks.map((one) => [one, one])}
          />
        )}
        <span className="w-44">
          <Select
            aria-label="Group by"
            value={by}
            onChange={(one) => set('group', one === 'parent' ? '' : one)}
            options={{ parent: 'By parent', component: 'By component' }}
          />
        </span>
      </div>
      <div className="mb-1 flex flex-wrap items-baseline justify-between gap-x-4">
        <span role="status" className="text-sm text-soft">
          {page.reading
            ? `${onReadOn === null ? 'Reading lines…' : 'Lines of'} ${count(new Set(page.subjects.map(({ item }) => item)).size)} of ${count(page.items_in_all)} items`
            : shown.length === all.length
              ? `${count(all.length)} lines of ${count(page.subjects.length)} structures`
              : `${count(shown.length)} of ${count(all.length)} lines`}
        </span>
        <DifferenceTotals rows={all} />
      </div>
      <div className="mb-2 space-y-2">
        {page.reading && onReadOn !== null && (
          <Notice look="alarm">
            Not all lines could be read: those of further items are missing here.{' '}
            <Button look="quiet" onClick={onReadOn}>
              Read them
            </Button>
          </Notice>
        )}
        {moved.length > 0 && (
          <Notice>
            Another order has released {moved.map(({ item }) => item).join(', ')} meanwhile: bring it in on the page of
            the item.
          </Notice>
        )}
        <ProblemNotice problem={turn.error} />
        {file && (
          <SheetBack
            key={`${file.name} ${file.lastModified}`}
            order={page.order}
            file={file}
            onDone={() => setFile(null)}
          />
        )}
        {open === 'find' && (
          <FindReplace
            rows={shown}
            fields={fields}
            busy={several.isPending}
            onEdits={(edits) => several.mutate(edits)}
          />
        )}
        {!page.may_edit && page.state === 'revising' && (
          <Notice>Only the editor of the order edits, and who has a task for it.</Notice>
        )}
      </div>
      <RedlineGrid
        of="worksheet"
        name={`worksheet-${page.order}`}
        rows={rows}
        fields={fields}
        mayEdit={page.may_edit}
        fixed={(row) => page.subjects[(row as SheetRow).subject]?.may_edit === false}
        edit={edit}
        several={several}
        only={only}
        wide={wide}
        onAdd={add}
        reorder={(marked, by) => reordered(marked, ofSubject((marked[0] as SheetRow | undefined)?.subject ?? -1), by)}
        {...(by === 'parent' && {
          drop: (lines: RedlineRow[], onto: RedlineRow, side: 'above' | 'below') =>
            dropped(lines, ofSubject((onto as SheetRow).subject), onto, side),
        })}
        lead={lead}
        onMarked={(row) => setMarked(row as SheetRow | null)}
        tools={(block) =>
          open !== null && open !== 'find' && page.may_edit ? (
            <MarkedTools
              tool={open}
              page={page}
              all={all}
              marked={block as SheetRow[]}
              busy={several.isPending}
              onEdits={(edits) => several.mutate(edits)}
            />
          ) : null
        }
      />
      <LineTalk
        order={page.order}
        at={
          marked === null
            ? null
            : {
                item: page.subjects[marked.subject]?.item ?? '',
                work: page.subjects[marked.subject]?.work ?? '',
                row: { ...marked, key: placeOf(marked.key).line },
              }
        }
        only={null}
      />
      {adding && (
        <>
          <p className="mt-3">
            New line of <ItemNumber number={page.subjects[adding.subject]?.item ?? ''} />,{' '}
            {whereOf(page.subjects[adding.subject])}
          </p>
          <AddLine
            key={adding.key}
            rows={ofSubject(adding.subject)}
            edit={edit}
            beside={adding.key}
            {...(findAfter === undefined ? {} : { find: findAfter })}
            onDone={() => setAdding(null)}
          />
        </>
      )}
    </Page>
  );
}

/** A find number between a line and the next one of its structure; none where there is no room. */
function between(find: number, rows: RedlineRow[]): number | undefined {
  const next = Math.min(
    ...rows.flatMap((row) => (row.after !== null && row.after.find > find ? [row.after.find] : [])),
  );
  if (!Number.isFinite(next)) return find + 10;
  return next - find > 1 ? find + Math.floor((next - find) / 2) : undefined;
}
