import { useState } from 'react';
import { api, told, type Schemas } from '../lib/api';
import { count, moment } from '../lib/format';
import { queries } from '../lib/queries';
import { touches } from '../lib/touches';
import { useAct } from '../lib/useAct';
import { Button } from '../ui/Button';
import { ProblemNotice } from '../ui/Notice';
import { Picker } from '../ui/Picker';
import { FileText } from './FileText';
import type { ProfileRule } from './profileWords';

type Past = Schemas['PastHandover'];

interface Props {
  /** As it is on screen, saved or not. */
  rule: ProfileRule;
  /** Of a saved one that is in use: a past hand-over can be sent by it. */
  code: string | null;
}

/** What a profile would make of a past hand-over. */
export function ProfilePreview({ rule, code }: Props) {
  const [past, setPast] = useState<Past | null>(null);
  const look = useAct(touches.nothing, (one: Past) =>
    told(
      api.POST('/api/hand-over-previews', {
        body: {
          structures: rule.structures,
          plants: rule.plants,
          fields: rule.fields,
          format: rule.format,
          file_name: rule.file_name,
          hand_over: one.name,
        },
      }),
    ),
  );
  const send = useAct(touches.system, (one: Past) =>
    told(
      api.POST('/api/hand-over-profiles/{code}/files', {
        params: { path: { code: code ?? '' } },
        body: { hand_over: one.name },
      }),
    ),
  );
  return (
    <section className="space-y-2 border-t border-rule pt-3">
      <h2>Try it out</h2>
      <div className="flex flex-wrap items-center gap-2">
        <Picker<Past>
          label="Past hand-over"
          placeholder="Order or title of a past hand-over"
          className="w-96 max-w-full"
          find={queries.pastHandovers}
          numberOf={(one) => one.name}
          onPick={(one) => {
            setPast(one);
            send.reset();
            look.mutate(one);
          }}
        >
          {(one) => (
            <>
              <span className="font-mono text-sm whitespace-nowrap">{one.name}</span>
              <span className="truncate">{one.title}</span>
              <span className="ml-auto text-sm whitespace-nowrap text-soft">{moment(one.written_at)}</span>
            </>
          )}
        </Picker>
        {past !== null && (
          <>
            <Button look="quiet" busy={look.isPending} onClick={() => look.mutate(past)}>
              Preview again
            </Button>
            {code !== null && look.data?.file_name != null && (
              <Button look="quiet" busy={send.isPending} onClick={() => send.mutate(past)}>
                Send this one, as saved
              </Button>
            )}
          </>
        )}
        <span role="status" className="text-sm text-soft">
          {send.isSuccess && 'Sent; it stands among the messages.'}
        </span>
      </div>
      <ProblemNotice problem={look.error ?? send.error} />
      {look.data !== undefined && <Seen seen={look.data} />}
    </section>
  );
}

function Seen({ seen }: { seen: Schemas['ProfilePreview'] }) {
  if (seen.file_name === null) {
    return <p>Nothing of it is for this profile: no file is written. Entries left out: {count(seen.left_out)}.</p>;
  }
  const shown = seen.begins.split('\n').length;
  return (
    <div className="space-y-1">
      <p className="text-sm text-soft">
        <span className="font-mono text-ink">{seen.file_name}</span> · {count(seen.entries)} of{' '}
        {count(seen.entries + seen.left_out)} entries · {count(seen.bytes)} bytes
        {shown < seen.lines && ` · first ${count(shown)} of ${count(seen.lines)} lines shown`}
      </p>
      <FileText label="Preview of the file">{seen.begins}</FileText>
    </div>
  );
}
