import { useQuery } from '@tanstack/react-query';
import { useParams, useSearchParams } from 'react-router';
import { queries } from '../../lib/queries';
import { Loading } from '../../ui/Loading';
import { Notice } from '../../ui/Notice';
import { ItemNumber } from '../../ui/Num';
import { Page } from '../../ui/Page';
import { firstOf } from '../files';
import { MarkUp } from './MarkUp';
import { rasterOf } from './raster';

/** Draws over a sheet and keeps what was drawn with a report or a request. The sheet itself is untouched. */
export function MarkUpPage() {
  const { number = '' } = useParams();
  const [params, setParams] = useSearchParams();
  const documents = useQuery(queries.documents(number));
  const file =
    documents.data?.files.find(({ id }) => id === params.get('file')) ?? firstOf(documents.data?.files ?? []);
  const page = Number(params.get('page') ?? '1');
  const raster = useQuery({
    queryKey: ['raster', file?.id, page],
    queryFn: () => rasterOf(`/api/files/${file?.id ?? ''}`, file?.media_type ?? '', page),
    enabled: file !== undefined,
    staleTime: Infinity,
  });
  return (
    <Page
      title="Mark up a sheet"
      number={number}
      over={
        <span>
          <ItemNumber number={number} /> {file?.name}
          {file && (file.revision === null ? ', a draft' : `, revision ${file.revision}`)}
        </span>
      }
    >
      <Loading query={documents}>
        {() =>
          file === undefined ? (
            <Notice>
              {number} has no sheet to draw on. Its drawing has a page of its own; open the mark-up there.
            </Notice>
          ) : (
            <Loading query={raster}>
              {(sheet) => (
                <MarkUp
                  key={`${file.id} ${page}`}
                  item={number}
                  file={file}
                  sheet={sheet}
                  page={page}
                  onPage={(next) =>
                    setParams((before) => {
                      before.set('page', String(next));
                      return before;
                    })
                  }
                />
              )}
            </Loading>
          )
        }
      </Loading>
    </Page>
  );
}
