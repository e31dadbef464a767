import { useQuery } from '@tanstack/react-query';
import { useState } from 'react';
import { useNavigate } from 'react-router';
import type { Schemas } from '../../lib/api';
import { bringFile } from '../../attachments/Attachments';
import { placeOf } from '../../lib/places';
import { queries } from '../../lib/queries';
import { useMay } from '../../lib/session';
import { touches } from '../../lib/touches';
import { useAct } from '../../lib/useAct';
import { Button } from '../../ui/Button';
import { ChosenChange } from '../../ui/ChosenChange';
import { ProblemNotice } from '../../ui/Notice';

interface Props {
  item: string;
  name: string;
  empty: boolean;
  svg: () => string;
  onSaved: () => void;
}

/** Keeps a mark-up as an attachment of a report or request that is open. */
export function SaveMarkUp({ item, name, empty, svg, onSaved }: Props) {
  const navigate = useNavigate();
  const mayBring = useMay('report_problem');
  const naming = useQuery(queries.item(item));
  const named = (naming.data?.changes ?? []).filter(({ type, open }) => type !== 'order' && open);
  const [target, setTarget] = useState<Schemas['ChangeRow'] | null>(null);
  const save = useAct(
    touches.attachment,
    (change: Schemas['ChangeRow']) =>
      bringFile(
        change.type === 'report' ? { report: change.number } : { request: change.number },
        'mark_up',
        new Blob([svg()], { type: 'image/svg+xml' }),
        `${name}.svg`,
      ).then(() => change),
    (change) => {
      onSaved();
      void navigate(placeOf(change.number));
    },
  );
  if (!mayBring) return null;
  return (
    <section aria-label="Save the mark-up" className="space-y-2">
      <h2 className="text-base">Attach to</h2>
      <ChosenChange
        label="Attach to"
        types={['report', 'request']}
        chosen={target}
        onChoose={setTarget}
        error={save.error?.at('file')}
      />
      {target === null && named.length > 0 && (
        <p className="text-sm">
          <span className="text-soft">Naming the item: </span>
          {named.map((one) => (
            <button
              key={one.number}
              type="button"
              className="target mr-3 font-mono text-accent underline"
              onClick={() => setTarget(one)}
            >
              {one.number}
            </button>
          ))}
        </p>
      )}
      <ProblemNotice problem={save.error} shown={['file']} />
      <Button
        look="main"
        disabled={target === null || empty}
        busy={save.isPending}
        onClick={() => target !== null && save.mutate(target)}
      >
        Save mark-up
      </Button>
    </section>
  );
}
