import { useQuery } from '@tanstack/react-query';
import { queries } from '../lib/queries';

/** Whom something can be sent to, by the names that the server takes: groups that have people, then people. */
export function useRecipients(): Record<string, string> {
  const people = useQuery(queries.people()).data ?? [];
  const groups = useQuery(queries.groups()).data ?? [];
  return {
    ...Object.fromEntries(
      groups
        .filter(({ retired, members }) => !retired && members.length > 0)
        .map(({ code, name, members }) => [`group:${code}`, `${name} (group of ${members.length})`]),
    ),
    ...Object.fromEntries(people.map(({ login, name }) => [login, name])),
  };
}
