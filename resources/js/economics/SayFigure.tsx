import { useState } from 'react';
import { api, told, type Schemas } from '../lib/api';
import { moment } from '../lib/format';
import { currency } from '../lib/settings';
import { touches } from '../lib/touches';
import { useAct } from '../lib/useAct';
import { dispositions } from '../lib/words';
import { Button } from '../ui/Button';
import { DecimalInput } from '../ui/DecimalInput';
import { Field } from '../ui/Field';
import { Input } from '../ui/Input';
import { ProblemNotice } from '../ui/Notice';
import { Select } from '../ui/Select';

export interface Figure {
  kind: Schemas['NewFigure']['kind'];
  subject: string;
  /** What it is, in words. */
  about: string;
  choice?: keyof typeof dispositions;
  amount: string;
  said: Schemas['FigureSource'] | null;
}

/** Says a figure in place of what is computed, with the reason; or takes it back, so that what is computed counts again. */
export function SayFigure({ number, figure, onDone }: { number: string; figure: Figure; onDone: () => void }) {
  const [subject, setSubject] = useState(figure.subject);
  const [choice, setChoice] = useState(figure.choice);
  const [value, setValue] = useState(figure.amount);
  const [reason, setReason] = useState(figure.said?.reason ?? '');
  const say = useAct(
    touches.figure,
    () =>
      told(
        api.POST('/api/requests/{number}/figures', {
          params: { path: { number } },
          body: {
            kind: figure.kind,
            subject,
            amount: value,
            reason,
            seen: figure.said?.id ?? null,
            ...(choice === undefined ? {} : { choice }),
          },
        }),
      ),
    onDone,
  );
  const takeBack = useAct(
    touches.figure,
    (id: number) =>
      told(api.DELETE('/api/requests/{number}/figures/{id}', { params: { path: { number, id: String(id) } } })),
    onDone,
  );
  const error = (place: string) => say.error?.at(place);
  const said = figure.said;
  return (
    <form
      aria-label={figure.about}
      className="no-print space-y-2 border-y border-strong bg-sheet px-3 py-2"
      onSubmit={(event) => {
        event.preventDefault();
        say.mutate(undefined);
      }}
    >
      <b className="font-semibold">{figure.about}</b>
      {said && (
        <p className="text-sm text-soft">
          Said by {said.by}, {moment(said.at)}
        </p>
      )}
      <div className="flex flex-wrap items-start gap-3">
        {figure.kind === 'one_time' && (
          <Field label="Purpose" className="w-72" error={error('subject')}>
            <Input value={subject} readOnly={said !== null} onChange={(event) => setSubject(event.target.value)} />
          </Field>
        )}
        {choice !== undefined && (
          <Field label="Disposition" className="w-44" error={error('choice')}>
            <Select value={choice} onChange={setChoice} options={dispositions} />
          </Field>
        )}
        <Field
          label={
            {
              disposition: `Cost per unit, ${currency()}`,
              one_time: `Amount, ${currency()}`,
              answered: `Amount, ${currency()}`,
              recurring: `Per unit, ${currency()}`,
              demand: 'Units per year',
            }[figure.kind]
          }
          {...(figure.kind === 'disposition' ? { hint: 'Empty: the usual cost' } : {})}
          className="w-44"
          error={error('amount')}
        >
          <DecimalInput value={value} onChange={setValue} />
        </Field>
        <Field label="Reason" className="w-96" error={error('reason')}>
          <Input value={reason} onChange={(event) => setReason(event.target.value)} />
        </Field>
        <span className="flex gap-2 pt-5.5">
          <Button type="submit" look="main" busy={say.isPending}>
            Save override
          </Button>
          {said && (
            <Button busy={takeBack.isPending} onClick={() => takeBack.mutate(said.id)}>
              Undo
            </Button>
          )}
          <Button look="quiet" onClick={onDone}>
            Cancel
          </Button>
        </span>
      </div>
      <ProblemNotice problem={say.error ?? takeBack.error} shown={['subject', 'choice', 'amount', 'reason']} />
    </form>
  );
}
