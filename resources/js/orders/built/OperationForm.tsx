import type { UseMutationResult } from '@tanstack/react-query';
import { useState } from 'react';
import type { ApiProblem, Schemas } from '../../lib/api';
import { Button } from '../../ui/Button';
import { DecimalInput } from '../../ui/DecimalInput';
import { Field } from '../../ui/Field';
import { Input } from '../../ui/Input';
import { ProblemNotice } from '../../ui/Notice';
import { Select } from '../../ui/Select';
import { operationFields, operationHeads, said, type OperationField } from './operationFields';
import type { BuiltEdit, Operation } from './useBuilt';
import type { Done } from '../useRedline';

interface Props {
  /** Null: a new one. */
  operation: Operation | null;
  /** The number that a new one gets. */
  next: number;
  centres: Schemas['WorkCentreRow'][];
  route: UseMutationResult<Done, ApiProblem, BuiltEdit>;
  onDone: () => void;
}

const INSIDE: OperationField[] = ['set_up', 'run', 'per'];
const OUTSIDE: OperationField[] = ['supplier', 'cost', 'lead_time'];
const perNames = { unit: 'unit', batch: 'batch' };

/** All of one operation in a row, inside at a work centre or outside at a supplier; what is not changed is not sent. */
export function OperationForm({ operation, next, centres, route, onDone }: Props) {
  const begun = Object.fromEntries(
    operationFields.map((field) => [field, operation === null ? '' : said(operation, field)]),
  ) as Record<OperationField, string>;
  const [form, setForm] = useState({ ...begun, ...(operation === null && { number: String(next), per: 'unit' }) });
  const [outside, setOutside] = useState(operation !== null && operation.supplier !== '');
  const set = (field: OperationField) => (text: string) => setForm((before) => ({ ...before, [field]: text }));
  const without = outside ? (['work_centre', ...INSIDE] as OperationField[]) : OUTSIDE;
  const save = async () => {
    const told = { ...form, ...Object.fromEntries(without.map((field) => [field, ''])), per: outside ? '' : form.per };
    const fields = Object.fromEntries(
      operationFields
        .filter(
          (field) =>
            operation === null || !(told[field] === begun[field] || (without.includes(field) && isNone(begun[field]))),
        )
        .map((field) => [field, told[field]]),
    );
    try {
      await route.mutateAsync({
        edit: operation === null ? 'add_operation' : 'change_operation',
        part: operation?.key ?? '',
        fields,
      });
      onDone();
    } catch {
      // The reasons stand beside their fields.
    }
  };
  const text = (field: OperationField, className: string) => (
    <Field label={operationHeads[field]} error={route.error?.at(field)} className={className}>
      <Input value={form[field]} onChange={(event) => set(field)(event.target.value)} />
    </Field>
  );
  const decimal = (field: OperationField) => (
    <Field label={operationHeads[field]} error={route.error?.at(field)} className="w-24">
      <DecimalInput value={form[field]} onChange={set(field)} />
    </Field>
  );
  const codes = centres.filter(({ code, retired }) => !retired || code === operation?.work_centre);

  return (
    <form
      aria-label={operation === null ? 'Add an operation' : `Operation ${operation.number}`}
      className="space-y-2 border-y border-rule bg-sheet px-3 py-2 font-normal"
      onSubmit={(event) => {
        event.preventDefault();
        void save();
      }}
    >
      <div className="flex flex-wrap gap-3">
        {text('number', 'w-20')}
        {text('title', 'w-56')}
        {outside ? (
          <>
            {text('supplier', 'w-48')}
            {decimal('cost')}
            {text('lead_time', 'w-24')}
          </>
        ) : (
          <>
            <Field label={operationHeads.work_centre} error={route.error?.at('work_centre')} className="w-44">
              <Select
                value={form.work_centre}
                onChange={set('work_centre')}
                options={Object.fromEntries([
                  ['', 'choose …'] as const,
                  ...codes.map(({ code, name }) => [code, `${code} ${name}`] as const),
                ])}
              />
            </Field>
            {decimal('set_up')}
            {decimal('run')}
            <Field label={operationHeads.per} error={route.error?.at('per')} className="w-24">
              <Select value={form.per === 'batch' ? 'batch' : 'unit'} onChange={set('per')} options={perNames} />
            </Field>
          </>
        )}
        {text('instruction', 'w-32')}
        {text('tools', 'w-44')}
        {text('inspection', 'w-64')}
        {text('specification', 'w-32')}
      </div>
      <label className="flex items-center gap-2">
        <input type="checkbox" checked={outside} onChange={(event) => setOutside(event.target.checked)} />
        Outside: a supplier does it
      </label>
      <ProblemNotice problem={route.error} shown={[...operationFields]} />
      <div className="flex gap-2">
        <Button type="submit" look="main" busy={route.isPending}>
          {operation === null ? 'Add the operation' : 'Save the operation'}
        </Button>
        <Button look="quiet" onClick={onDone}>
          Cancel
        </Button>
      </div>
    </form>
  );
}

/** What a field says that was never filled in. */
function isNone(text: string): boolean {
  return text === '' || text === '0' || text === 'unit';
}
