import { screen, waitFor } from '@testing-library/react';
import { describe, expect, it } from 'vitest';
import { done } from '../testing/done';
import { change, report, request } from '../testing/make';
import { Refused, server } from '../testing/server';
import { address, show, vera } from '../testing/show';
import { GatherRequests } from './GatherRequests';

const open = () =>
  server.on('GET /api/changes', [
    change('ECR-00096', 'Pump tube wears out early'),
    change('ECR-00095', 'Second source'),
    change('ECR-00094', 'Display fades', { state: 'approved' }),
    change('ECO-00089', 'Strainer'),
  ]);

describe('gathering and splitting requests', () => {
  it('offers only requests that are not decided, and not itself', async () => {
    open();
    const user = await show(<GatherRequests request={request()} />);
    await user.click(screen.getByText('Gather with another request, or split'));
    expect(server.asked('GET /api/changes').length).toBe(0);
    await user.type(screen.getByRole('combobox', { name: 'Request to gather into ECR-00096' }), 's');
    expect((await screen.findAllByRole('option')).map((one) => one.textContent)).toEqual([
      expect.stringContaining('ECR-00095Second source'),
      expect.stringContaining('ECO-00089'),
    ]);
    expect(server.asked('GET /api/changes')[0]?.query).toMatchObject({ show: 'open', words: 's', type: 'request' });
  });

  it('gathers one in with the version that was seen', async () => {
    open();
    const user = await show(<GatherRequests request={request()} />);
    await user.click(screen.getByText('Gather with another request, or split'));
    await user.type(screen.getByRole('combobox', { name: 'Request to gather into ECR-00096' }), 'ECR-00095{Enter}');
    expect(await screen.findByRole('button', { name: 'Remove ECR-00095' })).toBeTruthy();
    server.on('POST /api/requests/ECR-00096/gathering', done('ECR-00096'));
    await user.click(screen.getByRole('button', { name: 'Gather' }));
    await waitFor(() =>
      expect(server.asked('POST /api/requests/ECR-00096/gathering')[0]?.body).toEqual({
        requests: ['ECR-00095'],
        version: 3,
      }),
    );
  });

  it('splits some items off into a new request and goes there', async () => {
    open();
    const user = await show(<GatherRequests request={request({ reports: [report('PR-00001', 'Torn')] })} />);
    await user.click(screen.getByText('Gather with another request, or split'));
    server.on('POST /api/requests/ECR-00096/split', new Refused(422, 'No.', { items: ['One has to stay.'] }));
    await user.click(screen.getByRole('checkbox', { name: '200-0010' }));
    await user.click(screen.getByRole('button', { name: 'Split' }));
    expect(await screen.findByText(/One has to stay/)).toBeTruthy();
    server.on('POST /api/requests/ECR-00096/split', done('ECR-00101', 1));
    await user.type(screen.getByLabelText('Title of the new request'), 'Roller gap');
    await user.click(screen.getByRole('checkbox', { name: 'PR-00001' }));
    await user.click(screen.getByRole('button', { name: 'Split' }));
    await waitFor(() => expect(address()).toBe('/changes/ECR-00101'));
    expect(server.asked('POST /api/requests/ECR-00096/split')[1]?.body).toEqual({
      title: 'Roller gap',
      items: ['200-0010'],
      reports: ['PR-00001'],
      version: 3,
    });
  });

  it('cannot split what has one item only', async () => {
    open();
    await show(<GatherRequests request={request({ items: request().items.slice(0, 1) })} />);
    expect(screen.queryByRole('button', { name: 'Split', hidden: true })).toBeNull();
  });

  it('takes one out again that was gathered', async () => {
    const user = await show(<GatherRequests request={request({ state: 'gathered' })} />);
    server.on('POST /api/requests/ECR-00096/apart', done('ECR-00096'));
    await user.click(screen.getByRole('button', { name: 'Remove from the request' }));
    await waitFor(() => expect(server.asked('POST /api/requests/ECR-00096/apart').length).toBe(1));
  });

  it('is nothing for who only reads, nor once it is decided', async () => {
    await show(<GatherRequests request={request()} />, { as: vera });
    expect(screen.queryByText(/Gather/)).toBeNull();
  });

  it('is nothing once it is decided', async () => {
    await show(<GatherRequests request={request({ state: 'approved' })} />);
    expect(screen.queryByText(/Gather/)).toBeNull();
  });
});
