import { useId, useState } from 'react';
import { api, told, type Schemas } from '../lib/api';
import { touches } from '../lib/touches';
import { useAct } from '../lib/useAct';
import { Button } from '../ui/Button';
import { DateInput } from '../ui/DateInput';
import { Field } from '../ui/Field';
import { Input } from '../ui/Input';
import { ProblemNotice } from '../ui/Notice';
import { weekdays } from './weekdays';

interface Props {
  plant: Schemas['PlantRow'];
  onDone: () => void;
}

/** When a plant works, and where it is in time. */
export function PlantForm({ plant, onDone }: Props) {
  const zones = useId();
  const [value, setValue] = useState({
    time_zone: plant.time_zone ?? '',
    weekdays: plant.weekdays,
    shifts: plant.shifts,
    days: plant.days,
  });
  const save = useAct(
    touches.plant,
    () =>
      told(
        api.PUT('/api/plants/{code}', {
          params: { path: { code: plant.code } },
          body: { ...value, time_zone: value.time_zone === '' ? null : value.time_zone, version: plant.version },
        }),
      ),
    onDone,
  );
  const setDay = (at: number, change: Partial<Schemas['PlantDayRow']>) =>
    setValue({ ...value, days: value.days.map((one, i) => (i === at ? { ...one, ...change } : one)) });
  return (
    <form
      aria-label={`Change ${plant.name}`}
      className="space-y-3 border-y border-strong bg-sheet p-3"
      onSubmit={(event) => {
        event.preventDefault();
        save.mutate(undefined);
      }}
    >
      <div className="flex flex-wrap items-start gap-4">
        <Field label="Shifts" className="w-72" error={save.error?.at('shifts')}>
          <Input
            value={value.shifts}
            placeholder="06:00-14:00, 14:00-22:00"
            onChange={(event) => setValue({ ...value, shifts: event.target.value })}
          />
        </Field>
        <Field label="Time zone (empty: of the installation)" className="w-72" error={save.error?.at('time_zone')}>
          <Input
            value={value.time_zone}
            list={zones}
            placeholder="Europe/Oslo"
            onChange={(event) => setValue({ ...value, time_zone: event.target.value })}
          />
        </Field>
        <datalist id={zones}>
          {Intl.supportedValuesOf('timeZone').map((zone) => (
            <option key={zone} value={zone} />
          ))}
        </datalist>
      </div>
      <fieldset>
        <legend className="text-sm font-medium text-soft">Works on</legend>
        <div className="flex flex-wrap gap-4">
          {weekdays.map(({ number, name }) => (
            <label key={number} className="flex items-center gap-2">
              <input
                type="checkbox"
                checked={value.weekdays.includes(number)}
                onChange={(event) =>
                  setValue({
                    ...value,
                    weekdays: event.target.checked
                      ? [...value.weekdays, number]
                      : value.weekdays.filter((one) => one !== number),
                  })
                }
              />
              {name}
            </label>
          ))}
        </div>
        {save.error?.at('weekdays') && <p className="text-sm text-alarm">▲ {save.error.at('weekdays')}</p>}
      </fieldset>
      <fieldset className="space-y-1.5">
        <legend className="text-sm font-medium text-soft">Days off and extra days</legend>
        {value.days.map((one, at) => (
          <div key={at} className="flex flex-wrap items-start gap-3">
            <Field label={`Day ${at + 1}`} className="w-44" error={save.error?.at(`days.${at}.day`)}>
              <DateInput value={one.day} onChange={(day) => setDay(at, { day })} />
            </Field>
            <Field label={`Name of day ${at + 1}`} className="w-56" error={save.error?.at(`days.${at}.name`)}>
              <Input value={one.name} onChange={(event) => setDay(at, { name: event.target.value })} />
            </Field>
            <label className="mt-7 flex items-center gap-2">
              <input
                type="checkbox"
                checked={one.works}
                onChange={(event) => setDay(at, { works: event.target.checked })}
              />
              the plant works
            </label>
            <Button
              look="quiet"
              className="mt-5.5"
              aria-label={`Remove day ${at + 1}`}
              onClick={() => setValue({ ...value, days: value.days.filter((_, i) => i !== at) })}
            >
              Remove
            </Button>
          </div>
        ))}
        <Button onClick={() => setValue({ ...value, days: [...value.days, { day: '', works: false, name: '' }] })}>
          Add a day
        </Button>
      </fieldset>
      <span className="flex gap-2">
        <Button type="submit" look="main" busy={save.isPending}>
          Save
        </Button>
        <Button look="quiet" onClick={onDone}>
          Cancel
        </Button>
      </span>
      <ProblemNotice
        problem={save.error}
        shown={[
          'shifts',
          'time_zone',
          'weekdays',
          ...value.days.flatMap((_, at) => [`days.${at}.day`, `days.${at}.name`]),
        ]}
      />
    </form>
  );
}
