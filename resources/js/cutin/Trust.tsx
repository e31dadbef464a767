import { useQueryClient } from '@tanstack/react-query';
import { api, told, type Schemas } from '../lib/api';
import { count, day, moment, quantity } from '../lib/format';
import { queries } from '../lib/queries';
import { touches } from '../lib/touches';
import { useAct } from '../lib/useAct';
import { Button } from '../ui/Button';
import { Notice, ProblemNotice } from '../ui/Notice';

interface Props {
  page: Schemas['CutInPage'];
  question: Schemas['CutInQuestion'];
}

/** What one has to know before trusting the plan: when planning told of it, what is missing, what cannot be kept. */
export function Trust({ page, question }: Props) {
  const client = useQueryClient();
  const anew = useAct(
    touches.nothing,
    () => told(api.POST('/api/cut-in', { body: { ...question, anew: true } })),
    (answer) => {
      client.setQueryData(queries.cutIn(question).queryKey, answer);
      // What other levers were told before is of no use any more.
      client.removeQueries({ queryKey: ['planning', 'cut-in'], type: 'inactive' });
      void client.invalidateQueries({ queryKey: ['planning', 'cut-in-rows'] });
      void client.invalidateQueries({ queryKey: ['planning', 'cut-in-to-do'] });
      void client.invalidateQueries({ queryKey: ['planning', 'cut-in-hinges'] });
    },
  );
  return (
    <>
      <p className="!mb-1 flex flex-wrap items-center gap-x-3 text-sm text-soft">
        {page.fetched_at ? `Planning data as of ${moment(page.fetched_at)}` : 'No planning data for these items yet'}
        <Button look="quiet" className="!h-6 !text-sm" busy={anew.isPending} onClick={() => anew.mutate(undefined)}>
          Refresh from planning
        </Button>
      </p>
      <ProblemNotice problem={anew.error} shown={[]} />
      {page.fault && (
        <Notice look="warn">
          {page.fault}{' '}
          {page.fetched_at
            ? `Shown: planning data as of ${moment(page.fetched_at)}.`
            : 'No earlier planning data for these items.'}
        </Notice>
      )}
      {page.strangers.length > 0 && (
        <Notice look="warn">
          Planning also returned {page.strangers.join(', ')}, which {page.strangers.length === 1 ? 'was' : 'were'} not
          requested; ignored.
        </Notice>
      )}
      {page.best.earliest === null && (
        <Notice look="warn">No day of those planned is possible: it waits for {page.waits_for.join(', ')}.</Notice>
      )}
      {page.unknown_leads.length > 0 && (
        <Notice look="warn">
          The lead time of {page.unknown_leads.join(', ')} is not known, and the answer hangs on it: enter one.
        </Notice>
      )}
      <Notes page={page} />
      {page.against_prescribed && (
        <Notice look="warn">
          {day(page.prescribed)} cannot be kept. {page.against_prescribed}
        </Notice>
      )}
      {page.unknown_costs.length > 0 && (
        <Notice look="warn">Without a standard cost, counted as nothing: {page.unknown_costs.join(', ')}.</Notice>
      )}
    </>
  );
}

/** What has been taken for granted of single items, plants and places. */
function Notes({ page }: { page: Props['page'] }) {
  const noCalendar = page.plants.filter((plant) => !plant.has_calendar && plant.plant !== '');
  const more = page.not_known - page.not_known_items.length;
  const notes = [
    page.not_known > 0 &&
      `${page.not_known_items.join(', ')}${more > 0 ? ` and ${count(more)} more` : ''} ${
        page.not_known === 1 ? 'is' : 'are'
      } not in planning; stock and demand are taken as zero.`,
    page.idle.length > 0 && `No demand for ${page.idle.join(', ')}, neither before nor after.`,
    ...late(page).map(
      ({ item, plant, late: much }) =>
        `Late: ${much} ${item.unit} of ${item.number}${plant === '' ? '' : ` at ${plant}`} should have been there before today, for orders that are not placed. They stand on no day of the plan.`,
    ),
    page.other_places.length > 0 &&
      `${page.other_places.join(', ')}: not a plant; counted at ${page.plants[0]?.plant ?? ''}.`,
    noCalendar.length > 0 &&
      `Without a calendar, taken to work every day: ${noCalendar.map(({ plant }) => plant).join(', ')}.`,
    !page.counts_recurring && 'What comes costs more than what goes. That does not count for the best day.',
  ].filter((note) => note !== false);
  return notes.length === 0 ? null : (
    <ul className="!m-0 text-sm text-soft">
      {notes.map((note) => (
        <li key={note}>{note}</li>
      ))}
    </ul>
  );
}

/** The parts of which some is late, with their plant. */
function late(page: Props['page']): { item: Schemas['ItemRow']; plant: string; late: string }[] {
  return page.plants.flatMap(({ plant, parts }) =>
    parts
      .filter((part) => Number(part.late) > 0)
      .map((part) => ({ item: part.item, plant, late: quantity(part.late) })),
  );
}
