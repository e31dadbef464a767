import { useQuery } from '@tanstack/react-query';
import { Command } from 'cmdk';
import { Dialog } from 'radix-ui';
import { useState } from 'react';
import { useNavigate } from 'react-router';
import { placeOf } from './lib/places';
import { queries } from './lib/queries';
import { recents } from './lib/recent';
import { useMay } from './lib/session';

const row = 'flex gap-3 px-3 py-1.5 data-[selected=true]:bg-accent-soft cursor-pointer';
const group =
  '[&_[cmdk-group-heading]]:px-3 [&_[cmdk-group-heading]]:pt-2 [&_[cmdk-group-heading]]:text-sm [&_[cmdk-group-heading]]:text-soft';

/** Finds anything by its words or number, from any page. */
export function Palette({ open, onClose }: { open: boolean; onClose: () => void }) {
  const [words, setWords] = useState('');
  const navigate = useNavigate();
  const mayRaise = useMay('raise_request');
  const mayReport = useMay('report_problem');
  const mayAdd = useMay('add_item');
  const mayImport = useMay('import_data');
  const maySetUp = useMay('set_up');
  const asked = words.trim() !== '';
  const items = useQuery({ ...queries.items(words), enabled: open && asked });
  const changes = useQuery({ ...queries.changes({ show: 'all', words, priority: '' }), enabled: open && asked });
  const favourites = useQuery(queries.favourites());
  const go = (address: string) => {
    onClose();
    setWords('');
    void navigate(address);
  };
  const pages = [
    ['/', 'Desk'],
    ['/reports', 'Problem reports'],
    ['/register', 'Register'],
    ['/items', 'Items'],
    ['/meeting', 'Meeting of the board'],
    ['/compare', 'Compare structures'],
    ...(mayReport ? [['/reports/new', 'Report a problem']] : []),
    ...(mayRaise ? [['/requests/new', 'Raise a change request']] : []),
    ...(mayAdd ? [['/items/new', 'New item']] : []),
    ...(mayImport ? [['/import', 'Take over items and structures']] : []),
    ...(maySetUp
      ? [
          ['/set-up/categories', 'Set up categories and numbers'],
          ['/set-up/forms', 'Set up forms'],
        ]
      : []),
  ] as [string, string][];

  return (
    <Dialog.Root open={open} onOpenChange={(next) => !next && onClose()}>
      <Dialog.Portal>
        <Dialog.Overlay className="fixed inset-0 z-40 bg-ink/30" />
        <Dialog.Content
          aria-describedby={undefined}
          className="fixed top-20 left-1/2 z-50 w-[40rem] max-w-[95vw] -translate-x-1/2 border border-strong bg-sheet shadow-lg"
        >
          <Dialog.Title className="sr-only">Find</Dialog.Title>
          <Command shouldFilter={false} label="Find">
            <Command.Input
              value={words}
              onValueChange={setWords}
              placeholder="Number or words"
              className="h-11 w-full border-b border-strong bg-transparent px-3 outline-none placeholder:text-soft"
            />
            <Command.List className="max-h-96 overflow-y-auto pb-2">
              {!asked && (
                <>
                  <Command.Group heading="Pages" className={group}>
                    {pages.map(([address, label]) => (
                      <Command.Item key={address} value={address} onSelect={go} className={row}>
                        {label}
                      </Command.Item>
                    ))}
                  </Command.Group>
                  {(favourites.data ?? []).length > 0 && (
                    <Command.Group heading="Kept" className={group}>
                      {(favourites.data ?? []).map(({ id, address, name }) => (
                        <Command.Item key={id} value={`kept ${id}`} onSelect={() => go(address)} className={row}>
                          {name}
                        </Command.Item>
                      ))}
                    </Command.Group>
                  )}
                  <Command.Group heading="Opened lately" className={group}>
                    {recents().map(({ address, label }) => (
                      <Command.Item
                        key={address}
                        value={`recent ${address}`}
                        onSelect={() => go(address)}
                        className={row}
                      >
                        {label}
                      </Command.Item>
                    ))}
                  </Command.Group>
                </>
              )}
              {asked && (
                <>
                  <Command.Group heading="Changes" className={group}>
                    {(changes.data ?? []).slice(0, 6).map((change) => (
                      <Command.Item
                        key={change.number}
                        value={change.number}
                        onSelect={() => go(placeOf(change.number))}
                        className={row}
                      >
                        <span className="font-mono text-sm whitespace-nowrap">{change.number}</span>
                        <span className="truncate">{change.title}</span>
                      </Command.Item>
                    ))}
                  </Command.Group>
                  <Command.Group heading="Items" className={group}>
                    {(items.data ?? []).slice(0, 10).map((item) => (
                      <Command.Item
                        key={item.number}
                        value={item.number}
                        onSelect={() => go(`/items/${item.number}`)}
                        className={row}
                      >
                        <span className="font-mono text-sm whitespace-nowrap">{item.number}</span>
                        <span className="truncate">{item.title}</span>
                        <span className="ml-auto text-sm text-soft">{item.revision}</span>
                      </Command.Item>
                    ))}
                  </Command.Group>
                  {items.data?.length === 0 && changes.data?.length === 0 && (
                    <p className="px-3 py-2 text-soft">Nothing reads like “{words}”.</p>
                  )}
                </>
              )}
            </Command.List>
          </Command>
        </Dialog.Content>
      </Dialog.Portal>
    </Dialog.Root>
  );
}
