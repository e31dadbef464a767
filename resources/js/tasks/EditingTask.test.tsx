import { screen, waitFor, within } from '@testing-library/react';
import { describe, expect, it } from 'vitest';
import type { Schemas } from '../lib/api';
import { done } from '../testing/done';
import { Refused, server } from '../testing/server';
import { show } from '../testing/show';
import { stillEdited } from './EditedSubjects';
import { NewTask } from './NewTask';
import { TaskWork } from './TaskWork';

const editable: Schemas['EditableItem'][] = [
  { item: '200-0010', title: 'Pump head', outcome: 'revise' },
  { item: '200-0020', title: 'Motor', outcome: 'data' },
];

const open = () =>
  show(<NewTask change="ECO-00086" others={[]} editable={editable} mayWait={['review', 'release']} />, {
    at: '/changes/ECO-00086',
    path: '/changes/:number',
  });

const POST = 'POST /api/changes/ECO-00086/tasks';

describe('a task that is done by editing', () => {
  it('edits what is ticked of the items of its order, of one or of all', async () => {
    server.on('GET /api/favourites', []).on('GET /api/people', []).on('GET /api/groups', []).on(POST, done('T-00009'));
    const user = await open();
    await user.click(await screen.findByRole('button', { name: 'Add a task' }));
    const box = (name: string) => screen.getByRole('checkbox', { name });
    // What only gets other data has no structure to edit.
    expect(screen.queryByRole('checkbox', { name: 'Engineering of 200-0020' })).toBeNull();
    await user.click(box('Engineering of 200-0010'));
    await user.click(box('Item data of all items'));
    await user.click(box('Item data of 200-0010'));
    await user.type(screen.getByLabelText('What is to be done'), 'Second clamp');
    await user.click(screen.getByRole('button', { name: 'Create task' }));
    await waitFor(() => expect(server.asked(POST)).toHaveLength(1));
    expect((server.asked(POST)[0]?.body as Schemas['NewTask']).edits).toEqual([
      { item: '200-0010', kind: 'engineering', plant: '' },
      { item: '200-0020', kind: 'item_data', plant: '' },
    ]);
  });

  it('says at the grid what cannot be edited', async () => {
    server
      .on('GET /api/favourites', [])
      .on('GET /api/people', [])
      .on('GET /api/groups', [])
      .on(POST, new Refused(422, 'No.', { 'edits.0': ['200-0010 stays as it is under ECO-00086.'] }));
    const user = await open();
    await user.click(await screen.findByRole('button', { name: 'Add a task' }));
    await user.click(screen.getByRole('checkbox', { name: 'Engineering of 200-0010' }));
    await user.click(screen.getByRole('button', { name: 'Create task' }));
    const grid = screen.getByRole('group', { name: 'Edits on the order' });
    expect(await within(grid).findByText(/200-0010 stays as it is/)).toBeTruthy();
  });
});

it('leaves out what the order does not change any more', () => {
  const chosen = [
    { item: '200-0010', kind: 'engineering', plant: '' },
    { item: '200-0020', kind: 'engineering', plant: '' },
    { item: '200-0020', kind: 'item_data', plant: '' },
    { item: '200-0030', kind: 'item_data', plant: '' },
  ];
  expect(stillEdited(chosen, editable)).toEqual([chosen[0], chosen[2]]);
});

const work = (more: Partial<Schemas['TaskWorkPage']> = {}): Schemas['TaskWorkPage'] => ({
  subjects: [
    {
      item: '200-0010',
      title: 'Pump head',
      kind: 'manufacturing',
      plant: 'Weir',
      edits: 2,
      built_on: null,
      parts: [
        { action: 'change', called: 'line 20 200-0042', fields: [{ name: 'quantity', before: '2', after: '3' }] },
      ],
    },
  ],
  can_undo: true,
  can_redo: false,
  ...more,
});

const page = {
  task: { number: 'T-00009', change: 'ECO-00086' },
  edits: [{ item: '200-0010', kind: 'manufacturing', plant: 'Weir' }],
} as Schemas['TaskPage'];

describe('the work of a task', () => {
  const look = (answer: Schemas['TaskWorkPage']) => {
    server.on('GET /api/favourites', []).on('GET /api/tasks/T-00009/edits', answer);
    return show(<TaskWork page={page} />, { at: '/tasks/T-00009', path: '/tasks/:number' });
  };

  it('leads to what is edited, shows what was done, and takes all of it back', async () => {
    server.on('POST /api/tasks/T-00009/edits/undo', done('T-00009'));
    const user = await look(work());
    const link = await screen.findByRole('link', { name: 'manufacturing at Weir' });
    expect(link.getAttribute('href')).toBe('/orders/ECO-00086/build/200-0010/Weir');
    const done1 = await screen.findByRole('region', { name: 'Under this task, 200-0010 manufacturing at Weir' });
    expect(done1.textContent).toContain('2 edits');
    expect(done1.textContent).toContain('line 20 200-0042');
    await user.click(screen.getByRole('button', { name: 'Undo all of this task' }));
    await waitFor(() => expect(server.asked('POST /api/tasks/T-00009/edits/undo')).toHaveLength(1));
  });

  it('says where others have built on it', async () => {
    const [first] = work().subjects;
    if (first === undefined) throw new Error('There is one.');
    await look(work({ subjects: [{ ...first, built_on: 'There is no line 40.', parts: [] }], can_undo: false }));
    expect(await screen.findByText(/Others have built on these edits/)).toBeTruthy();
    expect(screen.queryByRole('button', { name: /Undo/ })).toBeNull();
  });
});
