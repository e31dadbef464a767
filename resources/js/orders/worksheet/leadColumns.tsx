import type { Column } from '../../ui/DataTable';
import { PlainItemNumber } from '../../ui/Num';
import type { RedlineRow } from '../useRedline';
import { whereOf, type SheetRow, type Worksheet } from './sheetRows';

/** Where there are many of them below each other. */
const shortly = (subject: Worksheet['subjects'][number] | undefined) =>
  subject?.work === 'engineering' ? 'Engineering' : `Plant ${subject?.work.split(':')[1] ?? ''}`;

/** Of which parent a line is, and in which of its structures. */
export function leadColumns(page: Worksheet): Column<RedlineRow>[] {
  const subject = (row: RedlineRow) => page.subjects[(row as SheetRow).subject];
  const titles = new Map(page.items.map(({ number, title }) => [number, title]));
  return [
    {
      id: 'parent',
      head: 'Parent',
      text: (row) => `${subject(row)?.item ?? ''} ${titles.get(subject(row)?.item ?? '') ?? ''}`,
      cell: (row) => (
        <>
          <PlainItemNumber number={subject(row)?.item ?? ''} /> {titles.get(subject(row)?.item ?? '')}
        </>
      ),
    },
    {
      id: 'structure',
      head: 'Structure',
      text: (row) => whereOf(subject(row)),
      cell: (row) => <span className="whitespace-nowrap">{shortly(subject(row))}</span>,
    },
  ];
}
