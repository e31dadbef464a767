import { useState } from 'react';
import { useParams } from 'react-router';
import { api, told } from '../../lib/api';
import { count } from '../../lib/format';
import { touches } from '../../lib/touches';
import { useAct } from '../../lib/useAct';
import { Button } from '../../ui/Button';
import { DataTable } from '../../ui/DataTable';
import { Field } from '../../ui/Field';
import { FileInput } from '../../ui/FileInput';
import { Notice, ProblemNotice } from '../../ui/Notice';
import { ChangeNumber, ItemNumber } from '../../ui/Num';
import { Page } from '../../ui/Page';
import { actsColumn, tickColumn } from '../../ui/table/columns';
import { ConsequenceStrip } from '../ConsequenceStrip';
import { useStrokeUndo } from '../useStrokeUndo';
import { modelColumns, type Row } from './modelColumns';
import { NewNames } from './NewNames';
import { useModel } from './useModel';

const assemblies = (many: number) => `${count(many)} ${many === 1 ? 'assembly' : 'assemblies'}`;
const differences = (many: number) => `${count(many)} ${many === 1 ? 'difference' : 'differences'}`;

/** A design model under an order: what it says otherwise becomes edits, one by one or together; what is new gets its number. */
export function ModelPage() {
  const { number = '' } = useParams();
  const model = useModel(number);
  const [file, setFile] = useState<File | null>(null);
  const [categories, setCategories] = useState<Record<string, string>>({});
  const [left, setLeft] = useState<ReadonlySet<string>>(new Set());
  const undo = useStrokeUndo(number, () => file && model.mutate({ file, chosen: null, categories: {} }));
  const look = (next: File) => {
    setFile(next);
    setCategories({});
    setLeft(new Set());
    model.mutate({ file: next, chosen: null, categories: {} });
  };
  const outcome = model.data;
  const all = outcome?.rows ?? [];
  const [showsAll, setShowsAll] = useState(false);
  const hidden = all.filter(({ unwanted }) => unwanted).length;
  const rows = showsAll ? all : all.filter(({ unwanted }) => !unwanted);
  const turn = useAct(
    touches.nothing,
    ({ parent, component, unwanted }: Row) =>
      told(
        api.POST('/api/orders/{number}/model/unwanted', {
          params: { path: { number } },
          body: { assembly: parent, component, unwanted: !unwanted },
        }),
      ),
    () => file && model.mutate({ file, chosen: null, categories: {} }),
  );
  const may = outcome?.may_take === true;
  // What waits for nothing but a number can be taken over as soon as its category is chosen.
  const waitsFor = (row: Row) => row.waits_for.filter((name) => categories[name] === undefined);
  const byHand = (row: Row) => row.why !== '';
  const fits = (row: Row) => waitsFor(row).length === 0 && !byHand(row) && !row.unwanted;
  const chosen = rows.filter((row) => fits(row) && !left.has(row.key));
  const named = Object.keys(categories).filter((name) => outcome?.items.some((one) => one.name === name));
  return (
    <>
      <Page
        title="Design model"
        number={number}
        over={
          <>
            under <ChangeNumber number={number} />
          </>
        }
      >
        <div className="space-y-4">
          <Field
            label="File: STEP (AP203, AP214, AP242), or a table with parent, component and quantity"
            hint="What is not modelled stays. What was decided otherwise since the last model is not told again."
          >
            <FileInput accept=".stp,.step,.p21,.csv,.xlsx,.json" disabled={model.isPending} onFile={look} />
          </Field>
          {outcome && file && (
            <p>
              <b className="font-semibold">{file.name}</b>: {assemblies(outcome.known)} known here
            </p>
          )}
          {model.isPending && (
            <p role="status" className="text-soft">
              Reading {file?.name}
            </p>
          )}
          <ProblemNotice problem={model.error} />
          {outcome?.done && (
            <Notice look="good">
              Taken over
              {outcome.numbered.length > 0 && '; new numbers: '}
              {outcome.numbered.map((given) => (
                <span key={given} className="mr-2">
                  <ItemNumber number={given} />
                </span>
              ))}
              {outcome.stroke !== null && (
                <Button look="quiet" busy={undo.isPending} onClick={() => undo.mutate(outcome.stroke ?? '')}>
                  Undo
                </Button>
              )}
            </Notice>
          )}
          <ProblemNotice problem={undo.error ?? turn.error} />
          {outcome && outcome.items.length > 0 && may && (
            <NewNames items={outcome.items} categories={categories} onChoose={setCategories} />
          )}
          {outcome && (
            <section aria-label="Differences" className="space-y-2">
              <div className="flex flex-wrap items-center gap-3">
                {may && (chosen.length > 0 || named.length > 0) && file && (
                  <Button
                    look="main"
                    busy={model.isPending}
                    onClick={() => model.mutate({ file, chosen: chosen.map(({ key }) => key), categories })}
                  >
                    {chosen.length === 0
                      ? `Give ${count(named.length)} numbers`
                      : `Take over ${differences(chosen.length)}`}
                  </Button>
                )}
                <span role="status">
                  {rows.length === 0
                    ? hidden > 0
                      ? 'The structures have what is wanted of the model.'
                      : 'The structures say what the model says.'
                    : `${differences(rows.length)} in ${assemblies(new Set(rows.map(({ parent }) => parent)).size)}`}
                  {rows.some(byHand) && `, ${count(rows.filter(byHand).length)} to be done by hand`}
                </span>
                {hidden > 0 && (
                  <Button look="quiet" onClick={() => setShowsAll(!showsAll)}>
                    {showsAll ? 'Hide' : 'Show'} {count(hidden)} not wanted
                  </Button>
                )}
                {!may && rows.length > 0 && (
                  <span className="text-soft">Who edits or plans the order takes it over, while it is open.</span>
                )}
              </div>
              {rows.length > 0 && (
                <DataTable
                  label="What the model says otherwise"
                  exportName={`model-${number}`}
                  rows={rows}
                  columns={
                    may
                      ? [
                          tickColumn<Row>({
                            head: '',
                            label: (row) => `Take over ${row.component} in ${row.parent}`,
                            checked: (row) => fits(row) && !left.has(row.key),
                            disabled: (row) => !fits(row),
                            onTick: (row, on) =>
                              setLeft((before) => {
                                const next = new Set(before);
                                if (on) next.delete(row.key);
                                else next.add(row.key);
                                return next;
                              }),
                          }),
                          ...modelColumns(waitsFor),
                          // What the structure has already goes by an edit; what is new in it is decided on once it has a number.
                          actsColumn<Row>(
                            (row) =>
                              row.before === null &&
                              !outcome.items.some(({ name }) => name === row.parent) && (
                                <Button
                                  look="quiet"
                                  className="px-0"
                                  aria-label={`${row.component} is ${row.unwanted ? '' : 'not '}wanted in ${row.parent}`}
                                  onClick={() => turn.mutate(row)}
                                >
                                  {row.unwanted ? 'Wanted' : 'Not wanted'}
                                </Button>
                              ),
                          ),
                        ]
                      : modelColumns(waitsFor)
                  }
                  keyOf={({ key }) => key}
                  empty=""
                />
              )}
            </section>
          )}
        </div>
      </Page>
      {may && <ConsequenceStrip order={number} />}
    </>
  );
}
