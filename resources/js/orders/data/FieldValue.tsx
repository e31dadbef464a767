import { fieldText, type FieldRow } from '../../structures/itemFields';

/** A field as it was and will be: the old value struck out beside the new one where they differ. */
export function FieldValue({ row }: { row: FieldRow }) {
  const [before, after] = [fieldText(row.field, row.before), fieldText(row.field, row.after)];
  if (row.mark === 'unchanged') return after === '' ? <span className="text-soft">not known</span> : <>{after}</>;
  return (
    <>
      {before !== '' && <del className="mr-2 text-soft">{before}</del>}
      {after === '' ? (
        <span className="text-soft">not known any more</span>
      ) : (
        <ins className="no-underline">{after}</ins>
      )}
    </>
  );
}
