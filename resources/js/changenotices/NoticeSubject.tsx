import type { Schemas } from '../lib/api';
import { ItemNumber } from '../ui/Num';
import { PartChanges } from '../ui/PartChanges';

type Subject = Schemas['NoticeSubject'];

const kinds: Record<string, string> = {
  engineering: 'engineering structure',
  manufacturing: 'manufacturing',
  item_data: 'item data',
};

/** What differs in one subject, part by part, with the value before beside the one after. */
export function NoticeSubject({ subject }: { subject: Subject }) {
  return (
    <section className="mt-2" aria-label={`${subject.item} ${kinds[subject.kind] ?? subject.kind} ${subject.plant}`}>
      <h3>
        <ItemNumber number={subject.item} /> {subject.title}, {kinds[subject.kind] ?? subject.kind}
        {subject.plant !== '' && ` at ${subject.plant}`}:{' '}
        {subject.was === null ? `first revision ${subject.becomes}` : `${subject.was} → ${subject.becomes}`}
      </h3>
      <PartChanges parts={subject.parts} />
    </section>
  );
}
