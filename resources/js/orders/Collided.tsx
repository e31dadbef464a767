import type { Schemas } from '../lib/api';
import { states } from '../lib/words';
import { ChangeNumber } from '../ui/Num';
import { Notice } from '../ui/Notice';

/** Says which other open orders revise the same items. */
export function Collided({ collisions }: { collisions: Schemas['Collision'][] }) {
  if (collisions.length === 0) return null;
  return (
    <Notice look="warn">
      {collisions.map((collision) => (
        <p key={collision.order}>
          <ChangeNumber number={collision.order} /> {collision.title} ({states[collision.state]}) revises{' '}
          {collision.items.join(', ')} too. Whichever is released second must merge the newer revision in first.
        </p>
      ))}
    </Notice>
  );
}
