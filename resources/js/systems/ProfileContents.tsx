import { offered } from '../lib/choices';
import type { ApiProblem } from '../lib/api';
import { ChooseSeveral, faultWithin } from '../setup/ChooseSeveral';
import { Details } from '../ui/Details';
import { Field } from '../ui/Field';
import { Input } from '../ui/Input';
import { Select } from '../ui/Select';
import { fieldGroups, formats, handoverStructures, moments, type ProfileRule } from './profileWords';
import { Ticks } from './Ticks';

interface Props {
  rule: ProfileRule;
  problem: ApiProblem | null;
  onChange: (some: Partial<ProfileRule>) => void;
}

/** What a profile takes of a hand-over, when, and as what. */
export function ProfileContents({ rule, problem, onChange }: Props) {
  return (
    <>
      <div className="flex flex-wrap items-start gap-x-8 gap-y-3">
        <Ticks
          legend="When"
          options={moments}
          chosen={rule.moments}
          error={faultWithin(problem, 'moments')}
          onChange={(chosen) => onChange({ moments: chosen })}
        />
        <Ticks
          legend="What"
          options={handoverStructures}
          chosen={rule.structures}
          error={faultWithin(problem, 'structures')}
          onChange={(structures) => onChange({ structures })}
        />
        <ChooseSeveral
          label="At plants"
          chosen={rule.plants}
          options={offered('site')}
          none="All plants"
          error={faultWithin(problem, 'plants')}
          onChange={(plants) => onChange({ plants })}
        />
        <Field label="Format" className="w-28" error={problem?.at('format')}>
          <Select value={rule.format} onChange={(format) => onChange({ format })} options={formats} />
        </Field>
        <Field
          label="Name of its files"
          className="w-80 max-w-full"
          error={problem?.at('file_name')}
          hint="Parts: {order} {day} {date} {time} {number} {hand_over}; the ending follows from the format."
        >
          <Input value={rule.file_name} onChange={(event) => onChange({ file_name: event.target.value })} />
        </Field>
      </div>
      <Details summary={rule.fields.length === 0 ? 'Fields: all' : `Fields: ${rule.fields.length} chosen`}>
        <p className="my-1 text-sm text-soft">
          None ticked: all of them. Number, action, structure, plant, item and revision are always there.
        </p>
        <div className="gap-x-8 sm:columns-2 lg:columns-4">
          {Object.entries(fieldGroups).map(([group, fields]) => (
            <Ticks
              key={group}
              legend={group}
              options={fields}
              chosen={rule.fields}
              className="mb-3 break-inside-avoid"
              onChange={(chosen) => onChange({ fields: chosen })}
            />
          ))}
        </div>
      </Details>
      {faultWithin(problem, 'fields') !== undefined && (
        <p className="text-sm text-alarm">▸ {faultWithin(problem, 'fields')}</p>
      )}
    </>
  );
}
