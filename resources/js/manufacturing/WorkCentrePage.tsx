import { useQuery } from '@tanstack/react-query';
import { useParams, useSearchParams } from 'react-router';
import { today } from '../lib/format';
import { queries } from '../lib/queries';
import { DateInput } from '../ui/DateInput';
import { Field } from '../ui/Field';
import { Loading } from '../ui/Loading';
import { Page } from '../ui/Page';
import { OperationUses } from './OperationUses';

/** A work centre: what is made there on a day, at which operations, in how many minutes. */
export function WorkCentrePage() {
  const { plant = '', code = '' } = useParams();
  const [params, setParams] = useSearchParams();
  const on = params.get('on') ?? today();
  const uses = useQuery(queries.operationsOfWorkCentre(plant, code, on));
  return (
    <Page title={`Work centre ${code}`} over={`Plant ${plant}`}>
      <Field label="As of" className="mb-3 w-40">
        <DateInput
          aria-label="As of"
          value={on}
          onChange={(day) => setParams(day === '' || day === today() ? {} : { on: day }, { replace: true })}
        />
      </Field>
      <Loading query={uses}>{(data) => <OperationUses of={code} uses={data} />}</Loading>
    </Page>
  );
}
