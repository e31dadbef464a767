import { useQuery } from '@tanstack/react-query';
import { screen, waitFor } from '@testing-library/react';
import { describe, expect, it } from 'vitest';
import { done } from '../testing/done';
import { dossier } from '../testing/make';
import { Refused, server } from '../testing/server';
import { show } from '../testing/show';
import { api, told } from './api';
import { queries } from './queries';
import { touches } from './touches';
import { useAct } from './useAct';

const READ = 'GET /api/dossiers/ECR-00096';
const ACT = 'POST /api/requests/ECR-00096/finding';

function Harness() {
  const page = useQuery(queries.dossier('ECR-00096'));
  const record = useAct(
    touches.request,
    (finding: string) =>
      told(
        api.POST('/api/requests/{number}/finding', {
          params: { path: { number: 'ECR-00096' } },
          body: { finding, version: page.data?.requests[0]?.version ?? 0 },
        }),
      ),
    undefined,
    'ECR-00096',
  );
  return (
    <>
      <p>version {page.data?.requests[0]?.version}</p>
      <button onClick={() => record.mutate('First.')}>First</button>
      <button onClick={() => record.mutate('Second.')}>Second</button>
      {record.error && <p role="alert">{record.error.message}</p>}
    </>
  );
}

async function harness() {
  let version = 3;
  server.on(READ, () => {
    const of = dossier('assess');
    return { ...of, requests: of.requests.map((one) => ({ ...one, version })) };
  });
  server.on(ACT, () => {
    version += 1;
    return dossier('assess');
  });
  const user = await show(<Harness />);
  await screen.findByText('version 3');
  return user;
}

describe('something a person does', () => {
  it('is followed by reading anew what it may have changed', async () => {
    const user = await harness();
    await user.click(screen.getByRole('button', { name: 'First' }));
    expect(await screen.findByText('version 4')).toBeTruthy();
    expect(server.asked(READ)).toHaveLength(2);
  });

  it('leaves alone what it does not touch', async () => {
    server.on('GET /api/dossiers/ECR-00096', dossier('assess'));
    server.on('GET /api/kinds', []);
    server.on('POST /api/reports', done('PR-00001', 1));
    function Untouched() {
      useQuery(queries.kinds());
      useQuery(queries.dossier('ECR-00096'));
      const raise = useAct(touches.meeting, () => told(api.POST('/api/reports', { body: {} as never })));
      return <button onClick={() => raise.mutate()}>Raise</button>;
    }
    const user = await show(<Untouched />);
    await waitFor(() => expect(server.asked('GET /api/kinds')).toHaveLength(1));
    await user.click(screen.getByRole('button', { name: 'Raise' }));
    await waitFor(() => expect(server.asked('GET /api/dossiers/ECR-00096')).toHaveLength(2));
    expect(server.asked('GET /api/kinds')).toHaveLength(1);
  });

  it('touches areas that there are queries of', () => {
    const keys: (readonly unknown[])[] = [
      queries.cutIns('').queryKey,
      queries.desk().queryKey,
      queries.dossier('').queryKey,
      queries.forms('').queryKey,
      queries.imports().queryKey,
      queries.item('').queryKey,
      queries.meeting().queryKey,
      queries.money('').queryKey,
      queries.categories().queryKey,
      queries.choices().queryKey,
      queries.responsible().queryKey,
      queries.kinds().queryKey,
      queries.plants().queryKey,
      queries.formTemplates().queryKey,
      queries.favourites().queryKey,
      queries.review('').queryKey,
      queries.oldDocuments('', {}).queryKey,
      queries.handovers().queryKey,
      queries.packages('').queryKey,
      queries.sheetAddress('').queryKey,
      queries.sheetMarks('').queryKey,
      queries.questions('').queryKey,
      queries.reach('', '').queryKey,
      queries.changes({}).queryKey,
      queries.report('').queryKey,
      queries.exposure([]).queryKey,
      queries.references('').queryKey,
      queries.task('').queryKey,
      queries.groups().queryKey,
      queries.webhooks().queryKey,
      queries.approvalPaths().queryKey,
      queries.absences().queryKey,
      queries.notices({}).queryKey,
      queries.noticePaces().queryKey,
      queries.watch('').queryKey,
      queries.discussion('').queryKey,
      queries.calendar().queryKey,
      queries.changeNotice('').queryKey,
      queries.distributionLists().queryKey,
      queries.accounts().queryKey,
      queries.separation().queryKey,
      queries.secondFactor().queryKey,
      queries.signIns().queryKey,
      queries.tokens().queryKey,
      queries.roles().queryKey,
      queries.people().queryKey,
      queries.me().queryKey,
    ];
    const areas = new Set(keys.map(([area]) => area));
    expect(
      Object.values(touches)
        .flat()
        .filter((area) => !areas.has(area)),
    ).toEqual([]);
  });

  it('shows what there is now when somebody else was quicker', async () => {
    const user = await harness();
    server.on(ACT, new Refused(409, 'Helen Marsh has changed it meanwhile.'));
    server.on(READ, {
      ...dossier('assess'),
      requests: dossier('assess').requests.map((one) => ({ ...one, version: 9 })),
    });
    await user.click(screen.getByRole('button', { name: 'First' }));
    expect((await screen.findByRole('alert')).textContent).toBe('Helen Marsh has changed it meanwhile.');
    expect(await screen.findByText('version 9')).toBeTruthy();
  });

  it('reads nothing anew when it was only refused', async () => {
    const user = await harness();
    server.on(ACT, new Refused(422, 'Say something.'));
    await user.click(screen.getByRole('button', { name: 'First' }));
    await screen.findByRole('alert');
    expect(server.asked(READ)).toHaveLength(1);
  });

  it('waits for the act before it, where both are on the same thing', async () => {
    const user = await harness();
    let first: (answer: object) => void = () => undefined;
    server.on(ACT, () => new Promise((done) => (first = done)));
    await user.click(screen.getByRole('button', { name: 'First' }));
    await user.click(screen.getByRole('button', { name: 'Second' }));
    await waitFor(() => expect(server.asked(ACT)).toHaveLength(1));
    server.on(ACT, done('ECR-00096'));
    first(dossier('assess'));
    await waitFor(() => expect(server.asked(ACT)).toHaveLength(2));
    expect(server.asked(ACT)[1]?.body).toMatchObject({ finding: 'Second.' });
  });
});
