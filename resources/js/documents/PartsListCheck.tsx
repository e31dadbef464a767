import { useQuery } from '@tanstack/react-query';
import type { Schemas } from '../lib/api';
import { queries } from '../lib/queries';
import { ItemNumber } from '../ui/Num';

type Finding = Schemas['SheetFindingRow'];

const said: Record<Finding['kind'], (one: Finding) => string> = {
  missing_row: (one) => `not in the parts list, ${one.structure} in the structure`,
  extra_row: () => 'in the parts list, not in the structure',
  other_find: (one) =>
    `find number ${one.sheet === '' ? 'missing' : one.sheet} on the sheet, ${one.structure} in the structure`,
  other_quantity: (one) => `quantity ${one.sheet} on the sheet, ${one.structure} in the structure`,
  missing_balloon: () => 'no balloon points at it',
  extra_balloon: () => 'a balloon that no line has',
};

/** Whether the parts list and the balloons of a sheet say what the structure says that it shows. */
export function PartsListCheck({ file }: { file: string }) {
  const checked = useQuery(queries.partsList(file)).data;
  if (checked === undefined || checked.length === 0) return null;
  return (
    <section aria-labelledby="parts-list">
      <h2 id="parts-list" className="mb-1">
        Parts list and balloons
      </h2>
      {checked.map((one) => (
        <div key={one.item}>
          <p className={one.findings.length === 0 ? '' : 'text-warn'}>
            {one.findings.length === 0
              ? '■ agree with '
              : `△ ${one.findings.length} ${one.findings.length === 1 ? 'difference' : 'differences'} from `}
            <ItemNumber number={one.item} /> {one.revision}
            <span className="text-soft">
              {one.rows > 0 && `, ${one.rows} rows`}
              {one.balloons > 0 && `, ${one.balloons} balloons`}
            </span>
          </p>
          {one.findings.length > 0 && (
            <ul className="max-h-72 overflow-y-auto border-y border-strong bg-sheet text-sm">
              {one.findings.map((finding) => (
                <li
                  key={`${finding.kind} ${finding.find} ${finding.item}`}
                  className="border-b border-rule px-2 py-1 last:border-b-0"
                >
                  {finding.find} {finding.item !== '' && <ItemNumber number={finding.item} />}:{' '}
                  {said[finding.kind](finding)}
                </li>
              ))}
            </ul>
          )}
        </div>
      ))}
    </section>
  );
}
