import { useQuery, useQueryClient } from '@tanstack/react-query';
import { queries } from '../lib/queries';
import { useMe } from '../lib/session';
import { Door } from '../ui/Door';
import { Button } from '../ui/Button';
import { SecondFactor } from './SecondFactor';

/** Stands in place of every page for whom a role asks for a second factor, until they have one. */
export function SecondFactorFirst() {
  const client = useQueryClient();
  const me = useMe();
  const on = useQuery(queries.secondFactor()).data?.on === true;
  return (
    <Door title="Second factor">
      <p className="mb-4 text-soft">Signed in as {me.name}.</p>
      <SecondFactor />
      {on && (
        <Button look="main" className="mt-4" onClick={() => void client.invalidateQueries()}>
          Go on
        </Button>
      )}
    </Door>
  );
}
