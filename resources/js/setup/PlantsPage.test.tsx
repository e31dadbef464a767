import { screen, waitFor, within } from '@testing-library/react';
import { describe, expect, it } from 'vitest';
import type { Schemas } from '../lib/api';
import { done } from '../testing/done';
import { Refused, server } from '../testing/server';
import { mira, show, vera } from '../testing/show';
import { PlantsPage } from './PlantsPage';
import { weekdayNames } from './weekdays';

const ivo = { ...mira, abilities: ['set_up'] };
const plant = (code: string, more: Partial<Schemas['PlantRow']> = {}): Schemas['PlantRow'] => ({
  code,
  name: `${code}, plant`,
  retired: false,
  time_zone: null,
  today: '2026-11-27',
  weekdays: [1, 2, 3, 4, 5],
  shifts: '',
  minutes: 0,
  days: [],
  version: 0,
  work_centres: [],
  ...more,
});
const weir = plant('Weir', {
  time_zone: 'Europe/Oslo',
  shifts: '07:00-15:30',
  minutes: 510,
  version: 3,
  days: [{ day: '2099-12-25', works: false, name: 'Christmas' }],
  work_centres: [{ code: 'PUMP', name: 'Pump line', rate: '49.00', retired: false, version: 2 }],
});

async function plants(as: Schemas['Me'] = ivo) {
  server.on('GET /api/favourites', []).on('GET /api/plants', [plant('Tarn'), weir]);
  const user = await show(<PlantsPage />, { as });
  await screen.findByRole('heading', { name: 'Weir, plant' });
  return user;
}

describe('plants', () => {
  it('say when they work and where they are in time', async () => {
    await plants(vera);
    const section = within(screen.getByRole('region', { name: 'Weir, plant' }));
    expect(section.getByText('Mon to Fri')).toBeTruthy();
    expect(section.getByText('07:00-15:30, 8 h 30 min a day')).toBeTruthy();
    expect(section.getByText('Europe/Oslo; 27 Nov 2026 there')).toBeTruthy();
    expect(section.getByText('25 Dec 2099 closed, Christmas')).toBeTruthy();
    expect(within(screen.getByRole('region', { name: 'Tarn, plant' })).getByText('not set up')).toBeTruthy();
    expect(screen.queryByRole('button', { name: /^Change|^Add/ })).toBeNull();
  });

  it('are set as a whole, with the version that was seen', async () => {
    const user = await plants();
    await user.click(screen.getByRole('button', { name: 'Change Weir, plant' }));
    const form = within(screen.getByRole('form', { name: 'Change Weir, plant' }));
    await user.click(form.getByRole('checkbox', { name: 'Sat' }));
    await user.click(form.getByRole('checkbox', { name: 'Mon' }));
    await user.click(form.getByRole('button', { name: 'Remove day 1' }));
    await user.click(form.getByRole('button', { name: 'Add a day' }));
    await user.type(form.getByLabelText('Day 1'), '2027-01-06');
    await user.click(form.getByRole('checkbox', { name: 'the plant works' }));
    server.on('PUT /api/plants/Weir', done('Weir', 4));
    await user.click(form.getByRole('button', { name: 'Save' }));
    await waitFor(() => expect(screen.queryByRole('form', { name: 'Change Weir, plant' })).toBeNull());
    expect(server.asked('PUT /api/plants/Weir')[0]?.body).toEqual({
      time_zone: 'Europe/Oslo',
      weekdays: [2, 3, 4, 5, 6],
      shifts: '07:00-15:30',
      days: [{ day: '2027-01-06', works: true, name: '' }],
      version: 3,
    });
  });

  it('say at each field what is wrong', async () => {
    const user = await plants();
    await user.click(screen.getByRole('button', { name: 'Change Weir, plant' }));
    server.on(
      'PUT /api/plants/Weir',
      new Refused(422, 'No.', { weekdays: ['Closed on every day.'], 'days.0.day': ['No such day.'] }),
    );
    await user.click(screen.getByRole('button', { name: 'Save' }));
    expect(await screen.findByText(/Closed on every day/)).toBeTruthy();
    expect(screen.getAllByText(/No such day/)).toHaveLength(1);
    expect(screen.queryByRole('alert')).toBeNull();
  });

  it('have work centres, added and retired', async () => {
    const user = await plants();
    const form = within(screen.getByRole('form', { name: 'New work centre of Weir, plant' }));
    await user.type(form.getByLabelText('Code (fixed once added)'), 'TEST');
    await user.type(form.getByLabelText('Name'), 'Test');
    await user.type(form.getByLabelText('Per hour, EUR'), '64');
    server.on('POST /api/plants/Weir/work-centres', done('TEST', 1));
    await user.click(form.getByRole('button', { name: 'Add a work centre' }));
    await waitFor(() => expect(form.getByLabelText<HTMLInputElement>('Name').value).toBe(''));
    expect(server.asked('POST /api/plants/Weir/work-centres')[0]?.body).toEqual({
      code: 'TEST',
      name: 'Test',
      rate: '64',
    });
    await user.click(screen.getByRole('button', { name: 'Change Pump line' }));
    server.on('PATCH /api/plants/Weir/work-centres/PUMP', done('PUMP', 3));
    await user.click(screen.getByRole('button', { name: 'Retire' }));
    await waitFor(() => expect(screen.queryByRole('form', { name: 'Change Pump line' })).toBeNull());
    expect(server.asked('PATCH /api/plants/Weir/work-centres/PUMP')[0]?.body).toEqual({
      name: 'Pump line',
      rate: '49.00',
      retired: true,
      version: 2,
    });
  });
});

describe('days of the week', () => {
  it('are told by the first and the last where they follow one another', () => {
    expect(weekdayNames([5, 4, 3, 2, 1])).toBe('Mon to Fri');
    expect(weekdayNames([1, 3, 6])).toBe('Mon, Wed, Sat');
    expect(weekdayNames([6, 7])).toBe('Sat, Sun');
  });
});
