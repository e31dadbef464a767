import { useState } from 'react';
import type { Schemas } from '../lib/api';
import { amount, moment, signed } from '../lib/format';
import { supplyKinds } from '../lib/words';
import { Button } from '../ui/Button';
import { DataTable, type Column } from '../ui/DataTable';
import { Notice } from '../ui/Notice';
import { moneyByItem } from './moneyByItem';
import { demandColumns, dispositionColumns, moneyColumns } from './moneyColumns';
import { SayFigure, type Figure } from './SayFigure';
import { WantedAge } from './WantedAge';

type Money = Schemas['MoneyPage'];

interface Props {
  number: string;
  page: Money;
  maySay: boolean;
}

/** All of it on one page: totals, what becomes of what exists, what is paid once and every year, and what is assumed. */
export function MoneyView({ number, page, maySay }: Props) {
  const [figure, setFigure] = useState<Figure | null>(null);
  const say = (next: Figure) => maySay && setFigure(next);
  return (
    <div className="space-y-6">
      {page.fault !== null && (
        <Notice>
          {page.fault}{' '}
          {page.told_at === null
            ? 'Stock and open orders are not known.'
            : `Planning data as of ${moment(page.told_at)} is used.`}
        </Notice>
      )}
      <Totals page={page} />
      {figure && (
        <SayFigure
          key={`${figure.kind} ${figure.subject}`}
          number={number}
          figure={figure}
          onDone={() => setFigure(null)}
        />
      )}
      <section aria-labelledby="exists">
        <h2 id="exists" className="mb-1">
          Disposition of stock and open orders
        </h2>
        <DataTable
          label="Disposition of stock and open orders"
          exportName={`dispositions-${number}`}
          rows={page.dispositions}
          columns={withAct(
            dispositionColumns,
            maySay,
            (row) => ({
              kind: 'disposition',
              subject: `${row.item} ${row.kind}`,
              about: `${supplyKinds[row.kind as keyof typeof supplyKinds]} of ${row.item}`,
              choice: row.disposition,
              amount: row.said === null ? '' : row.per_unit,
              said: row.said,
            }),
            say,
          )}
          keyOf={(row) => `${row.item} ${row.kind}`}
          empty="No stock and no open orders of the affected items."
        />
      </section>
      <section aria-labelledby="once">
        <div className="mb-1 flex items-baseline justify-between">
          <h2 id="once">One-time</h2>
          {maySay && (
            <Button
              look="quiet"
              onClick={() =>
                setFigure({
                  kind: 'one_time',
                  subject: '',
                  about: 'One-time cost',
                  amount: '',
                  said: null,
                })
              }
            >
              Add a cost
            </Button>
          )}
        </div>
        <DataTable
          label="One-time"
          rows={page.one_time}
          columns={withAct(
            moneyColumns.filter(({ id }) => id !== 'per_unit' && id !== 'units'),
            maySay,
            (row) =>
              row.figure && {
                kind: row.figure,
                subject: row.subject,
                about: row.what,
                amount: row.amount,
                said: row.said,
              },
            say,
          )}
          keyOf={(row) => `${row.item} ${row.what} ${row.subject}`}
          empty="No one-time cost."
        />
      </section>
      <section aria-labelledby="yearly">
        <h2 id="yearly" className="mb-1">
          Recurring, per year
        </h2>
        <DataTable
          label="Recurring, per year"
          rows={page.recurring}
          columns={withAct(
            moneyColumns,
            maySay,
            (row) => ({
              kind: 'recurring',
              subject: row.item,
              about: `Recurring cost change per unit of ${row.item}`,
              amount: row.per_unit ?? '',
              said: row.said,
            }),
            say,
          )}
          keyOf={(row) => row.item}
          empty="No recurring cost difference."
        />
        {maySay && (
          <p className="no-print mt-1 flex flex-wrap gap-4 text-sm">
            Add a cost per unit for:
            {page.by_item
              .filter(({ item }) => item !== '' && !page.recurring.some((row) => row.item === item))
              .map(({ item }) => (
                <Button
                  key={item}
                  look="quiet"
                  className="!h-6 !px-0 font-mono text-[0.84rem]"
                  onClick={() =>
                    setFigure({
                      kind: 'recurring',
                      subject: item,
                      about: `Recurring cost change per unit of ${item}`,
                      amount: '',
                      said: null,
                    })
                  }
                >
                  {item}
                </Button>
              ))}
          </p>
        )}
      </section>
      <section aria-labelledby="by-item">
        <h2 id="by-item" className="mb-1">
          By item
        </h2>
        <DataTable
          label="By item"
          rows={page.by_item}
          columns={moneyByItem}
          keyOf={(row) => row.item}
          exportName={`money-${number}`}
          empty="No item is affected."
        />
      </section>
      <section aria-labelledby="demand">
        <h2 id="demand" className="mb-1">
          Annual demand
        </h2>
        <DataTable
          label="Annual demand"
          caption={<WantedAge number={number} at={page.demand_told_at} />}
          rows={page.demand}
          columns={withAct(
            demandColumns,
            maySay,
            (row) => ({
              kind: 'demand',
              subject: row.product,
              about: `Annual demand of ${row.product}`,
              amount: row.units,
              said: row.said,
            }),
            say,
          )}
          keyOf={(row) => row.product}
          empty="No product that is sold has an affected item inside."
        />
      </section>
      <section aria-labelledby="assumed">
        <h2 id="assumed" className="mb-1">
          Assumptions
        </h2>
        <ul className="max-w-4xl list-disc pl-5">
          {page.assumed.map((one) => (
            <li key={one}>{one}</li>
          ))}
        </ul>
      </section>
    </div>
  );
}

/** What it costs in all: once, every year, and how soon it pays back. */
export function Totals({ page }: { page: Money }) {
  return (
    <dl className="grid max-w-3xl grid-cols-3 border-y border-strong bg-sheet">
      {[
        ['One-time', `${amount(page.one_time_total)} ${page.currency}`],
        ['Recurring, per year', `${signed(page.yearly_total)} ${page.currency}`],
        [
          'Payback',
          page.payback_months === null
            ? 'never'
            : page.payback_months === 0
              ? 'immediately'
              : `in ${page.payback_months} months`,
        ],
      ].map(([name, value]) => (
        <div key={name} className="border-l border-rule px-3 py-1.5 first:border-l-0">
          <dt className="text-sm text-soft">{name}</dt>
          <dd className="text-lg font-semibold">{value}</dd>
        </div>
      ))}
    </dl>
  );
}

/** The columns, with a button at the end where a figure can be said. */
function withAct<Row>(
  columns: Column<Row>[],
  may: boolean,
  figureOf: (row: Row) => Figure | null,
  say: (figure: Figure) => void,
): Column<Row>[] {
  if (!may) return columns;
  return [
    ...columns,
    {
      id: 'act',
      head: 'Override',
      silent: true,
      text: () => '',
      cell: (row) => {
        const figure = figureOf(row);
        return (
          figure && (
            <Button look="quiet" className="!h-6" aria-label={`Change ${figure.about}`} onClick={() => say(figure)}>
              Change
            </Button>
          )
        );
      },
    },
  ];
}
