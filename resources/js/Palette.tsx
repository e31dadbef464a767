import { useQuery, useQueryClient } from '@tanstack/react-query';
import { Command } from 'cmdk';
import { useRef, useState, type ReactNode } from 'react';
import { useNavigate } from 'react-router';
import type { Schemas } from './lib/api';
import { placeOf } from './lib/places';
import { queries } from './lib/queries';
import { recents } from './lib/recent';
import { useMay } from './lib/session';
import { Dialog } from './ui/Dialog';

const look = 'target flex gap-3 px-3 py-1.5 data-[selected=true]:bg-accent-soft cursor-pointer';
const group =
  '[&_[cmdk-group-heading]]:px-3 [&_[cmdk-group-heading]]:pt-2 [&_[cmdk-group-heading]]:text-sm [&_[cmdk-group-heading]]:text-soft';

interface Entry {
  address: string;
  /** What names it exactly. */
  number: string;
  shown: ReactNode;
}

/** Finds anything by its words or number, from any page. Enter waits for the answer to the very words; an exact number wins. */
export function Palette({ open, onClose }: { open: boolean; onClose: () => void }) {
  return (
    <Dialog open={open} onClose={onClose} title="Find" titleHidden className="">
      <Finder onClose={onClose} />
    </Dialog>
  );
}

function Finder({ onClose }: { onClose: () => void }) {
  const [words, setWords] = useState('');
  const [chosen, setChosen] = useState('');
  const turn = useRef(0);
  const client = useQueryClient();
  const navigate = useNavigate();
  const asked = words.trim();
  const items = useQuery({ ...queries.itemsNamed(asked), enabled: asked !== '' });
  const changes = useQuery({ ...queries.changesNamed(asked, [], 'all'), enabled: asked !== '' });
  const favourites = useQuery(queries.favourites());
  const pages = usePages();
  const fresh = items.data !== undefined && changes.data !== undefined;
  const go = (address: string) => {
    turn.current++;
    onClose();
    void navigate(address);
  };
  const found = ranked(asked, items.data?.rows ?? [], changes.data?.rows ?? []);
  const all = [...found.exact, ...found.items, ...found.changes];
  const first = all[0]?.address ?? '';
  // What is selected is always one of what is found: the best of it, until the arrows choose another.
  const selected = asked === '' ? chosen || '/' : all.some(({ address }) => address === chosen) ? chosen : first;

  /** Goes to what is meant, as soon as the server has answered to just these words. */
  const open = async () => {
    const mine = ++turn.current;
    const [itemRows, changeRows] = await Promise.all([
      client.query({ ...queries.itemsNamed(asked), staleTime: 5_000 }),
      client.query({ ...queries.changesNamed(asked, [], 'all'), staleTime: 5_000 }),
    ]);
    if (turn.current !== mine) return;
    const best = ranked(asked, itemRows.rows, changeRows.rows);
    const meant = best.exact[0] ?? best.items[0] ?? best.changes[0];
    if (meant) go(meant.address);
  };

  const entries = (heading: string, rows: Entry[]) =>
    rows.length > 0 && (
      <Command.Group heading={heading} className={group}>
        {rows.map(({ address, shown }) => (
          <Command.Item key={address} value={address} onSelect={() => go(address)} className={look}>
            {shown}
          </Command.Item>
        ))}
      </Command.Group>
    );
  const hint = items.data?.hint;
  return (
    <Command shouldFilter={false} label="Find" value={selected} onValueChange={setChosen}>
      <Command.Input
        value={words}
        onValueChange={(next) => {
          turn.current++;
          setChosen('');
          setWords(next);
        }}
        onKeyDown={(event) => {
          if (event.key !== 'Enter' || asked === '') return;
          // What the arrows chose of what is there is meant; all else waits for the answer.
          if (fresh && chosen !== '' && selected === chosen) return;
          event.preventDefault();
          event.stopPropagation();
          void open();
        }}
        placeholder="Number or words"
        className="h-11 w-full border-b border-strong bg-transparent px-3 outline-none placeholder:text-soft"
      />
      <Command.List className="max-h-[60vh] overflow-y-auto pb-2">
        {asked === '' ? (
          <>
            {entries('Pages', pages)}
            {entries(
              'Saved views',
              (favourites.data ?? []).map(({ address, name }) => ({ address, number: name, shown: name })),
            )}
            {entries(
              'Recently opened',
              recents().map(({ address, label }) => ({ address, number: label, shown: label })),
            )}
          </>
        ) : (
          <>
            {entries('Exact number', found.exact)}
            {entries('Items', found.items)}
            {entries('Changes', found.changes)}
            {fresh && first === '' && (
              <p className="px-3 py-2 text-soft">
                No match for “{asked}”. {hint}
              </p>
            )}
          </>
        )}
      </Command.List>
    </Command>
  );
}

