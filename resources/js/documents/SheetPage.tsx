import { useQuery } from '@tanstack/react-query';
import { useState } from 'react';
import { Link, useParams, useSearchParams } from 'react-router';
import type { Schemas } from '../lib/api';
import { day } from '../lib/format';
import { queries } from '../lib/queries';
import { Loading } from '../ui/Loading';
import { Notice } from '../ui/Notice';
import { ChangeNumber, ItemNumber } from '../ui/Num';
import { Page } from '../ui/Page';
import { Status } from '../ui/Status';
import { ended, firstOf, roles } from './files';
import { SheetMarks } from './marks/SheetMarks';
import { PartsListCheck } from './PartsListCheck';
import { SheetFrame } from './SheetFrame';
import { SheetOut } from './SheetOut';

type File = Schemas['FileRow'];

/** A drawing or document as a sheet, with what it is and how it came about beside it. */
export function SheetPage() {
  const { number = '' } = useParams();
  const [params] = useSearchParams();
  const item = useQuery(queries.item(number));
  const documents = useQuery(queries.documents(number));
  return (
    <Loading query={documents}>
      {({ files, describes }) => {
        const file = files.find(({ id }) => id === params.get('file')) ?? firstOf(files);
        const revisions = item.data?.revisions ?? [];
        const title = item.data?.item.title ?? number;
        return (
          <Page
            title={title}
            number={number}
            over={
              <span>
                <ItemNumber number={number} /> · {item.data?.item.kind}
                {describes.length > 0 && (
                  <>
                    {' '}
                    of{' '}
                    {describes.map(({ item: of }, at) => (
                      <span key={of.number}>
                        {at > 0 && ', '}
                        <ItemNumber number={of.number} /> {of.title}
                      </span>
                    ))}
                  </>
                )}
              </span>
            }
            aside={
              <>
                <Link
                  to={`/items/${number}/mark-up${file === undefined ? '' : `?file=${file.id}`}`}
                  className="mr-5 text-accent hover:underline"
                >
                  Mark up
                </Link>
                <Link to={`/items/${number}`} className="text-accent hover:underline">
                  All about {number}
                </Link>
              </>
            }
          >
            {file === undefined ? (
              <Notice>
                There is no sheet yet.{' '}
                <Link to={`/items/${number}`} className="underline">
                  Upload one on the item page
                </Link>
                .
              </Notice>
            ) : (
              <Shown
                key={file.id}
                number={number}
                title={title}
                files={files.filter(({ role }) => role !== 'model')}
                file={file}
                revisions={revisions}
              />
            )}
          </Page>
        );
      }}
    </Loading>
  );
}

interface ShownProps {
  number: string;
  title: string;
  files: File[];
  file: File;
  revisions: Schemas['RevisionRow'][];
}

function Shown({ number, title, files, file, revisions }: ShownProps) {
  const [page, setPage] = useState(1);
  return (
    <div className="grid gap-6 print:block xl:grid-cols-[minmax(0,1fr)_24rem]">
      <SheetFrame
        file={file}
        title={`${title}, ${file.name}`}
        revision={revisions.find(({ code }) => code === file.revision)}
        page={page}
        onPage={setPage}
      />
      <Beside number={number} files={files} shown={file} page={page} revisions={revisions} />
    </div>
  );
}

/** The older of two files comes first. */
function against(number: string, one: File, other: File) {
  const [before, after] = one.brought_at < other.brought_at ? [one, other] : [other, one];
  return `/items/${number}/sheet/against?before=${before.id}&after=${after.id}`;
}

interface BesideProps {
  number: string;
  files: File[];
  shown: File;
  page: number;
  revisions: Schemas['RevisionRow'][];
}

function Beside({ number, files, shown, page, revisions }: BesideProps) {
  // Only what has ended is out of date: a revision that is released for a later day leaves this one in force until then.
  const next = revisions.find(({ status }) => status === (ended(shown.status) ? 'in_force' : 'coming'));
  return (
    <div className="space-y-5">
      <section aria-label="This sheet">
        <h2 className="mb-1">{shown.revision === null ? 'A draft' : `Revision ${shown.revision}`}</h2>
        <p>
          <Status status={shown.status} revision={shown.revision} />
        </p>
        <p className="text-sm text-soft">
          {shown.name}, {roles[shown.role].toLowerCase()}
          {shown.brought_by && `, uploaded by ${shown.brought_by}`} on {day(shown.brought_at.slice(0, 10))}
        </p>
        {shown.role === 'sheet' && shown.revision !== null && next && next.code !== shown.revision && (
          <p className={ended(shown.status) ? 'mt-1 text-warn' : 'mt-1 text-plum'}>
            Revision {next.code}{' '}
            {next.status === 'coming' ? `comes into force on ${day(next.first_day)}` : 'is in force'},{' '}
            {files.some((file) => file.revision === next.code) ? 'with a sheet of its own.' : 'without a new sheet.'}
          </p>
        )}
      </section>
      {shown.role === 'sheet' && <SheetMarks file={shown} page={page} />}
      {shown.role === 'sheet' && <PartsListCheck file={shown.id} />}
      {shown.role === 'sheet' && <SheetOut key={shown.id} file={shown} />}
      <section aria-labelledby="sheet-history">
        <h2 id="sheet-history" className="mb-1">
          History
        </h2>
        <ol className="border-y border-strong bg-sheet">
          {revisions.map((revision) => (
            <li key={revision.code} className="border-b border-rule px-2 py-1.5 last:border-b-0">
              <div className="flex justify-between gap-3">
                <Status status={revision.status} revision={revision.code} />
                <span className="text-sm text-soft">
                  {revision.first_day !== null && `from ${day(revision.first_day)}`}
                  {revision.last_day !== null && ` to ${day(revision.last_day)}`}
                </span>
              </div>
              <div className="text-sm">
                {revision.reason}
                {revision.order && (
                  <>
                    , <ChangeNumber number={revision.order} />
                  </>
                )}
                {revision.released_by && `, ${revision.released_by}`}
              </div>
            </li>
          ))}
        </ol>
      </section>
      {files.length > 1 && (
        <section aria-labelledby="sheet-files" className="no-print">
          <h2 id="sheet-files" className="mb-1">
            All files
          </h2>
          <ul className="border-y border-strong bg-sheet text-sm">
            {files.map((file) => (
              <li key={file.id} className="border-b border-rule px-2 py-1 last:border-b-0">
                <Link
                  to={`/items/${number}/sheet?file=${file.id}`}
                  aria-current={file.id === shown.id}
                  className={file.id === shown.id ? 'font-semibold' : 'text-accent hover:underline'}
                >
                  {file.name}
                </Link>{' '}
                {roles[file.role].toLowerCase()}, {file.revision === null ? 'draft' : `revision ${file.revision}`}
                {file.id !== shown.id && file.role === shown.role && (
                  <>
                    {' · '}
                    <Link to={against(number, shown, file)} className="text-accent hover:underline">
                      Compare with it
                    </Link>
                  </>
                )}
              </li>
            ))}
          </ul>
        </section>
      )}
    </div>
  );
}
