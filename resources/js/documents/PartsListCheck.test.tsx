import { screen } from '@testing-library/react';
import { expect, it } from 'vitest';
import type { Schemas } from '../lib/api';
import { server } from '../testing/server';
import { show } from '../testing/show';
import { PartsListCheck } from './PartsListCheck';

const checked = (findings: Schemas['SheetFindingRow'][]): Schemas['CheckedSheet'] => ({
  item: '200-0001',
  title: 'Pump module',
  revision: 'G',
  rows: 14,
  balloons: 13,
  findings,
});

it('says that they agree, with which revision', async () => {
  server.on('GET /api/files/f1/parts-list', [checked([])]);
  await show(<PartsListCheck file="f1" />);
  expect((await screen.findByText(/agree with/)).textContent).toBe('■ agree with 200-0001 G, 14 rows, 13 balloons');
});

it('says of each in what it differs', async () => {
  const finding = (kind: Schemas['SheetFindingRow']['kind'], sheet: string, structure: string) => ({
    kind,
    find: '30',
    item: kind === 'extra_balloon' ? '' : '200-0052',
    sheet,
    structure,
  });
  server.on('GET /api/files/f1/parts-list', [
    checked([
      finding('missing_row', '', '1 pc'),
      finding('extra_row', '200-0052', ''),
      finding('other_find', '', '30'),
      finding('other_quantity', '2', '4'),
      finding('missing_balloon', '', '30'),
      finding('extra_balloon', '30', ''),
    ]),
  ]);
  await show(<PartsListCheck file="f1" />);
  expect((await screen.findAllByRole('listitem')).map(({ textContent }) => textContent)).toEqual([
    '30 200-0052: not in the parts list, 1 pc in the structure',
    '30 200-0052: in the parts list, not in the structure',
    '30 200-0052: find number missing on the sheet, 30 in the structure',
    '30 200-0052: quantity 2 on the sheet, 4 in the structure',
    '30 200-0052: no balloon points at it',
    '30 : a balloon that no line has',
  ]);
});

it('says nothing of a sheet that has neither', async () => {
  server.on('GET /api/files/f1/parts-list', []);
  await show(<PartsListCheck file="f1" />);
  expect(screen.queryByText('Parts list and balloons')).toBeNull();
});
