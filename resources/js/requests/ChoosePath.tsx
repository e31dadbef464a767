import { useQuery } from '@tanstack/react-query';
import { api, told, type Schemas } from '../lib/api';
import { queries } from '../lib/queries';
import { touches } from '../lib/touches';
import { useAct } from '../lib/useAct';
import { Field } from '../ui/Field';
import { ProblemNotice } from '../ui/Notice';
import { Select } from '../ui/Select';

/** Of the choices that are no path: one person decides, or a rule chooses. */
const ONE = 'one decision';
const BY_RULE = 'rule';

interface Props {
  request: Schemas['RequestData'];
  judged: Schemas['JudgedRequest'] | undefined;
}

/** On which approval path a request is judged, until somebody has signed. Nothing where no path is set up for requests. */
export function ChoosePath({ request, judged }: Props) {
  const offered = (useQuery(queries.approvalPaths()).data ?? []).filter(
    (one) => one.judges === 'requests' && (!one.retired || one.code === judged?.path.code),
  );
  const choose = useAct(touches.request, (path: string) =>
    told(
      api.PUT('/api/requests/{number}/path', {
        params: { path: { number: request.number } },
        body: { path: path === ONE ? null : path, version: request.version },
      }),
    ),
  );
  const isSigned = judged?.path.steps.some(({ signed }) => signed.length > 0) === true;
  if (offered.length === 0 || isSigned) return null;
  const byRule = judged?.path.by_rule === true || request.path_by_rule;
  const hasRule = byRule || offered.some(({ chosen_when, retired }) => chosen_when !== null && !retired);
  const chosen = judged === undefined ? 'One decision' : judged.path.name;
  return (
    <div className="max-w-md">
      <Field label="Approval path" error={choose.error?.at('path')}>
        <Select
          value={byRule && hasRule ? BY_RULE : (judged?.path.code ?? ONE)}
          onChange={choose.mutate}
          options={{
            ...(hasRule ? { [BY_RULE]: byRule ? `By rule: ${chosen}` : 'By rule' } : {}),
            [ONE]: 'One decision',
            ...Object.fromEntries(offered.map(({ code, name }) => [code, name])),
          }}
        />
      </Field>
      <ProblemNotice problem={choose.error} shown={['path']} />
    </div>
  );
}
