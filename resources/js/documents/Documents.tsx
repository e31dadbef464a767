import { useQuery } from '@tanstack/react-query';
import { Link } from 'react-router';
import { api, told, type Schemas } from '../lib/api';
import { day } from '../lib/format';
import { queries } from '../lib/queries';
import { useMay } from '../lib/session';
import { touches } from '../lib/touches';
import { useAct } from '../lib/useAct';
import { Button } from '../ui/Button';
import { ItemPicker } from '../ui/ItemPicker';
import { Loading } from '../ui/Loading';
import { ProblemNotice } from '../ui/Notice';
import { ChangeNumber, ItemNumber } from '../ui/Num';
import { Status } from '../ui/Status';
import { AttachFile } from './AttachFile';
import { firstOf, roles } from './files';

type Page = Schemas['DocumentPage'];

/** What is drawn and written about an item: its own files, and the drawings and documents that describe it. */
export function Documents({ item }: { item: Schemas['ItemRow'] }) {
  const documents = useQuery(queries.documents(item.number));
  return (
    <section aria-labelledby="documents">
      <h2 id="documents" className="mb-1">
        Drawings and documents
      </h2>
      <Loading query={documents}>{(page) => <DocumentList item={item} page={page} />}</Loading>
    </section>
  );
}

function DocumentList({ item, page }: { item: Schemas['ItemRow']; page: Page }) {
  const mayAttach = useMay('attach_file');
  const path = (document: string) => ({ params: { path: { number: item.number, document } } });
  const link = useAct(touches.document, (document: string) =>
    told(api.PUT('/api/items/{number}/documents/{document}', path(document))),
  );
  const unlink = useAct(touches.document, (document: string) =>
    told(api.DELETE('/api/items/{number}/documents/{document}', path(document))),
  );
  const takeAway = useAct(touches.document, (id: string) =>
    told(api.DELETE('/api/items/{number}/files/{id}', { params: { path: { number: item.number, id } } })),
  );
  const own = firstOf(page.files);
  const shown =
    own?.role === 'sheet'
      ? { file: own, of: item.number }
      : page.documents.map(({ sheet, item: of }) => ({ file: sheet, of: of.number })).find(({ file }) => file);
  const nothing = page.files.length + page.documents.length + page.describes.length === 0;
  return (
    <>
      {shown?.file && shown.file.media_type !== 'application/pdf' && (
        <Link to={`/items/${shown.of}/sheet`} className="mb-2 block border border-strong bg-white">
          <img
            src={`/api/files/${shown.file.id}`}
            alt={`Sheet of ${shown.of}`}
            className="max-h-72 w-full object-contain"
          />
        </Link>
      )}
      {nothing && <p className="border-y border-rule py-2 text-soft">No drawings or documents yet.</p>}
      <ul className="bg-sheet text-sm [&:not(:empty)]:border-y [&:not(:empty)]:border-strong">
        {page.documents.map((row) => (
          <DocumentLine
            key={row.item.number}
            row={row}
            onUnlink={mayAttach ? () => unlink.mutate(row.item.number) : null}
          />
        ))}
        {page.describes.map((row) => (
          <li key={row.item.number} className="border-b border-rule px-2 py-1 last:border-b-0">
            describes <ItemNumber number={row.item.number} /> {row.item.title}
            {row.shows && `, shows revision ${row.shows}`}
            {row.older && <b className="font-semibold text-warn"> ▲ {row.item.revision} is in force by now</b>}
            {!row.older && row.item.coming && row.shows !== row.item.coming.code && (
              <span className="text-plum">
                {' '}
                · {row.item.coming.code} from {day(row.item.coming.first_day)}
              </span>
            )}
          </li>
        ))}
        {page.files.map((file) => (
          <li key={file.id} className="border-b border-rule px-2 py-1 last:border-b-0">
            <Link
              to={`/items/${item.number}/${file.role === 'model' ? 'model' : 'sheet'}?file=${file.id}`}
              className="text-accent underline underline-offset-3"
            >
              {file.name}
            </Link>{' '}
            {roles[file.role].toLowerCase()}, <Status status={file.status} revision={file.revision} />
            {file.revision === null && file.order && (
              <>
                {' '}
                under <ChangeNumber number={file.order} />
              </>
            )}
            {file.revision === null && mayAttach && (
              <Button
                look="quiet"
                className="!h-6"
                aria-label={`Remove file ${file.name}`}
                onClick={() => takeAway.mutate(file.id)}
              >
                Remove file
              </Button>
            )}
          </li>
        ))}
      </ul>
      <ProblemNotice problem={link.error ?? unlink.error ?? takeAway.error} />
      {mayAttach && (
        <>
          <AttachFile item={item} />
          <ItemPicker
            className="mt-2 w-80"
            label="Link a drawing or document"
            placeholder="Drawing or document: number or title"
            onPick={(document) => link.mutate(document.number)}
          />
        </>
      )}
    </>
  );
}

function DocumentLine({ row, onUnlink }: { row: Schemas['DocumentRow']; onUnlink: (() => void) | null }) {
  return (
    <li className="border-b border-rule px-2 py-1 last:border-b-0">
      <ItemNumber number={row.item.number} /> {row.item.title},{' '}
      <Status
        status={row.item.status}
        revision={row.item.revision}
        coming={row.item.coming}
        revisedBy={row.item.being_revised_by}
      />
      {row.sheet && (
        <>
          {' · '}
          <Link to={`/items/${row.item.number}/sheet`} className="text-accent hover:underline">
            Show the sheet
          </Link>
        </>
      )}
      {onUnlink && (
        <Button look="quiet" className="!h-6" aria-label={`Unlink ${row.item.number}`} onClick={onUnlink}>
          Unlink
        </Button>
      )}
      {row.older && (
        <span className="block text-warn">
          ▲ shows revision {row.shows}
          {row.adopted_by === null ? '' : ', adopts the newest under '}
          {row.adopted_by !== null && <ChangeNumber number={row.adopted_by} />}
        </span>
      )}
    </li>
  );
}
