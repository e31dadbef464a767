import type { Schemas } from '../lib/api';
import { currency } from '../lib/settings';
import { dispositions, supplyKinds } from '../lib/words';
import { DecimalInput } from '../ui/DecimalInput';
import { Select } from '../ui/Select';

interface Row {
  kind: string;
  disposition: Schemas['CategoryDisposition']['disposition'];
  per_unit: string;
}

interface Props {
  rows: Row[];
  onChange: (rows: Row[]) => void;
  error: (place: string) => string | undefined;
}

const kinds = ['stock', 'work_order', 'purchase_requisition', 'purchase_order', 'subcontract_order'] as const;
const NONE = 'none';

/** Usual disposition of stock and open orders of a category's items when they are changed, and what that costs for one. */
export function UsualDispositions({ rows, onChange, error }: Props) {
  return (
    <fieldset>
      <legend className="mb-1 text-sm font-medium text-soft">Usual disposition of stock and open orders</legend>
      <div className="flex flex-wrap gap-4">
        {kinds.map((kind) => {
          const at = rows.findIndex((row) => row.kind === kind);
          const row = rows[at];
          const set = (next: Row | null) =>
            onChange([...rows.filter((one) => one.kind !== kind), ...(next ? [next] : [])]);
          const problem = at >= 0 ? error(`dispositions.${at}.per_unit`) : undefined;
          return (
            <div key={kind} className="w-40 space-y-1">
              <p className="text-sm">{supplyKinds[kind]}</p>
              <Select
                aria-label={`${supplyKinds[kind]}: what is done`}
                value={row?.disposition ?? NONE}
                onChange={(choice) =>
                  set(choice === NONE ? null : { kind, disposition: choice, per_unit: row?.per_unit ?? '' })
                }
                options={{ [NONE]: 'Not set', ...dispositions }}
              />
              {row && (
                <DecimalInput
                  aria-label={`${supplyKinds[kind]}: cost per unit`}
                  placeholder={`Per unit, ${currency()}`}
                  value={row.per_unit}
                  onChange={(per_unit) => set({ ...row, per_unit })}
                />
              )}
              {problem !== undefined && <p className="text-sm text-alarm">▸ {problem}</p>}
            </div>
          );
        })}
      </div>
    </fieldset>
  );
}