/** What was found, the exact number first of all. */
function ranked(asked: string, items: Schemas['ItemRow'][], changes: Schemas['ChangeRow'][]) {
  const row = (address: string, number: string, title: string, more: string | null): Entry => ({
    address,
    number,
    shown: (
      <>
        <span className="font-mono text-sm whitespace-nowrap">{number}</span>
        <span className="truncate">{title}</span>
        {more !== null && <span className="ml-auto text-sm text-soft">{more}</span>}
      </>
    ),
  });
  const itemRows = items.map((item) => row(`/items/${item.number}`, item.number, item.title, item.revision));
  const changeRows = changes.map((change) => row(placeOf(change.number), change.number, change.title, null));
  const isExact = ({ number }: Entry) => number.toLowerCase() === asked.toLowerCase();
  return {
    exact: [...itemRows, ...changeRows].filter(isExact),
    items: itemRows.filter((one) => !isExact(one)).slice(0, 10),
    changes: changeRows.filter((one) => !isExact(one)).slice(0, 6),
  };
}

/** The pages there are for this person. */
function usePages(): Entry[] {
  const mayRaise = useMay('raise_request');
  const mayOrder = useMay('raise_order');
  const mayReport = useMay('report_problem');
  const mayAdd = useMay('add_item');
  const mayImport = useMay('import_data');
  const maySetUp = useMay('set_up');
  const mayManage = useMay('manage_people');
  const mayAudit = useMay('read_ledger');
  const mayConnect = useMay('connect_systems');
  const pages: [string, string, boolean][] = [
    ['/', 'Desk', true],
    ['/reports', 'Problem reports', true],
    ['/register', 'Register', true],
    ['/items', 'Items', true],
    ['/meeting', 'Change board meeting', true],
    ['/compare', 'Compare structures', true],
    ['/cut-ins', 'Cut-ins, planned and actual', true],
    ['/hand-overs', 'Hand-overs to planning', true],
    ['/ledger', 'Ledger', mayAudit],
    ['/reports/new', 'Report a problem', mayReport],
    ['/requests/new', 'Raise a change request', mayRaise],
    ['/orders/new', 'Raise a change order', mayOrder],
    ['/items/new', 'New item', mayAdd],
    ['/import', 'Import items and structures', mayImport],
    ['/set-up/categories', 'Set up categories and numbers', maySetUp],
    ['/set-up/choices', 'Set up sites, reasons, sources, functions and records', maySetUp],
    ['/notices', 'Notices', true],
    ['/account', 'Your account: password, second factor, sign-ins, tokens', true],
    ['/absences', 'Absences and deputies', true],
    ['/set-up/paths', 'Set up approval paths', maySetUp],
    ['/set-up/responsible', 'Set up who is responsible', maySetUp],
    ['/set-up/distribution', 'Set up distribution of change notices', maySetUp],
    ['/set-up/people', 'Set up people', mayManage],
    ['/set-up/roles', 'Set up roles and rights', mayManage],
    ['/set-up/duties', 'Set up separation of duties', mayManage],
    ['/set-up/groups', 'Set up groups of people', maySetUp],
    ['/set-up/plants', 'Set up plants and work centres', maySetUp],
    ['/set-up/webhooks', 'Set up webhooks', mayConnect],
    ['/set-up/hand-over-profiles', 'Set up hand-over profiles', mayConnect],
    ['/set-up/forms', 'Set up forms', maySetUp],
  ];
  return pages.filter(([, , may]) => may).map(([address, label]) => ({ address, number: label, shown: label }));
}
