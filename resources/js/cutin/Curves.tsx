import { useState } from 'react';
import type { Schemas } from '../lib/api';
import { Select } from '../ui/Select';
import { CutInChart } from './CutInChart';

interface Props {
  page: Schemas['CutInPage'];
  held: Schemas['CutInPage'] | null;
  at: number;
  onAt: (at: number) => void;
}

/** The picture of the plan with what its lines mean; the plant and the unit that are drawn are chosen where there are several. */
export function Curves({ page, held, at, onAt }: Props) {
  const [chosen, setChosen] = useState('');
  const [unitChosen, setUnit] = useState('');
  const plant = page.plants.find((one) => one.plant === chosen) ?? page.plants[0];
  if (!plant) return null;
  const units = [...new Set(plant.parts.map((part) => part.item.unit))];
  const unit = units.find((one) => one === unitChosen) ?? units[0] ?? '';
  const drawn = plant.parts.filter((part) => part.item.unit === unit);
  const named = (goes: boolean) =>
    drawn
      .filter((part) => part.goes === goes)
      .map((part) => part.item.number)
      .join(', ');
  return (
    <figure>
      {(page.plants.length > 1 || units.length > 1) && (
        <div className="mb-1 flex gap-2">
          {page.plants.length > 1 && (
            <Select
              className="w-40"
              aria-label="Plant drawn"
              value={plant.plant}
              onChange={setChosen}
              options={Object.fromEntries(page.plants.map((one) => [one.plant, `Plant ${one.plant}`]))}
            />
          )}
          {units.length > 1 && (
            <Select
              className="w-32"
              aria-label="Unit drawn"
              value={unit}
              onChange={setUnit}
              options={Object.fromEntries(units.map((one) => [one, `in ${one}`]))}
            />
          )}
        </div>
      )}
      <CutInChart page={page} plant={plant} unit={unit} held={held} at={at} onAt={onAt} />
      <figcaption className="mt-1 flex flex-wrap gap-x-6 text-sm text-soft">
        {named(true) !== '' && (
          <span>
            <span aria-hidden className="mr-2 inline-block w-6 border-t-2 border-warn align-middle" />
            goes: {named(true)}
          </span>
        )}
        {named(false) !== '' && (
          <span>
            <span aria-hidden className="mr-2 inline-block w-6 border-t-2 border-dashed border-accent align-middle" />
            comes: {named(false)}, without further orders
          </span>
        )}
        <span>
          <span aria-hidden className="mr-2 inline-block w-6 border-t-2 border-ink align-middle" />
          what each day costs
        </span>
        <span>
          <span aria-hidden className="mr-2 inline-block h-3 w-6 bg-accent-soft align-middle" />
          within 1 % of the least; below, days on which a plant can cut in
        </span>
        {held && (
          <span>
            <span aria-hidden className="mr-2 inline-block w-6 border-t-2 border-dotted border-plum align-middle" />
            the plan compared
          </span>
        )}
      </figcaption>
    </figure>
  );
}
