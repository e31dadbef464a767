import { useQuery } from '@tanstack/react-query';
import { Link } from 'react-router';
import { queries } from '../lib/queries';

interface Props {
  name: string | null | undefined;
  /** What of their work it leads to: the changes that wait for them, or all open ones that involve them. */
  to?: 'waits_for' | 'person';
}

/** The name of a person, which leads to their work in the Register. A name that two share, or none has, stays words. */
export function Person({ name, to = 'person' }: Props) {
  const people = useQuery(queries.people()).data ?? [];
  if (name === null || name === undefined || name === '') return null;
  const known = people.filter((one) => one.name === name);
  return known.length === 1 ? (
    <Link
      to={`/register?${to}=${encodeURIComponent(known[0]?.login ?? '')}`}
      className="whitespace-nowrap underline-offset-3 hover:underline"
    >
      {name}
    </Link>
  ) : (
    <span className="whitespace-nowrap">{name}</span>
  );
}
