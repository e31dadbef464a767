import { describe, expect, it } from 'vitest';
import { Later, Refused, server } from '../testing/server';
import { api, ApiProblem, told } from './api';

describe('what the server says', () => {
  it('is the data when it could do it', async () => {
    server.on('GET /api/reports', [{ number: 'PR-00001' }]);
    expect(await told(api.GET('/api/reports'))).toMatchObject({ total: 1, rows: [{ number: 'PR-00001' }] });
  });

  it('is a problem with a reason for each place when it refused', async () => {
    server.on('GET /api/reports', new Refused(422, 'No.', { words: ['Too long.', 'Much too long.'] }));
    const problem = await told(api.GET('/api/reports')).catch((error: unknown) => error);
    expect(problem).toBeInstanceOf(ApiProblem);
    expect((problem as ApiProblem).status).toBe(422);
    expect((problem as ApiProblem).at('words')).toBe('Too long. Much too long.');
    expect((problem as ApiProblem).at('items')).toBeUndefined();
  });

  it('is a problem in words when it cannot be reached', async () => {
    server.on('GET /api/reports', () => {
      throw new TypeError('Failed to fetch');
    });
    const problem = await told(api.GET('/api/reports')).catch((error: unknown) => error);
    expect((problem as ApiProblem).status).toBe(0);
    expect((problem as ApiProblem).message).toContain('What you typed is still here');
  });

  it('is fetched where it will be, while a worker reads a file', async () => {
    let asked = 0;
    server
      .on('POST /api/comparison-files', new Later('7'))
      .on('GET /api/readings/7', () => (++asked < 3 ? new Later('7') : { id: 'c', name: 'theirs.csv', parents: [] }));
    const kept = await told(api.POST('/api/comparison-files', { body: { file: '' } }));
    expect(kept.name).toBe('theirs.csv');
    expect(asked).toBe(3);
    server.on('GET /api/readings/7', new Refused(422, 'No.', { file: ['Empty.'] }));
    const problem = await told(api.POST('/api/comparison-files', { body: { file: '' } })).catch(
      (error: unknown) => error,
    );
    expect((problem as ApiProblem).at('file')).toBe('Empty.');
  });
});
