import { useState } from 'react';
import { count } from '../../lib/format';
import { Button } from '../../ui/Button';
import { Field } from '../../ui/Field';
import { Select } from '../../ui/Select';
import { WholeInput } from '../../ui/WholeInput';
import type { LineEdit } from '../useRedline';
import { copied, renumbered } from './massEdits';
import { whereOf, type SheetRow, type Worksheet } from './sheetRows';

export type Tool = 'renumber' | 'copy';

interface Props {
  tool: Tool;
  page: Worksheet;
  all: SheetRow[];
  marked: SheetRow[];
  busy: boolean;
  onEdits: (edits: LineEdit[]) => void;
}

/** What can be done with the rows that are marked: with Shift and the arrows, or by pressing with Shift. */
export function MarkedTools({ tool, page, all, marked, busy, onEdits }: Props) {
  return (
    <div className="mb-2 flex flex-wrap items-end gap-3 border-y border-rule bg-sheet px-3 py-2">
      <span className="pb-1.5">
        {count(marked.length)} {marked.length === 1 ? 'row' : 'rows'} marked
      </span>
      {tool === 'renumber' ? (
        <Renumber marked={marked} busy={busy} onEdits={onEdits} />
      ) : (
        <Copy page={page} all={all} marked={marked} busy={busy} onEdits={onEdits} />
      )}
    </div>
  );
}

function Renumber({ marked, busy, onEdits }: Pick<Props, 'marked' | 'busy' | 'onEdits'>) {
  const [start = 0, setStart] = useState<number | undefined>(10);
  const [step = 0, setStep] = useState<number | undefined>(10);
  const edits = renumbered(marked, start, step);
  const fits = start > 0 && step > 0;
  return (
    <>
      <Field label="Start" className="w-24">
        <WholeInput value={start} onChange={setStart} />
      </Field>
      <Field label="Step" className="w-24">
        <WholeInput value={step} onChange={setStep} />
      </Field>
      <Button busy={busy} disabled={!fits || edits.length === 0} onClick={() => onEdits(edits)}>
        Renumber {count(edits.length)} {edits.length === 1 ? 'line' : 'lines'}
      </Button>
      <span className="pb-1.5 text-sm text-soft">Each structure begins anew</span>
    </>
  );
}

function Copy({ page, all, marked, busy, onEdits }: Omit<Props, 'tool'>) {
  const [to, setTo] = useState('');
  const titles = new Map(page.items.map(({ number, title }) => [number, title]));
  const options = Object.fromEntries(
    page.subjects.map((subject, at) => [
      String(at),
      `${subject.item} ${titles.get(subject.item) ?? ''}, ${whereOf(subject)}`,
    ]),
  );
  const edits = (moves: boolean) => (to === '' ? [] : copied(marked, all, Number(to), moves));
  return (
    <>
      <Field label="To" className="w-96">
        <Select value={to} onChange={setTo} options={options} placeholder="Choose a structure" />
      </Field>
      <Button busy={busy} disabled={edits(false).length === 0} onClick={() => onEdits(edits(false))}>
        Copy
      </Button>
      <Button busy={busy} disabled={edits(true).length === 0} onClick={() => onEdits(edits(true))}>
        Move
      </Button>
    </>
  );
}
