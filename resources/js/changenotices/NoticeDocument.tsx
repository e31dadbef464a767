import type { Schemas } from '../lib/api';
import { day, moment } from '../lib/format';
import { dispositions, outcomes, priorities } from '../lib/words';
import { Facts } from '../ui/Facts';
import { ItemNumber, ChangeNumber } from '../ui/Num';
import { Person } from '../ui/Person';
import { NoticeSheets } from './NoticeSheets';
import { NoticeSubject } from './NoticeSubject';

const cell = 'border-b border-rule px-2 py-0.5 text-left align-baseline first:pl-0';

/** All that a change notice says, in the order in which it is read. */
export function NoticeDocument({ content }: { content: Schemas['NoticeContent'] }) {
  return (
    <div className="space-y-6">
      <div className="border-y border-strong bg-sheet px-3 py-2">
        <Facts
          facts={[
            ['Effective from', day(content.effective_on)],
            ['Priority', priorities[content.priority]],
            ['Released', moment(content.released_at)],
            ['Released by', <Person key="by" name={content.released_by} />],
          ]}
        />
      </div>
      {content.description !== '' && <p className="max-w-4xl whitespace-pre-line">{content.description}</p>}
      {content.reasons.length > 0 && (
        <section aria-label="Reason">
          <h2>Reason</h2>
          {content.reasons.map((one) => (
            <div key={one.request} className="max-w-4xl">
              <p className="whitespace-pre-line">
                <ChangeNumber number={one.request} /> {one.reason}: {one.description}
              </p>
              {one.finding !== '' && <p className="whitespace-pre-line">Finding: {one.finding}</p>}
            </div>
          ))}
        </section>
      )}
      <section aria-label="Items">
        <h2 className="mb-1">Items</h2>
        <table className="w-full max-w-5xl">
          <thead>
            <tr className="text-sm text-soft">
              {['Item', 'Title', 'Outcome', 'Was', 'Becomes', 'Disposition of stock'].map((head) => (
                <th key={head} className={cell}>
                  {head}
                </th>
              ))}
            </tr>
          </thead>
          <tbody>
            {content.items.map((one) => (
              <tr key={one.number}>
                <td className={cell}>
                  <ItemNumber number={one.number} />
                </td>
                <td className={cell}>{one.title}</td>
                <td className={cell}>{outcomes[one.outcome]}</td>
                <td className={cell}>{one.was ?? '–'}</td>
                <td className={cell}>{one.becomes ?? '–'}</td>
                <td className={cell}>{one.disposition == null ? '–' : dispositions[one.disposition]}</td>
              </tr>
            ))}
          </tbody>
        </table>
      </section>
      <section aria-label="Before and after">
        <h2>Before and after</h2>
        {content.subjects.length === 0 && <p className="text-soft">Nothing of a structure differs.</p>}
        {content.subjects.map((one) => (
          <NoticeSubject key={`${one.item} ${one.kind} ${one.plant}`} subject={one} />
        ))}
      </section>
      {content.later.length > 0 && (
        <section aria-label="Plants that follow later">
          <h2>Plants that follow later</h2>
          <ul>
            {content.later.map((one) => (
              <li key={`${one.item} ${one.plant}`}>
                <ItemNumber number={one.item} /> at {one.plant} under <ChangeNumber number={one.order} /> by{' '}
                {day(one.by)}: {one.reason}
              </li>
            ))}
          </ul>
        </section>
      )}
      {content.products.length > 0 && (
        <section aria-label="End products">
          <h2>End products</h2>
          <p>{content.products.join(', ')}</p>
        </section>
      )}
      {content.waivers.length > 0 && (
        <section aria-label="Checks that were waived">
          <h2>Checks that were waived</h2>
          {content.waivers.map((one) => (
            <p key={one.check}>
              {one.fault} Waived by {one.by}, {moment(one.at)}: {one.reason}
            </p>
          ))}
        </section>
      )}
      <section aria-label="Signatures">
        <h2>Signatures</h2>
        {content.signatures.length === 0 && <p className="text-soft">None on record.</p>}
        <ul>
          {content.signatures.map((one) => (
            <li key={`${one.person} ${one.at}`}>
              <Person name={one.person} />
              {one.for !== null && <> for {one.for}</>}, {one.said === '' ? 'signed' : one.said}, {moment(one.at)}{' '}
              <span className="font-mono text-sm text-soft">{one.digest.slice(0, 12)}</span>
            </li>
          ))}
        </ul>
      </section>
      <NoticeSheets sheets={content.sheets} />
    </div>
  );
}
