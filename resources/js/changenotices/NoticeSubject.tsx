import type { Schemas } from '../lib/api';
import { ItemNumber } from '../ui/Num';
import { Mark } from '../ui/Mark';

type Subject = Schemas['NoticeSubject'];

const kinds: Record<string, string> = {
  engineering: 'engineering structure',
  manufacturing: 'manufacturing',
  item_data: 'item data',
};

const marks = { add: 'added', remove: 'removed', replace: 'replaced', change: 'changed', keep: 'unchanged' } as const;

const cell = 'border-b border-rule px-2 py-0.5 text-left align-baseline first:pl-0';

/** What differs in one subject, part by part, with the value before beside the one after. */
export function NoticeSubject({ subject }: { subject: Subject }) {
  return (
    <section className="mt-2" aria-label={`${subject.item} ${kinds[subject.kind] ?? subject.kind} ${subject.plant}`}>
      <h3>
        <ItemNumber number={subject.item} /> {subject.title}, {kinds[subject.kind] ?? subject.kind}
        {subject.plant !== '' && ` at ${subject.plant}`}:{' '}
        {subject.was === null ? `first revision ${subject.becomes}` : `${subject.was} → ${subject.becomes}`}
      </h3>
      {subject.parts.length === 0 ? (
        <p className="text-soft">No line differs.</p>
      ) : (
        <table className="w-full max-w-5xl">
          <thead>
            <tr className="text-sm text-soft">
              {['What', 'Field', 'Before', 'After'].map((head) => (
                <th key={head} className={cell}>
                  {head}
                </th>
              ))}
            </tr>
          </thead>
          {subject.parts.map((part) => (
            <tbody key={`${part.action} ${part.called}`}>
              {part.fields.map((field, at) => (
                <tr key={field.name}>
                  {at === 0 && (
                    <th scope="rowgroup" rowSpan={part.fields.length} className={`${cell} font-normal`}>
                      <Mark value={marks[part.action]} word /> {part.called}
                    </th>
                  )}
                  <td className={`${cell} text-soft`}>{field.name}</td>
                  <td className={cell}>
                    {field.before === '' ? '–' : <del className="text-soft">{field.before}</del>}
                  </td>
                  <td className={cell}>{field.after === '' ? '–' : field.after}</td>
                </tr>
              ))}
            </tbody>
          ))}
        </table>
      )}
    </section>
  );
}
