import { Link } from 'react-router';
import { api, told, type Schemas } from '../lib/api';
import { touches } from '../lib/touches';
import { useAct } from '../lib/useAct';
import { PlantAccounts } from '../manufacturing/PlantAccounts';
import { useQuery } from '@tanstack/react-query';
import { queries } from '../lib/queries';
import { SubjectList } from '../orders/SubjectList';
import { Button } from '../ui/Button';
import { ItemPicker } from '../ui/ItemPicker';
import { ProblemNotice } from '../ui/Notice';

/** As high as what is pressed has to be, also where several stand below each other. */
const across = 'inline-flex min-h-6 items-center text-accent underline-offset-3 hover:underline';

/** The lines that a request proposes: edited like those of an order, by its author, until the board has decided. */
export function Proposal({ proposal }: { proposal: Schemas['Proposal'] }) {
  const { request, items, may_propose: mine } = proposal;
  const params = { path: { number: request } };
  const open = useAct(touches.request, (further: string[]) =>
    told(api.POST('/api/requests/{number}/proposal', { params, body: { items: further } })),
  );
  const drop = useAct(touches.request, () => told(api.DELETE('/api/requests/{number}/proposal', { params })));
  const begun = items.length > 0;
  if (!begun && !mine) return null;
  const edited = items.some(({ changes }) => changes > 0);
  return (
    <section aria-label={`Lines proposed by ${request}`} className="space-y-2">
      <h3>Proposed lines</h3>
      {!begun && (
        <p className="max-w-3xl">
          Say line by line what you have in mind. The board sees it before and after, with what it costs; the order
          carries it over.
        </p>
      )}
      {begun && <SubjectList of={request} items={items} mine={mine} />}
      {begun && <Plants of={request} />}
      {begun && (
        <p className="flex flex-wrap gap-x-6">
          <Link to={`/orders/${request}/worksheet`} className={across}>
            Worksheet: all lines in one table
          </Link>
          {mine && (
            <Link to={`/orders/${request}/replace`} className={across}>
              Replace a component in all its parents
            </Link>
          )}
          {mine && (
            <Link to={`/orders/${request}/model`} className={across}>
              Take over a design model
            </Link>
          )}
          <Link to={`/orders/${request}/review`} className={across}>
            All of it before and after
          </Link>
        </p>
      )}
      <ProblemNotice problem={open.error ?? drop.error} />
      {mine && (
        <div className="flex flex-wrap items-center gap-4">
          {proposal.names_more && (
            <Button busy={open.isPending} onClick={() => open.mutate([])}>
              {begun ? 'Open the items named since' : 'Propose lines'}
            </Button>
          )}
          {begun && (
            <ItemPicker
              label="Open another item"
              placeholder="Open another item"
              className="w-80"
              onPick={(item) => open.mutate([item.number])}
            />
          )}
          {begun && !edited && (
            <Button look="quiet" busy={drop.isPending} onClick={() => drop.mutate(undefined)}>
              Propose no lines
            </Button>
          )}
        </div>
      )}
    </section>
  );
}

function Plants({ of }: { of: string }) {
  const plants = useQuery(queries.orderAccountability(of));
  return plants.data && plants.data.length > 0 ? <PlantAccounts order={of} rows={plants.data} /> : null;
}
