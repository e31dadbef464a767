import { useQuery } from '@tanstack/react-query';
import type { ReactNode } from 'react';
import type { Schemas } from '../lib/api';
import { amount, cents, count, day, quantity, signed } from '../lib/format';
import { queries } from '../lib/queries';
import { sources } from './Assumptions';
import { costRows } from './costRows';
import { CutInChart } from './CutInChart';
import { effect } from './effect';
import { guesses, moved } from './hinges';
import type { Question } from './question';
import { toDoKey } from './toDoColumns';

interface Props {
  page: Schemas['CutInPage'];
  asked: Schemas['CutInQuestion'];
  question: Question;
  at: number;
  chosen: Schemas['CutInChosen'] | undefined;
}

/** Rows of a list that stand on the one page; of more it says how many. */
const ROOM = 10;

/** The plan on one printed page: the day, what it costs, what speaks for it and what it hangs on. On screen each part stands in full. */
export function PlanOnPaper({ page, asked, question, at, chosen }: Props) {
  const on = page.days[at];
  const iso = on?.on ?? '';
  const toDo = useQuery({ ...queries.cutInToDo(asked, iso), enabled: iso !== '' });
  const hinges = useQuery(queries.cutInHinges(asked));
  if (!on) return null;
  const days = [
    ['Least cost', page.best.least_cost],
    ['Least disturbing', page.best.least_disturbing],
    ['Earliest', page.best.earliest],
    ['Run-out', page.run_out],
    ['Prescribed', page.prescribed],
    ...page.plants
      .filter(() => page.plants.length > 1)
      .map((one) => [`${one.plant} alone`, one.best.least_cost] as const),
  ] as const;
  const totalOf = (when: string | null) => page.days.find((one) => one.on === when);
  const touched = page.documents.flatMap((one) => {
    const what = effect(one, iso, question.not_cancelled ?? []);
    return what === null ? [] : [{ ...one, what }];
  });
  return (
    <section aria-label="The plan on one page" className="text-[8pt] leading-tight">
      <p className="!mb-1 text-[10pt]">
        Cut in on <b>{day(iso)}</b>: {amount(cents(on.total))} {page.currency}
        {page.best.as_good_from !== page.best.as_good_to &&
          `, as good within 1 % from ${day(page.best.as_good_from)} to ${day(page.best.as_good_to)}`}
        {page.waits_for.length > 0 && `; the earliest day waits for ${page.waits_for.join(', ')}`}.
        {chosen?.chosen_on === iso && ` Chosen: ${chosen.reason}`}
      </p>
      <div className="grid grid-cols-2 gap-4">
        <div className="space-y-2">
          {page.plants.map((plant) => (
            <CutInChart
              key={plant.plant}
              page={page}
              plant={plant}
              unit={plant.parts[0]?.item.unit ?? ''}
              held={null}
              at={at}
              onAt={() => {}}
            />
          ))}
          <List head={`What it costs, ${page.currency}`}>
            {costRows(on, null, null, new Set(), page.counts_recurring).map((row) => (
              <Row key={row.key} bold={row.part === 'total'} cells={[row.name]} end={[number(row.now)]} />
            ))}
          </List>
        </div>
        <div className="space-y-2">
          <List head="Days compared">
            {days.map(([name, when]) => {
              const it = totalOf(when);
              return when === null ? null : (
                <Row
                  key={name}
                  cells={[name, day(when)]}
                  end={[
                    it ? `${amount(cents(it.total))} ${page.currency}` : '',
                    it && !it.possible ? 'not possible' : '',
                  ]}
                />
              );
            })}
          </List>
          <List head="What to do by when" more={(toDo.data?.length ?? 0) - ROOM}>
            {toDo.data?.slice(0, ROOM).map((one) => (
              <Row
                key={toDoKey(one)}
                cells={[day(one.by), `${one.what} ${one.item}`, one.document]}
                end={[one.quantity === '' ? '' : `${quantity(one.quantity)} ${one.unit}`, one.plant]}
              />
            ))}
          </List>
          <List head="Best day and its cost, if wrong by a tenth" more={(hinges.data?.length ?? 0) - ROOM}>
            {hinges.data?.slice(0, ROOM).map((one) => (
              <Row
                key={`${one.guess} ${one.item}`}
                cells={[`${guesses[one.guess]} ${one.item}`]}
                end={[
                  `−10 %: ${moved(one.day_less)}, ${signed(cents(one.cost_less))}`,
                  `+10 %: ${moved(one.day_more)}, ${signed(cents(one.cost_more))}`,
                ]}
              />
            ))}
          </List>
          <List head="Open orders affected, and all receipts" more={touched.length - ROOM}>
            {touched.slice(0, ROOM).map((one) => (
              <Row
                key={`${one.role} ${one.document} ${one.item} ${one.plant}`}
                cells={[one.what, `${one.document} ${one.item}`]}
                end={[`${quantity(one.quantity)} ${one.unit}`, day(one.due), one.plant]}
              />
            ))}
          </List>
        </div>
      </div>
      <h3 className="!mt-2 border-b border-strong !text-[8pt]">Assumptions, and where each comes from</h3>
      <ul className="columns-4 gap-4">
        {page.assumptions.map((one) => (
          <li key={`${one.what} ${one.item} ${one.plant}`} className="break-inside-avoid">
            {one.what} {one.item}
            {one.plant !== '' && `, ${one.plant}`}: <b>{one.value === '' ? 'not known' : `${one.value} ${one.unit}`}</b>
            , {sources[one.from]}
            {one.reason !== '' && `: ${one.reason}`}
          </li>
        ))}
      </ul>
    </section>
  );
}

/** An amount in cents; a count of orders as it is. */
const number = (text: string) => (text.includes('.') ? amount(cents(text)) : text);

function List({ head, more = 0, children }: { head: string; more?: number; children: ReactNode }) {
  return (
    <table className="w-full">
      <caption className="border-b border-strong text-left font-semibold">{head}</caption>
      <tbody>
        {children}
        {more > 0 && <Row cells={[`and ${count(more)} more, on screen`]} end={[]} />}
      </tbody>
    </table>
  );
}

function Row({ cells, end, bold = false }: { cells: string[]; end: string[]; bold?: boolean }) {
  return (
    <tr className={`border-b border-rule align-top ${bold ? 'font-semibold' : ''}`}>
      {cells.map((cell, at) => (
        <td key={at} className="pr-2">
          {cell}
        </td>
      ))}
      {end.map((cell, at) => (
        <td key={at} className="pl-2 text-right whitespace-nowrap tabular-nums">
          {cell}
        </td>
      ))}
    </tr>
  );
}
