import { useState } from 'react';
import { api, told, type Schemas } from '../lib/api';
import { languageName } from '../lib/format';
import { languages } from '../lib/settings';
import { touches } from '../lib/touches';
import { useAct } from '../lib/useAct';
import { useOrderVersion } from '../lib/useOrderVersion';
import { Button } from '../ui/Button';
import { DataTable, type Column } from '../ui/DataTable';
import { Input } from '../ui/Input';
import { ProblemNotice } from '../ui/Notice';
import { itemColumn } from '../ui/table/columns';

type OrderItem = Schemas['OrderItemData'];
type Texts = Record<string, Record<string, string>>;

interface Props {
  order: Schemas['OrderData'];
  editable: boolean;
}

const listOf = (texts: Texts) =>
  Object.entries(texts).flatMap(([item, said]) =>
    Object.entries(said).map(([language, text]) => ({ item, language, text })),
  );

/** What is done to each item, as the history block of its sheets will tell it, in the languages of the documents. */
export function DoneTexts({ order, editable }: Props) {
  const version = useOrderVersion(order);
  const [texts, setTexts] = useState<Texts>({});
  const save = useAct(
    touches.order,
    (changed: Texts) =>
      told(
        api.PUT('/api/orders/{number}/done', {
          params: { path: { number: order.number } },
          body: { texts: listOf(changed), version: version() },
        }),
      ),
    () => setTexts({}),
    order.number,
  );
  const rows = order.items.filter(({ outcome }) => outcome !== 'keep');
  const isSaid = rows.some(({ done }) => Object.keys(done).length > 0);
  if (rows.length === 0 || (!editable && !isSaid)) return null;
  const textOf = (row: OrderItem, language: string) => texts[row.item.number]?.[language] ?? row.done[language] ?? '';
  const type = (row: OrderItem, language: string, text: string) =>
    setTexts({
      ...texts,
      [row.item.number]: { ...texts[row.item.number], [language]: text },
    });
  const places = listOf(texts);
  const fault = (row: OrderItem, language: string) => {
    const at = places.findIndex((one) => one.item === row.item.number && one.language === language);
    return at < 0 ? undefined : (save.error?.at(`texts.${at}.text`) ?? save.error?.at(`texts.${at}.item`));
  };
  const columns: Column<OrderItem>[] = [
    itemColumn<OrderItem>(({ item }) => item),
    ...languages().map((language): Column<OrderItem> => ({
      id: language,
      head: languageName(language),
      text: (row) => textOf(row, language),
      cell: (row) =>
        editable ? (
          <>
            <Input
              aria-label={`What is done to ${row.item.number}, ${languageName(language)}`}
              aria-invalid={fault(row, language) !== undefined}
              placeholder={order.title}
              maxLength={200}
              value={textOf(row, language)}
              onChange={(event) => type(row, language, event.target.value)}
            />
            {fault(row, language) !== undefined && <p className="text-sm text-alarm">▸ {fault(row, language)}</p>}
          </>
        ) : (
          textOf(row, language)
        ),
    })),
  ];
  return (
    <section aria-label="What sheets tell" className="space-y-2">
      <h3>What sheets tell was done</h3>
      <DataTable
        label="What sheets tell was done"
        exportName={`done-by-${order.number}`}
        caption={isSaid ? '' : 'The title of the order, unless something is said here.'}
        rows={rows}
        columns={columns}
        keyOf={({ item }) => item.number}
        empty=""
      />
      {editable && Object.keys(texts).length > 0 && (
        <div className="flex gap-2">
          <Button look="main" busy={save.isPending} onClick={() => save.mutate(texts)}>
            Save texts
          </Button>
          <Button look="quiet" onClick={() => setTexts({})}>
            Cancel
          </Button>
        </div>
      )}
      <ProblemNotice problem={save.error} shown={places.flatMap((_, at) => [`texts.${at}.text`, `texts.${at}.item`])} />
    </section>
  );
}
