import { useQuery } from '@tanstack/react-query';
import { Link, useParams, useSearchParams } from 'react-router';
import type { Schemas } from '../lib/api';
import { today } from '../lib/format';
import { queries } from '../lib/queries';
import { firstOf } from '../documents/files';
import { Loading } from '../ui/Loading';
import { Notice } from '../ui/Notice';
import { ItemNumber } from '../ui/Num';
import { Page } from '../ui/Page';
import { Select } from '../ui/Select';
import { Status } from '../ui/Status';
import { ModelShown } from './ModelShown';

type File = Schemas['FileRow'];

const named = (file: File) => `${file.revision ?? 'Draft'}, ${file.name}`;

/** The design model of an item in three dimensions, alone or two revisions of it in one picture. */
export function ModelPage() {
  const { number = '' } = useParams();
  const item = useQuery(queries.item(number));
  const documents = useQuery(queries.documents(number));
  const [params, setParams] = useSearchParams();
  const set = (name: string, value: string) =>
    setParams(
      (before) => {
        if (value === '') before.delete(name);
        else before.set(name, value);
        return before;
      },
      { replace: true },
    );
  return (
    <Loading query={documents}>
      {({ files }) => {
        const models = files.filter(({ role }) => role === 'model');
        const file = models.find(({ id }) => id === params.get('file')) ?? firstOf(models, 'model');
        const older = models.find(({ id }) => id === params.get('against') && id !== file?.id);
        return (
          <Page
            title={item.data?.item.title ?? number}
            number={number}
            over={
              <>
                <ItemNumber number={number} /> · Design model
              </>
            }
            aside={
              <Link to={`/items/${number}`} className="text-accent hover:underline">
                All about {number}
              </Link>
            }
          >
            {file === undefined ? (
              <Notice>There is no design model yet. Upload a STEP file on the item page, as its model.</Notice>
            ) : (
              <div className="space-y-3">
                <div className="flex flex-wrap items-center gap-x-4 gap-y-2">
                  <Select
                    aria-label="Model"
                    className="!w-72"
                    value={file.id}
                    onChange={(id) => set('file', id)}
                    options={Object.fromEntries(models.map((one) => [one.id, named(one)]))}
                  />
                  <Status status={file.status} revision={file.revision} />
                  {models.length > 1 && (
                    <span className="flex items-center gap-2">
                      <span className="text-sm text-soft">Compared with</span>
                      <Select
                        aria-label="Compared with"
                        className="!w-72"
                        value={older?.id ?? 'none'}
                        onChange={(id) => set('against', id === 'none' ? '' : id)}
                        options={{
                          none: 'Nothing',
                          ...Object.fromEntries(
                            models.filter(({ id }) => id !== file.id).map((one) => [one.id, named(one)]),
                          ),
                        }}
                      />
                    </span>
                  )}
                  <a href={`/api/files/${file.id}`} download={file.name} className="text-accent hover:underline">
                    Download
                  </a>
                </div>
                <ModelShown
                  number={number}
                  file={file}
                  older={older ?? null}
                  on={file.status === 'coming' && file.first_day !== null ? file.first_day : today()}
                />
              </div>
            )}
          </Page>
        );
      }}
    </Loading>
  );
}
