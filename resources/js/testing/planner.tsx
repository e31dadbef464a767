import { screen } from '@testing-library/react';
import { CutInPage } from '../cutin/CutInPage';
import type { Schemas } from '../lib/api';
import { on, plan, type Plan } from './cutIn';
import { request } from './make';
import { server } from './server';
import { mira, show } from './show';

export const swaps = [{ gone: ['200-0040'], come: [{ item: '200-0041' }] }];
export const chosen: Schemas['CutInChosen'] = {
  id: 7,
  to_do: [],
  at_plants: [],
  fault: '',
  best_on: null,
  outcomes: [],
  chosen_on: on(4),
  reason: 'The gauge is there by then.',
  by: 'Mira Okafor',
  at: '2026-11-24T10:00:00+00:00',
  total: '115.00',
  asked: { swaps },
};
export const toDo: Schemas['CutInToDo'][] = [
  {
    plant: 'Weir',
    kind: 'order',
    what: 'Order the new part',
    by: on(1),
    item: '200-0041',
    document: '',
    quantity: '20',
    unit: 'm',
    for: on(5),
  },
  { plant: '', kind: 'cut_in', what: 'Cut in', by: on(5), item: '', document: '', quantity: '', unit: '', for: null },
];

export const hinges: Schemas['CutInHinge'][] = [
  { guess: 'stock', item: '200-0040', day_less: -4, day_more: 3, cost_less: '-10.00', cost_more: '8.00' },
  { guess: 'lead_time', item: '200-0041', day_less: 0, day_more: null, cost_less: '0.00', cost_more: '0.00' },
];

interface Setting {
  answer?: Plan;
  state?: Schemas['RequestData']['state'];
  earlier?: Schemas['CutInChosen'][];
  as?: Schemas['Me'];
}

/** Somebody at the planner, with its first answer on screen. */
export async function planner({ answer = plan(), state = 'assessing', earlier = [], as }: Setting = {}) {
  localStorage.setItem(
    `${(as ?? mira).login}:draft:cut-in plan ECR-00096`,
    JSON.stringify({ base: '', value: { question: { swaps } } }),
  );
  server
    .on('GET /api/favourites', [])
    .on('GET /api/dossiers/ECR-00096', { requests: [request({ state })], handovers: [] })
    .on('GET /api/requests/ECR-00096/cut-in', { read_off: 'order', swaps: [], more: 0 })
    .on('GET /api/requests/ECR-00096/cut-ins', earlier)
    .on('POST /api/cut-in/to-do', toDo)
    .on('POST /api/cut-in/hinges', hinges)
    .on('POST /api/cut-in', answer);
  const user = await show(<CutInPage />, { at: '/changes/ECR-00096/cut-in', path: '/changes/:number/cut-in', as });
  await screen.findByRole('slider', { name: 'Day to cut in' });
  return user;
}

/** The planner as it begins by itself, with nothing left from before. */
export async function started(start: Schemas['CutInStart']) {
  server
    .on('GET /api/favourites', [])
    .on('GET /api/dossiers/ECR-00096', { requests: [request({ state: 'assessing' })], handovers: [] })
    .on('GET /api/requests/ECR-00096/cut-in', start)
    .on('GET /api/requests/ECR-00096/cut-ins', [])
    .on('POST /api/cut-in/to-do', toDo)
    .on('POST /api/cut-in/hinges', hinges)
    .on('POST /api/cut-in', plan());
  await show(<CutInPage />, { at: '/changes/ECR-00096/cut-in', path: '/changes/:number/cut-in' });
}

export const slider = () => screen.getByRole('slider', { name: 'Day to cut in' });
export const lastAsked = () => server.asked('POST /api/cut-in').at(-1)?.body;
