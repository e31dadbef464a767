import { QueryClient, QueryClientProvider } from '@tanstack/react-query';
import { render, screen } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import type { ReactNode } from 'react';
import { MemoryRouter, Route, Routes, useLocation } from 'react-router';
import type { Schemas } from '../lib/api';
import { SessionGate } from '../lib/session';
import { server } from './server';

const settings: Schemas['Settings'] = { locale: 'en-GB', currency: 'EUR', time_zone: 'UTC', languages: ['en', 'de'] };

export const mira: Schemas['Me'] = {
  settings,
  login: 'mira.okafor',
  name: 'Mira Okafor',
  roles: ['coordinator'],
  lacks_second_factor: false,
  table_layouts: {},
  abilities: ['assess_request', 'decide_request', 'report_problem', 'raise_request', 'plan_order'],
};

const choice = (list: Schemas['ChoiceRow']['list'], code: string, name: string): Schemas['ChoiceRow'] => ({
  list,
  code,
  name,
  retired: false,
  version: 1,
});

/** As the demo has them. */
export const choices = [
  choice('site', 'Tarn', 'Tarn, final assembly'),
  choice('site', 'Weir', 'Weir, electronics and pumps'),
  choice('reason', 'defect', 'Defect'),
  choice('reason', 'safety', 'Safety'),
  choice('reason', 'cost_saving', 'Cost saving'),
  choice('reason', 'end_of_life', 'End of life'),
  choice('reason', 'improvement', 'Improvement'),
  choice('source', 'field', 'Field'),
  choice('source', 'shop_floor', 'Shop floor'),
  choice('source', 'supplier', 'Supplier'),
  choice('source', 'audit', 'Audit'),
  choice('function', 'design', 'Design'),
  choice('function', 'manufacturing', 'Manufacturing'),
  choice('function', 'purchasing', 'Purchasing'),
  choice('function', 'quality', 'Quality'),
  choice('function', 'service', 'Service'),
  choice('function', 'finance', 'Finance'),
  choice('record', 'complaint', 'Complaint'),
  choice('record', 'project', 'Project'),
];

/** Somebody who reads and does nothing. */
export const vera: Schemas['Me'] = {
  settings,
  login: 'vera.stone',
  name: 'Vera Stone',
  roles: ['viewer'],
  lacks_second_factor: false,
  table_layouts: {},
  abilities: [],
};

interface Place {
  /** The address it is shown at, and the pattern it stands under. */
  at?: string;
  path?: string;
  as?: Schemas['Me'];
}

/** Shows a component as a signed-in person sees it. What it asks the server for, the test has said before. */
export async function show(what: ReactNode, { at = '/', path = '*', as = mira }: Place = {}) {
  server.on('GET /api/session', as).orElse('GET /api/people', []).orElse('GET /api/choices', choices);
  for (const order of ['ECO-00086', 'ECO-00090', 'ECR-00096'])
    server.orElse(`GET /api/orders/${order}/at-work`, { state: '', others: [] });
  const client = new QueryClient({ defaultOptions: { queries: { retry: false }, mutations: { retry: false } } });
  render(
    <QueryClientProvider client={client}>
      <SessionGate otherwise={<p>Nobody is signed in.</p>}>
        <MemoryRouter initialEntries={[at]}>
          <Routes>
            <Route path={path} element={what} />
            <Route path="*" element={<p>Went elsewhere.</p>} />
          </Routes>
          <Whereabouts />
        </MemoryRouter>
      </SessionGate>
    </QueryClientProvider>,
  );
  await screen.findByTestId('address');
  return userEvent.setup();
}

function Whereabouts() {
  const { pathname, search } = useLocation();
  return <span data-testid="address" hidden>{`${pathname}${search}`}</span>;
}

/** Where the person is now. */
export function address(): string {
  return screen.getByTestId('address').textContent;
}

/** Chooses from the list of a label. */
export async function choose(user: ReturnType<typeof userEvent.setup>, label: string, option: string): Promise<void> {
  await user.click(screen.getByRole('combobox', { name: label }));
  await user.click(await screen.findByRole('option', { name: option }));
}
