import type { Schemas } from '../lib/api';
import { Mark } from './Mark';

const marks = { add: 'added', remove: 'removed', replace: 'replaced', change: 'changed', keep: 'unchanged' } as const;

const cell = 'border-b border-rule px-2 py-0.5 text-left align-baseline';

/** What differs, part by part, with the value before beside the one after. */
export function PartChanges({ parts }: { parts: Schemas['PartChange'][] }) {
  if (parts.length === 0) return <p className="text-soft">No line differs.</p>;
  return (
    <table className="w-full max-w-5xl">
      <thead>
        <tr className="text-sm text-soft">
          {['What', 'Field', 'Before', 'After'].map((head) => (
            <th key={head} className={`${cell} first:pl-0`}>
              {head}
            </th>
          ))}
        </tr>
      </thead>
      {parts.map((part) => (
        <tbody key={`${part.action} ${part.called}`}>
          {part.fields.map((field, at) => (
            <tr key={field.name}>
              {at === 0 && (
                <th scope="rowgroup" rowSpan={part.fields.length} className={`${cell} pl-0 font-normal`}>
                  <Mark value={marks[part.action]} word /> {part.called}
                </th>
              )}
              <td className={`${cell} text-soft`}>{field.name}</td>
              <td className={cell}>{field.before === '' ? '–' : <del className="text-soft">{field.before}</del>}</td>
              <td className={cell}>{field.after === '' ? '–' : field.after}</td>
            </tr>
          ))}
        </tbody>
      ))}
    </table>
  );
}
