import { useQuery, useQueryClient } from '@tanstack/react-query';
import { Popover } from 'radix-ui';
import { useState } from 'react';
import { useLocation } from 'react-router';
import { api, told } from '../lib/api';
import { queries } from '../lib/queries';
import { useAct } from '../lib/useAct';
import { Button } from './Button';
import { Field } from './Field';
import { Input } from './Input';
import { ProblemNotice } from './Notice';

/** Keeps this page at hand, with all that its address says: filters, day, columns. A kept page is a saved view. */
export function Keep({ title }: { title: string }) {
  const { pathname, search } = useLocation();
  const address = pathname + search;
  const client = useQueryClient();
  const favourites = useQuery(queries.favourites());
  const kept = favourites.data?.find((one) => one.address === address);
  const [open, setOpen] = useState(false);
  const [name, setName] = useState('');
  const refresh = (rows: typeof favourites.data) => {
    client.setQueryData(queries.favourites().queryKey, rows);
    setOpen(false);
  };
  const keep = useAct(() => told(api.POST('/api/favourites', { body: { address, name } })), refresh);
  const drop = useAct(
    (id: number) => told(api.DELETE('/api/favourites/{id}', { params: { path: { id: String(id) } } })),
    refresh,
  );
  const label = kept ? `Kept as ${kept.name}` : 'Keep this page';
  return (
    <Popover.Root
      open={open}
      onOpenChange={(next) => {
        setOpen(next);
        setName(kept?.name ?? title);
      }}
    >
      <Popover.Trigger
        aria-label={label}
        title={label}
        className={`no-print inline-flex size-7 items-center justify-center ${kept ? 'text-accent' : 'text-soft hover:text-ink'}`}
      >
        <svg
          viewBox="0 0 16 16"
          aria-hidden
          className="size-4"
          stroke="currentColor"
          fill={kept ? 'currentColor' : 'none'}
        >
          <path d="M3.5 1.5h9v13L8 10.8l-4.5 3.7z" strokeWidth="1.4" strokeLinejoin="round" />
        </svg>
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
            <Field label="Keep this page as" error={keep.error?.at('name')}>
              <Input value={name} onChange={(event) => setName(event.target.value)} />
            </Field>
            <ProblemNotice problem={keep.error ?? drop.error} shown={['name']} />
            <span className="flex gap-2">
              <Button type="submit" look="main" busy={keep.isPending}>
                {kept ? 'Rename' : 'Keep'}
              </Button>
              {kept && (
                <Button look="quiet" busy={drop.isPending} onClick={() => drop.mutate(kept.id)}>
                  Keep no longer
                </Button>
              )}
            </span>
          </form>
        </Popover.Content>
      </Popover.Portal>
    </Popover.Root>
  );
}
