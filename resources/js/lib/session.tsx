import { useQuery } from '@tanstack/react-query';
import { createContext, useContext, type ReactNode } from 'react';
import type { Schemas } from './api';
import { takeChoices } from './choices';
import { queries } from './queries';
import { takeSettings } from './settings';
import { keepFor } from './storage';
import { tableLayouts } from './tableLayouts';

const Session = createContext<Schemas['Me'] | null>(null);

/** Who is signed in. Nothing below is shown to anybody else. */
export function SessionGate({ children, otherwise }: { children: ReactNode; otherwise: ReactNode }) {
  const me = useQuery(queries.me());
  const choices = useQuery({ ...queries.choices(), enabled: me.data !== undefined });
  if (me.isPending) return null;
  if (!me.data) return otherwise;
  if (choices.isPending) return null;
  // Before anything below reads what it kept.
  keepFor(me.data.login);
  takeSettings(me.data.settings);
  takeChoices(choices.data ?? []);
  tableLayouts.take(me.data.table_layouts);
  return <Session value={me.data}>{children}</Session>;
}

export function useMe(): Schemas['Me'] {
  const me = useContext(Session);
  if (me === null) throw new Error('Nobody is signed in here.');
  return me;
}

/** Whether the person may do something. The server decides again at every act. */
export function useMay(ability: string): boolean {
  return useMe().abilities.includes(ability);
}
