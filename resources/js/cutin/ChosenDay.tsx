import { Link } from 'react-router';
import type { Schemas } from '../lib/api';
import { amount, cents, day, moment } from '../lib/format';
import { DataTable } from '../ui/DataTable';
import { Details } from '../ui/Details';
import { Notice } from '../ui/Notice';
import { outcomeColumns, outcomeKey } from './outcomeColumns';
import { toDoColumns, toDoKey } from './toDoColumns';

interface Props {
  /** Of the request. */
  number: string;
  chosen: Schemas['CutInChosen'];
  /** Whether the list of what to do is shown at once. */
  open?: boolean;
}

/** A day that was chosen with its reason, what has to be done by when for it, and whether it is still good. */
export function ChosenDay({ number, chosen, open = false }: Props) {
  return (
    <div>
      <p className="!m-0">
        <b className="font-semibold">{day(chosen.chosen_on)}</b> for {amount(cents(chosen.total))}: {chosen.reason}{' '}
        <span className="text-sm text-soft">
          {chosen.by}, {moment(chosen.at)}
        </span>
      </p>
      {chosen.at_plants.length > 0 && (
        <p className="!m-0 text-sm">{chosen.at_plants.map(({ plant, on }) => `${plant} ${day(on)}`).join(', ')}</p>
      )}
      {chosen.fault !== '' && (
        <Notice look="warn">
          Planning&apos;s figures have changed. {chosen.fault}{' '}
          {chosen.best_on === null ? 'No day is possible now.' : `Best is now ${day(chosen.best_on)}.`}
        </Notice>
      )}
      {chosen.outcomes.some(({ seen_on }) => seen_on !== null) && (
        <Details summary="What became of it" open={open}>
          <DataTable
            label={`Leftover and shortage of ${number}, planned and actual`}
            exportName={`${number}-outcome`}
            rows={chosen.outcomes}
            columns={outcomeColumns}
            keyOf={outcomeKey}
            empty=""
          />
          <Link className="no-print text-accent underline" to={`/cut-ins?year=${chosen.chosen_on.slice(0, 4)}`}>
            All cut-ins of the year
          </Link>
        </Details>
      )}
      {chosen.to_do.length > 0 && (
        <Details summary={`What to do by when: ${chosen.to_do.length}`} open={open}>
          <DataTable
            label={`What to do by when for ${number}`}
            exportName={`${number}-to-do`}
            rows={chosen.to_do}
            columns={toDoColumns}
            keyOf={toDoKey}
            empty=""
          />
          <a
            className="no-print text-accent underline"
            href={`/api/requests/${number}/cut-ins/${chosen.id}/calendar`}
            download
          >
            Download as calendar (.ics)
          </a>
        </Details>
      )}
    </div>
  );
}
