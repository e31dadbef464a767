import type { ApiProblem } from '../lib/api';
import { Button } from '../ui/Button';
import { DecimalInput } from '../ui/DecimalInput';
import { Field } from '../ui/Field';
import { ItemPicker } from '../ui/ItemPicker';
import { Parents } from './Parents';
import type { Swap } from './question';

interface Props {
  swap: Swap;
  /** Which of the swaps it is, from 0. */
  at: number;
  /** Which of those that are asked, from 0; less than that where it is not asked yet. */
  asked: number;
  problem: ApiProblem | null;
  onChange: (swap: Swap) => void;
  /** Null where it is the only one. */
  onRemove: (() => void) | null;
}

/** What goes and what comes, and in which parents. */
export function SwapForm({ swap, at, asked, problem, onChange, onRemove }: Props) {
  const name = at > 0 ? ` ${at + 1}` : '';
  const error = (field: string) => problem?.at(`swaps.${asked}.${field}`);
  const gone = swap.gone.length === 0 ? [''] : swap.gone;
  const { come } = swap;
  const which = (many: unknown[], i: number) => (many.length > 1 ? ` (${i + 1})` : '');
  return (
    <fieldset className="space-y-2 border-t border-strong pt-2 first:border-t-0 first:pt-0">
      <legend className="sr-only">Swap {at + 1}</legend>
      {gone.map((number, i) => (
        <div key={`${i} ${number}`} className="flex items-end gap-1">
          <Field
            className="grow"
            label={`Part that goes${name}${which(gone, i)}`}
            error={error(`gone.${i}`) ?? (i === 0 ? error('gone') : undefined)}
          >
            <ItemPicker
              label={`Part that goes${name}${which(gone, i)}`}
              initial={number}
              placeholder="None: it only comes"
              onPick={(item) => onChange({ ...swap, gone: gone.map((one, k) => (k === i ? item.number : one)) })}
            />
          </Field>
          {number !== '' && (
            <Button
              look="quiet"
              aria-label={`Remove ${number}`}
              onClick={() => onChange({ ...swap, gone: swap.gone.filter((_, k) => k !== i) })}
            >
              ×
            </Button>
          )}
        </div>
      ))}
      {come.length === 0 && <p className="!m-0 text-sm text-soft">Nothing comes in its place.</p>}
      {come.map((one, i) => (
        <div key={`${i} ${one.item}`} className="flex items-end gap-1">
          <Field className="grow" label={`Part that comes${name}${which(come, i)}`} error={error(`come.${i}.item`)}>
            <ItemPicker
              label={`Part that comes${name}${which(come, i)}`}
              initial={one.item}
              onPick={(item) =>
                onChange({ ...swap, come: come.map((other, k) => (k === i ? { ...other, item: item.number } : other)) })
              }
            />
          </Field>
          {one.item !== '' && (
            <>
              <Field
                className="w-20"
                label={swap.gone.length > 0 ? 'For one' : 'In a parent'}
                error={error(`come.${i}.ratio`)}
              >
                <DecimalInput
                  value={one.ratio ?? ''}
                  placeholder={swap.gone.length > 0 ? '1' : ''}
                  onChange={(ratio) =>
                    onChange({ ...swap, come: come.map((other, k) => (k === i ? { ...other, ratio } : other)) })
                  }
                />
              </Field>
              <Button
                look="quiet"
                aria-label={`Remove ${one.item}`}
                onClick={() => onChange({ ...swap, come: swap.come.filter((_, k) => k !== i) })}
              >
                ×
              </Button>
            </>
          )}
        </div>
      ))}
      <Parents
        name={name}
        parents={swap.parents ?? []}
        needed={swap.gone.length === 0}
        error={error('parents')}
        onChange={(parents) => onChange({ ...swap, parents })}
      />
      <div className="flex flex-wrap gap-x-3">
        {swap.gone.length > 0 && (
          <Button look="quiet" className="!h-6" onClick={() => onChange({ ...swap, gone: [...swap.gone, ''] })}>
            Another that goes
          </Button>
        )}
        {(swap.come.length === 0 || swap.come.some(({ item }) => item !== '')) && (
          <Button
            look="quiet"
            className="!h-6"
            onClick={() => onChange({ ...swap, come: [...swap.come, { item: '' }] })}
          >
            {swap.come.length === 0 ? 'A part that comes' : 'Another that comes'}
          </Button>
        )}
        {swap.gone.length > 0 && swap.come.length > 0 && swap.come.every(({ item }) => item === '') && (
          <Button look="quiet" className="!h-6" onClick={() => onChange({ ...swap, come: [] })}>
            Nothing comes
          </Button>
        )}
        {onRemove && (
          <Button look="quiet" className="!h-6" onClick={onRemove}>
            Remove this swap
          </Button>
        )}
      </div>
    </fieldset>
  );
}
