import type { Picture } from '../lib/words';
import { keepPreviousData, useInfiniteQuery } from '@tanstack/react-query';
import { useState } from 'react';
import { count } from '../lib/format';
import { queries } from '../lib/queries';
import { Button } from '../ui/Button';
import { Choice } from '../ui/Choice';
import { Loading } from '../ui/Loading';
import { PlannedUses } from './PlannedUses';
import { UsedInTable } from './UsedInTable';
import { UsedInTree } from './UsedInTree';

type Show = 'all' | 'tops' | 'tree';

/** Where an item is used on a day, level by level up to what leaves the house. */
export function WhereUsed({ number, on, picture }: { number: string; on?: string; picture?: Picture }) {
  const [show, setShow] = useState<Show>('all');
  const used = useInfiniteQuery({
    ...queries.whereUsed(number, {
      ...(on ? { on } : {}),
      ...picture,
      only: show === 'tops' ? 'tops' : 'all',
    }),
    placeholderData: keepPreviousData,
  });
  return (
    <section aria-label={`Where ${number} is used`}>
      <Loading query={used}>
        {({ pages }) => {
          const rows = pages.flatMap((page) => page.rows);
          const { total = 0, tops = 0 } = pages[0] ?? {};
          return (
            <>
              <div className="mb-1 flex flex-wrap items-center gap-3">
                <h2>Where used</h2>
                {total > 0 && (
                  <Choice
                    label="Listed"
                    value={show}
                    onChange={setShow}
                    options={{
                      all: `Everything above, ${count(total)}`,
                      tops: `End products, ${count(tops)}`,
                      tree: 'Tree',
                    }}
                  />
                )}
              </div>
              {show === 'tree' ? (
                <UsedInTree number={number} query={{ ...(on ? { on } : {}), ...picture }} />
              ) : (
                <UsedInTable rows={rows} number={number} />
              )}
              {show !== 'tree' && used.hasNextPage && (
                <Button busy={used.isFetchingNextPage} onClick={() => void used.fetchNextPage()}>
                  Show more, {count(rows.length)} of {count(show === 'tops' ? tops : total)} are here
                </Button>
              )}
            </>
          );
        }}
      </Loading>
      <PlannedUses number={number} />
    </section>
  );
}
