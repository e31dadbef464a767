import { useQuery } from '@tanstack/react-query';
import { screen, waitFor } from '@testing-library/react';
import { describe, expect, it } from 'vitest';
import { queries } from '../lib/queries';
import { Refused, server } from '../testing/server';
import { show } from '../testing/show';
import { Loading } from './Loading';

function Names() {
  const people = useQuery(queries.people());
  return <Loading query={people}>{(rows) => <p>{rows.map(({ name }) => name).join(', ')}</p>}</Loading>;
}

describe('a question to the server', () => {
  it('says that it is under way, then what was answered', async () => {
    let answer: (rows: object) => void = () => undefined;
    server.on('GET /api/people', () => new Promise((done) => (answer = done)));
    await show(<Names />);
    expect(screen.getByRole('status').textContent).toBe('Loading …');
    await waitFor(() => expect(server.asked('GET /api/people')).toHaveLength(1));
    answer([{ login: 'nils', name: 'Nils Aarden', roles: [] }]);
    expect(await screen.findByText('Nils Aarden')).toBeTruthy();
    expect(screen.queryByText('Loading …')).toBeNull();
  });

  it('says why it failed, in the words of the server, and asks again on demand', async () => {
    server.on('GET /api/people', new Refused(403, 'This is for people who are signed in.'));
    const user = await show(<Names />);
    expect((await screen.findByRole('alert')).textContent).toContain('This is for people who are signed in.');
    server.on('GET /api/people', [{ login: 'petra', name: 'Petra Quist', roles: [] }]);
    await user.click(screen.getByRole('button', { name: 'Try again' }));
    expect(await screen.findByText('Petra Quist')).toBeTruthy();
  });
});
