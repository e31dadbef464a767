import { useQuery } from '@tanstack/react-query';
import { useEffect, type ReactNode } from 'react';
import { useParams } from 'react-router';
import type { Schemas } from '../lib/api';
import { queries } from '../lib/queries';
import { remember } from '../lib/recent';
import { useMay } from '../lib/session';
import { ChangeNumber } from '../ui/Num';
import { Loading } from '../ui/Loading';
import { Page } from '../ui/Page';
import { Discussion } from '../discussion/Discussion';
import { WatchButton } from '../notices/WatchButton';
import { RelationsLink } from '../relations/RelationsLink';
import { Priority } from '../ui/Priority';
import { ConsequenceStrip } from '../orders/ConsequenceStrip';
import { OnHold } from '../orders/OnHold';
import { TasksOfChange } from '../tasks/TasksOfChange';
import { SinceLooked } from './SinceLooked';
import { Step } from './Step';
import { StepRail } from './StepRail';
import { AssessStep } from './steps/AssessStep';
import { FollowThroughStep } from './steps/FollowThroughStep';
import { LookBackStep } from './steps/LookBackStep';
import { OrderStep } from './steps/OrderStep';
import { ReleaseStep } from './steps/ReleaseStep';
import { ReviseStep } from './steps/ReviseStep';
import { SignStep } from './steps/SignStep';
import { TakeInStep } from './steps/TakeInStep';

type Dossier = Schemas['Dossier'];

const contents: Record<Schemas['StepRow']['step'], (dossier: Dossier) => ReactNode> = {
  take_in: (dossier) => <TakeInStep dossier={dossier} />,
  assess: (dossier) => <AssessStep dossier={dossier} />,
  order: (dossier) => <OrderStep dossier={dossier} />,
  revise: (dossier) => <ReviseStep dossier={dossier} />,
  sign: (dossier) => <SignStep dossier={dossier} />,
  release: (dossier) => <ReleaseStep dossier={dossier} />,
  follow_through: (dossier) => <FollowThroughStep dossier={dossier} />,
  look_back: (dossier) => <LookBackStep dossier={dossier} />,
};

/** Whether nothing is to be done for it any more. */
const hasEnded = ({ order, requests }: Dossier) =>
  order === null
    ? requests.every(({ state }) => state === 'rejected' || state === 'gathered')
    : order.state === 'closed' || order.state === 'withdrawn';

/** One change from first report to last follow-up: the order of work is the page. */
export function DossierPage() {
  const { number = '' } = useParams();
  const dossier = useQuery(queries.dossier(number));
  return dossier.data ? (
    <DossierView key={dossier.data.number} dossier={dossier.data} />
  ) : (
    <Page title={number}>
      <Loading query={dossier}>{() => null}</Loading>
    </Page>
  );
}

function DossierView({ dossier }: { dossier: Dossier }) {
  useEffect(
    () => remember(`/changes/${dossier.number}`, `${dossier.number} ${dossier.title}`),
    [dossier.number, dossier.title],
  );
  const now = dossier.steps.findIndex((step) => step.state === 'now');
  useEffect(() => {
    // Whoever opens a change that is well under way wants the step it is at; what came before is above it.
    const place = window.location.hash.slice(1) || (now > 1 ? dossier.steps[now]?.step : '');
    document.getElementById(place ?? '')?.scrollIntoView();
    // eslint-disable-next-line react-hooks/exhaustive-deps -- once, on opening; not when a step is done
  }, []);
  const links = [...dossier.requests.map((one) => one.number), ...(dossier.order ? [dossier.order.number] : [])];
  const open = dossier.order?.is_open === true;
  const mayHold = useMay('plan_order');
  const look = useQuery(queries.look(dossier.order?.number ?? dossier.number)).data;
  return (
    <>
      <Page
        title={dossier.title}
        number={dossier.order?.number ?? dossier.number}
        over={
          <span className="flex items-baseline gap-2">
            Dossier ·{' '}
            {links.map((number, index) => (
              <span key={number} className="flex items-baseline gap-2">
                {index > 0 && <span aria-hidden="true">{number.startsWith('ECO') ? '→' : '+'}</span>}
                <ChangeNumber number={number} />
              </span>
            ))}
          </span>
        }
        aside={
          <>
            <WatchButton number={dossier.order?.number ?? dossier.number} />
            <RelationsLink number={dossier.number} />
            <Priority value={dossier.priority} />
          </>
        }
      >
        <div className="grid gap-8 print:block lg:grid-cols-[11.5rem_minmax(0,1fr)]">
          <StepRail
            steps={dossier.steps}
            number={dossier.order?.number ?? dossier.number}
            title={dossier.title}
            tasks={dossier.tasks}
            news={look?.since == null ? 0 : look.total}
          />
          <div>
            {look && <SinceLooked look={look} />}
            {dossier.order !== null && <OnHold order={dossier.order} may={mayHold} />}
            {dossier.steps.map((step, index) => (
              <Step key={step.step} step={step} number={index + 1}>
                {contents[step.step](dossier)}
              </Step>
            ))}
            <TasksOfChange
              change={dossier.order?.number ?? dossier.number}
              tasks={dossier.tasks}
              ended={hasEnded(dossier)}
              editable={editableOf(dossier)}
              mayWait={waits[dossier.order?.state ?? ''] ?? []}
            />
            <div className="mt-6">
              <Discussion numbers={discussed(dossier)} />
            </div>
          </div>
        </div>
      </Page>
      {open && <ConsequenceStrip order={dossier.order?.number ?? ''} />}
    </>
  );
}

/** What may wait for a task, by the state of the order. */
const waits: Record<string, readonly ('review' | 'release')[]> = {
  planning: ['review', 'release'],
  revising: ['review', 'release'],
  in_review: ['release'],
  signed: ['release'],
};

/** The items that an order changes, as long as they are edited. */
const editableOf = ({ order }: Dossier) =>
  (waits[order?.state ?? '']?.includes('review') === true ? (order?.items ?? []) : [])
    .filter(({ outcome }) => outcome !== 'keep')
    .map(({ item, outcome }) => ({ item: item.number, title: item.title, outcome }));

/** An order goes on with what was said on its requests. */
function discussed(dossier: Dossier): [string, ...string[]] {
  const requests = dossier.requests.map((one) => one.number);
  const order = dossier.order?.number;
  return order === undefined
    ? [dossier.number, ...requests.filter((one) => one !== dossier.number)]
    : [order, ...requests];
}
