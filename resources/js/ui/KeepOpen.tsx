import { useQuery } from '@tanstack/react-query';
import { Popover } from 'radix-ui';
import { useState } from 'react';
import { useLocation } from 'react-router';
import { api, told } from '../lib/api';
import { queries } from '../lib/queries';
import { useMe } from '../lib/session';
import { touches } from '../lib/touches';
import { useAct } from '../lib/useAct';
import { Button } from './Button';
import { Field } from './Field';
import { KeepIcon, keepButton, keepLabel } from './KeepIcon';
import { Input } from './Input';
import { ProblemNotice } from './Notice';
import { Select } from './Select';

/** No code of a group looks like this. */
const NOBODY = '-';

/** The form that saves, renames and removes a view, loaded when somebody opens it. */
export default function KeepOpen({ title }: { title: string }) {
  const { pathname, search } = useLocation();
  const address = pathname + search;
  const favourites = useQuery(queries.favourites());
  const kept = favourites.data?.find((one) => one.address === address && !one.shared_by);
  const [open, setOpen] = useState(true);
  const [name, setName] = useState(kept?.name ?? title);
  const [group, setGroup] = useState(kept?.group ?? '');
  const me = useMe();
  const groups = (useQuery(queries.groups()).data ?? []).filter(
    (one) => !one.retired && one.members.includes(me.login),
  );
  const close = () => setOpen(false);
  const keep = useAct(
    touches.view,
    () => told(api.POST('/api/favourites', { body: { address, name, ...(group === '' ? {} : { group }) } })),
    close,
  );
  const drop = useAct(
    touches.view,
    (id: number) => told(api.DELETE('/api/favourites/{id}', { params: { path: { id: String(id) } } })),
    close,
  );
  const label = keepLabel(kept?.name);
  return (
    <Popover.Root
      open={open}
      onOpenChange={(next) => {
        setOpen(next);
        setName(kept?.name ?? title);
        setGroup(kept?.group ?? '');
      }}
    >
      <Popover.Trigger aria-label={label} title={label} className={keepButton(kept !== undefined)}>
        <KeepIcon kept={kept !== undefined} />
      </Popover.Trigger>
      <Popover.Portal>
        <Popover.Content align="start" className="z-50 w-80 border border-strong bg-sheet p-3 shadow-md">
          <form
            className="space-y-2"
            onSubmit={(event) => {
              event.preventDefault();
              keep.mutate(undefined);
            }}
          >
            <Field label="Save view as" error={keep.error?.at('name')}>
              <Input value={name} onChange={(event) => setName(event.target.value)} />
            </Field>
            {groups.length > 0 && (
              <Field label="Share with" error={keep.error?.at('group')}>
                <Select
                  value={group === '' ? NOBODY : group}
                  onChange={(chosen) => setGroup(chosen === NOBODY ? '' : chosen)}
                  options={{ [NOBODY]: 'Nobody', ...Object.fromEntries(groups.map((one) => [one.code, one.name])) }}
                />
              </Field>
            )}
            <ProblemNotice problem={keep.error ?? drop.error} shown={['name', 'group']} />
            <span className="flex gap-2">
              <Button type="submit" look="main" busy={keep.isPending}>
                {kept ? 'Save changes' : 'Save'}
              </Button>
              {kept && (
                <Button look="quiet" busy={drop.isPending} onClick={() => drop.mutate(kept.id)}>
                  Remove from saved views
                </Button>
              )}
            </span>
          </form>
        </Popover.Content>
      </Popover.Portal>
    </Popover.Root>
  );
}
