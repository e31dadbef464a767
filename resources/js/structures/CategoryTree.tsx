import { useState } from 'react';
import type { Schemas } from '../lib/api';
import { count } from '../lib/format';

type Category = Schemas['CategoryRow'];

interface Props {
  categories: Category[];
  /** Code of the one that is looked at; empty for all. */
  chosen: string;
  onChoose: (code: string) => void;
}

/** All categories, each under the one it belongs to, with how many items are in it and below. */
export function CategoryTree({ categories, chosen, onChoose }: Props) {
  return (
    <nav aria-label="Categories" className="text-sm">
      <Entry name="All items" items={total(categories, null)} chosen={chosen === ''} onChoose={() => onChoose('')} />
      <Level under={null} categories={categories} chosen={chosen} onChoose={onChoose} />
    </nav>
  );
}

function Level({ under, categories, chosen, onChoose }: Props & { under: string | null }) {
  return (
    <ul className={under === null ? '' : 'ml-3 border-l border-rule'}>
      {categories
        .filter((one) => one.under === under)
        .map((one) => (
          <Branch key={one.code} category={one} categories={categories} chosen={chosen} onChoose={onChoose} />
        ))}
    </ul>
  );
}

function Branch({ category, categories, chosen, onChoose }: Props & { category: Category }) {
  const { code, name } = category;
  const [open, setOpen] = useState(true);
  const parent = categories.some(({ under }) => under === code);
  return (
    <li>
      <div className="flex items-center">
        {parent ? (
          <button
            type="button"
            aria-expanded={open}
            aria-label={`What is under ${name}`}
            onClick={() => setOpen(!open)}
            className="min-h-6 w-6 shrink-0 text-soft hover:text-ink"
          >
            {open ? '−' : '+'}
          </button>
        ) : (
          <span className="w-6 shrink-0" />
        )}
        <Entry
          name={name}
          items={category.items + total(categories, code)}
          chosen={chosen === code}
          onChoose={() => onChoose(code)}
        />
      </div>
      {parent && open && <Level under={code} categories={categories} chosen={chosen} onChoose={onChoose} />}
    </li>
  );
}

function Entry({
  name,
  items,
  chosen,
  onChoose,
}: {
  name: string;
  items: number;
  chosen: boolean;
  onChoose: () => void;
}) {
  return (
    <button
      type="button"
      aria-current={chosen ? 'true' : undefined}
      onClick={onChoose}
      className={`flex min-h-6 w-full min-w-0 items-center justify-between gap-2 px-1 py-0.5 text-left hover:bg-well ${chosen ? 'bg-accent-soft font-semibold' : ''}`}
    >
      <span className="truncate">{name}</span>
      <span className="text-soft">{count(items)}</span>
    </button>
  );
}

/** Items in all that stands under a category. */
function total(categories: Category[], under: string | null): number {
  return categories
    .filter((one) => one.under === under)
    .reduce((sum, one) => sum + one.items + total(categories, one.code), 0);
}
