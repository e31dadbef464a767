import { useState } from 'react';
import { Link } from 'react-router';
import { api, told, type Schemas } from '../lib/api';
import { day } from '../lib/format';
import { useMay } from '../lib/session';
import { touches } from '../lib/touches';
import { useAct } from '../lib/useAct';
import { Button } from '../ui/Button';
import { DateInput } from '../ui/DateInput';
import { Details } from '../ui/Details';
import { Field } from '../ui/Field';
import { Input } from '../ui/Input';
import { ProblemNotice } from '../ui/Notice';

interface Props {
  number: string;
  state: string;
  question: Schemas['CutInQuestion'];
  page: Schemas['CutInPage'];
  at: number;
}

/** Chooses the day that is shown, with the reason; the question is kept with it. */
export function ChooseDay({ number, state, question, page, at }: Props) {
  const may = useMay('assess_request');
  const [reason, setReason] = useState('');
  const on = page.days[at]?.on ?? '';
  const [atPlants, setAtPlants] = useState<Record<string, string>>({});
  const others = Object.entries(atPlants)
    .filter(([, chosen]) => chosen !== '')
    .map(([plant, chosen]) => ({ plant, on: chosen }));
  const choose = useAct(
    touches.cutIn,
    () =>
      told(
        api.POST('/api/requests/{number}/cut-ins', {
          params: { path: { number } },
          body: { ...question, chosen_on: on, reason, ...(others.length === 0 ? {} : { at_plants: others }) },
        }),
      ),
    () => setReason(''),
  );
  if (!may) return null;
  if (!['raised', 'assessing', 'approved'].includes(state)) {
    return (
      <p className="text-soft">
        A day is chosen while the request is being assessed or waits for its order.{' '}
        <Link className="text-accent underline" to={`/changes/${number}`}>
          To its Dossier
        </Link>
      </p>
    );
  }
  return (
    <form
      className="space-y-2"
      onSubmit={(event) => {
        event.preventDefault();
        choose.mutate(undefined);
      }}
    >
      <Field label={`Reason ${day(on)}`} error={choose.error?.at('reason') ?? choose.error?.at('chosen_on')}>
        <Input value={reason} onChange={(event) => setReason(event.target.value)} />
      </Field>
      {page.plants.length > 1 && (
        <Details summary="A day for each plant">
          <div className="grid grid-cols-2 gap-2">
            {page.plants.map(({ plant, best }) => (
              <Field
                key={plant}
                label={`${plant}, best alone ${day(best.least_cost)}`}
                error={choose.error?.at(`at_plants.${others.findIndex((one) => one.plant === plant)}.on`)}
              >
                <DateInput
                  value={atPlants[plant] ?? ''}
                  onChange={(chosen) => setAtPlants({ ...atPlants, [plant]: chosen })}
                />
              </Field>
            ))}
          </div>
        </Details>
      )}
      <ProblemNotice
        problem={choose.error}
        shown={['reason', 'chosen_on', ...others.map((_, i) => `at_plants.${i}.on`)]}
      />
      <Button type="submit" look="main" busy={choose.isPending}>
        Choose {day(on)}
      </Button>
    </form>
  );
}
