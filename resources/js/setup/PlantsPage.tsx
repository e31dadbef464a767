import { useQuery } from '@tanstack/react-query';
import { useState } from 'react';
import type { Schemas } from '../lib/api';
import { count, day, today } from '../lib/format';
import { queries } from '../lib/queries';
import { useMay } from '../lib/session';
import { Button } from '../ui/Button';
import { Facts } from '../ui/Facts';
import { Loading } from '../ui/Loading';
import { Page } from '../ui/Page';
import { PlantForm } from './PlantForm';
import { weekdayNames } from './weekdays';
import { WorkCentres } from './WorkCentres';

type Plant = Schemas['PlantRow'];

/** When plants work, where they are in time, and what an hour costs at their work centres. */
export function PlantsPage() {
  const plants = useQuery(queries.plants());
  const maySet = useMay('set_up');
  return (
    <Page title="Plants and work centres" over="Set-up">
      <Loading query={plants}>
        {(rows) => (
          <div className="max-w-5xl space-y-10">
            {rows.length === 0 && <p>There is no site yet. Every site is a plant: add one to the list of sites.</p>}
            {rows.map((plant) => (
              <PlantSection key={plant.code} plant={plant} maySet={maySet} />
            ))}
          </div>
        )}
      </Loading>
    </Page>
  );
}

function PlantSection({ plant, maySet }: { plant: Plant; maySet: boolean }) {
  const [open, setOpen] = useState(false);
  return (
    <section aria-labelledby={`plant-${plant.code}`}>
      <div className="mb-2 flex items-baseline gap-3">
        <h2 id={`plant-${plant.code}`}>{plant.name}</h2>
        <span className="font-mono text-[0.84rem] text-soft">{plant.code}</span>
        {plant.retired && <span className="text-soft">retired</span>}
        {maySet && !open && (
          <Button look="quiet" className="!h-6" aria-label={`Change ${plant.name}`} onClick={() => setOpen(true)}>
            Change
          </Button>
        )}
      </div>
      {open ? (
        <PlantForm key={plant.version} plant={plant} onDone={() => setOpen(false)} />
      ) : (
        <div className="border-y border-strong bg-sheet px-3 py-2">
          <Facts
            facts={[
              ['Works on', weekdayNames(plant.weekdays)],
              ['Shifts', plant.shifts === '' ? 'not set up' : `${plant.shifts}, ${hours(plant.minutes)}`],
              ['Time zone', `${plant.time_zone ?? 'of the installation'}; ${day(plant.today)} there`],
              ['Days off and extra days', daysAhead(plant)],
            ]}
          />
        </div>
      )}
      <WorkCentres plant={plant} maySet={maySet} />
    </section>
  );
}

const hours = (minutes: number) =>
  `${Math.floor(minutes / 60)} h${minutes % 60 === 0 ? '' : ` ${minutes % 60} min`} a day`;

/** The next ones, and how many there are. */
function daysAhead({ days }: Plant): string {
  const ahead = days.filter((one) => one.day >= today());
  const next = ahead
    .slice(0, 3)
    .map((one) => `${day(one.day)} ${one.works ? 'works' : 'closed'}${one.name === '' ? '' : `, ${one.name}`}`);
  const more = ahead.length - next.length;
  return ahead.length === 0 ? 'none ahead' : next.join('; ') + (more > 0 ? `; ${count(more)} more` : '');
}
