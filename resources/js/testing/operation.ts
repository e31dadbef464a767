import type { Schemas } from '../lib/api';

/** An operation of the pump line; outside where a supplier is named. */
export function operation(
  number: number,
  title: string,
  more: Partial<Schemas['OperationData']> = {},
): Schemas['OperationData'] {
  const inside = (more.supplier ?? '') === '';
  return {
    key: `op-${number}`,
    number,
    title,
    work_centre: inside ? 'PUMP' : '',
    set_up: inside ? '15' : '0',
    run: inside ? '2.5' : '0',
    per: 'unit',
    supplier: '',
    cost: '',
    lead_time: '',
    instruction: '',
    tools: [],
    inspection: '',
    specification: '',
    ...more,
  };
}
