import { useQuery } from '@tanstack/react-query';
import type { Schemas } from '../lib/api';
import { queries } from '../lib/queries';
import { states } from '../lib/words';
import { ChangeNumber } from '../ui/Num';
import { Notice } from '../ui/Notice';

type Dependence = Schemas['Dependence'];

const named = (one: Dependence) => (
  <>
    <ChangeNumber number={one.order} /> {one.title} ({states[one.state]})
  </>
);

/** Which other open orders have to be released before, wait for this one, or edit the same lines; and in which order all can go. */
export function Dependences({ order }: { order: string }) {
  const dependences = useQuery(queries.dependences(order));
  const page = dependences.data;
  if (page === undefined || page.needs.length + page.needed_by.length + page.same_lines.length === 0) return null;
  return (
    <Notice look={page.circle.length > 0 ? 'alarm' : 'warn'}>
      {page.needs.map((one) => (
        <p key={`needs ${one.order}`}>
          Uses {one.of.join(', ')}, first released by {named(one)}.
        </p>
      ))}
      {page.needed_by.map((one) => (
        <p key={`needed ${one.order}`}>
          {named(one)} uses {one.of.join(', ')}, first released here.
        </p>
      ))}
      {page.before.length > 0 && <p>Order of release that works: {[...page.before, order].join(', then ')}.</p>}
      {page.circle.length > 0 && (
        <p>
          No order of release works: {page.circle.join(' waits for ')}. Put what they need of each other on one order.
        </p>
      )}
      {page.same_lines.map((one) => (
        <p key={`same ${one.order}`}>
          {named(one)} edits the same lines: {one.of.join('; ')}.
        </p>
      ))}
    </Notice>
  );
}
