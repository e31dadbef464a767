import { useQuery } from '@tanstack/react-query';
import { useState } from 'react';
import { useParams } from 'react-router';
import { api, told, type Schemas } from '../lib/api';
import { moment } from '../lib/format';
import { queries } from '../lib/queries';
import { useMay } from '../lib/session';
import { touches } from '../lib/touches';
import { useAct } from '../lib/useAct';
import { formStates } from '../lib/words';
import { Button } from '../ui/Button';
import { Field } from '../ui/Field';
import { Loading } from '../ui/Loading';
import { ChangeNumber } from '../ui/Num';
import { ProblemNotice } from '../ui/Notice';
import { Page } from '../ui/Page';
import { Select } from '../ui/Select';
import { ReturnedForm } from './ReturnedForm';

type Forms = Schemas['FormsPage'];
type Form = Schemas['HandedFormRow'];

const signs = { out: '◌', taken_in: '■', withdrawn: '✕' } as const;

/** Forms for people without an account: handed out filled from the record, and taken in again. */
export function FormsPage() {
  const { number = '' } = useParams();
  const forms = useQuery(queries.forms(number));
  const may = useMay('assess_request');
  return (
    <Page
      title={forms.data?.title ?? number}
      number={number}
      over={
        <>
          Forms of <ChangeNumber number={number} />
        </>
      }
    >
      <Loading query={forms}>
        {(page) => (
          <div className="max-w-5xl space-y-7">
            {may && page.open && <HandOut page={page} />}
            {may && page.open && <ReturnedForm number={number} />}
            {!page.open && <p className="text-soft">{number} is not being assessed; forms are only shown.</p>}
            <Handed page={page} may={may} />
          </div>
        )}
      </Loading>
    </Page>
  );
}

function HandOut({ page }: { page: Forms }) {
  const [template, setTemplate] = useState('');
  const handOut = useAct(touches.form, () =>
    told(
      api.POST('/api/requests/{number}/forms', {
        params: { path: { number: page.request } },
        body: { template: Number(template) },
      }),
    ),
  );
  return (
    <section aria-labelledby="hand-out">
      <h2 id="hand-out">Issue a form</h2>
      <p className="mb-2 text-soft">
        It is filled from the record. Whoever gets it opens it in a word processor, fills it in, saves it and sends it
        back.
      </p>
      <div className="flex items-start gap-2">
        <Field label="Template" className="w-80" error={handOut.error?.at('template')}>
          <Select
            value={template}
            onChange={setTemplate}
            options={Object.fromEntries(page.templates.map(({ id, name }) => [String(id), name]))}
          />
        </Field>
        <Button
          look="main"
          className="mt-5.5"
          disabled={template === ''}
          busy={handOut.isPending}
          onClick={() => handOut.mutate(undefined)}
        >
          Issue
        </Button>
      </div>
      <ProblemNotice problem={handOut.error} shown={['template']} />
    </section>
  );
}

function Handed({ page, may }: { page: Forms; may: boolean }) {
  const withdraw = useAct(touches.form, (number: string) =>
    told(api.DELETE('/api/forms/{number}', { params: { path: { number } } })),
  );
  const takeBack = useAct(touches.form, (number: string) =>
    told(api.DELETE('/api/forms/{number}/taken', { params: { path: { number } } })),
  );
  return (
    <section aria-labelledby="handed">
      <h2 id="handed" className="mb-1">
        Issued
      </h2>
      <ProblemNotice problem={withdraw.error ?? takeBack.error} />
      {page.forms.length === 0 ? (
        <p className="border-y border-rule py-2 text-soft">No form was issued for this request.</p>
      ) : (
        <ul className="border-y border-strong bg-sheet">
          {page.forms.map((form) => (
            <li key={form.number} className="border-t border-rule px-3 py-1.5 first:border-t-0">
              <div className="flex flex-wrap items-baseline gap-x-4">
                <span className="w-24">
                  <span aria-hidden="true">{signs[form.state]}</span> {formStates[form.state]}
                </span>
                <span className="font-mono text-sm">{form.number}</span>
                <span>{form.template}</span>
                <span className="text-sm text-soft">
                  {form.handed_by}, {moment(form.handed_at)}
                </span>
                <span className="ml-auto flex items-baseline gap-1">
                  {form.state === 'out' && (
                    <a href={`/api/forms/${form.number}/file`} download className="px-2 text-accent underline">
                      Download<span className="sr-only">, {form.number}</span>
                    </a>
                  )}
                  {may && page.open && form.state === 'out' && (
                    <Button
                      look="quiet"
                      className="!h-6"
                      busy={withdraw.isPending}
                      onClick={() => withdraw.mutate(form.number)}
                    >
                      Withdraw<span className="sr-only"> {form.number}</span>
                    </Button>
                  )}
                  {may && page.open && form.state === 'taken_in' && (
                    <Button
                      look="quiet"
                      className="!h-6"
                      busy={takeBack.isPending}
                      onClick={() => takeBack.mutate(form.number)}
                    >
                      Undo<span className="sr-only">, {form.number}</span>
                    </Button>
                  )}
                </span>
              </div>
              <Settled form={form} />
            </li>
          ))}
        </ul>
      )}
    </section>
  );
}

function Settled({ form }: { form: Form }) {
  if (form.state === 'out') return null;
  return (
    <div className="mt-0.5 ml-28 text-sm">
      <p className="text-soft">
        {formStates[form.state]} by {form.settled_by}, {form.settled_at !== null && moment(form.settled_at)}
        {form.file !== null && (
          <>
            {' · '}
            <a href={`/api/change-files/${form.file}`} download className="text-accent underline">
              the file as it came back
            </a>
          </>
        )}
      </p>
      {form.state === 'taken_in' && form.taken.length === 0 && <p>Nothing was imported from it.</p>}
      <ul>
        {form.taken.map((one) => (
          <li key={one} className="whitespace-pre-line">
            {one}
          </li>
        ))}
      </ul>
    </div>
  );
}
