import clsx from 'clsx';
import { day, quantity } from '../lib/format';
import { values, type Field } from './redlineFields';
import type { RedlineRow } from './useRedline';

/** A field of a line as it was and will be: the old value struck out beside the new one when they differ; flat, on one line. */
export function RedlineValue({ row, field, flat = false }: { row: RedlineRow; field: Field; flat?: boolean }) {
  const { before, after } = values(row, field);
  const write = (text: string) =>
    field === 'quantity' ? quantity(text) : field === 'first_day' || field === 'last_day' ? day(text) : text;
  const whole = (text: string, title: string | undefined) =>
    field === 'component' ? (
      <>
        <span className="font-mono text-[0.84rem]">{text}</span> {title}
      </>
    ) : (
      write(text)
    );
  const drawn =
    field === 'notes' && row.after?.not_modelled ? <span className="text-sm text-soft"> not modelled</span> : null;
  if (after === null) return <del className="text-alarm">{whole(before ?? '', row.was_item?.title)}</del>;
  if (before === null || before === after || !row.fields.includes(field)) {
    return (
      <>
        {row.before === null ? (
          <ins className="no-underline">{whole(after, row.item?.title)}</ins>
        ) : (
          whole(after, row.item?.title)
        )}
        {drawn}
      </>
    );
  }
  return (
    <span className={field === 'component' && !flat ? 'block' : ''}>
      {before !== '' && (
        <del className="mr-1.5 text-soft">
          {whole(before, field === 'component' && !flat ? row.was_item?.title : undefined)}
        </del>
      )}
      <ins className={clsx('font-semibold no-underline', field === 'component' && !flat && 'block')}>
        {after === '' ? 'none' : whole(after, row.item?.title)}
      </ins>
      {drawn}
    </span>
  );
}
