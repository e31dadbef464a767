<?php

declare(strict_types=1);

namespace App\Notices;

use App\Notices\Data\NoticePage;
use App\Notices\Data\NoticeRow;
use App\Notices\Models\NoticeReader;
use App\People\Models\Person;
use Illuminate\Database\Eloquent\Builder;
use Illuminate\Database\Eloquent\Collection;

/** What one person was told of. */
final readonly class NoticeList
{
    private const AT_ONCE = 100;

    /** @param  string  $change  number of the one that is asked about; empty: all */
    public function read(Person $person, bool $unread, string $change, int $from): NoticePage
    {
        $all = self::of($person)
            ->when($unread, static fn(Builder $some): Builder => $some->whereNull('read_at'))
            ->when(
                $change !== '',
                static fn(Builder $some): Builder => $some->whereHas(
                    'notice',
                    static fn(Builder $notice): Builder => $notice->where('change', $change),
                ),
            );
        /** @var Collection<int, NoticeReader> $rows */
        $rows = (clone $all)->with('notice')->orderByDesc('told_at')->orderByDesc('notice_id')->offset($from)->limit(self::AT_ONCE)->get();
        $names = Person::query()
            ->whereIn('login', $rows->pluck('notice.actor')->unique())
            ->pluck('name', 'login')
            ->all();

        return new NoticePage(
            unread: self::unread($person),
            total: $all->count(),
            from: $from,
            rows: $rows->map(static fn(NoticeReader $one): NoticeRow => NoticeRow::of($one, $names))->values()->all(),
        );
    }

    public static function unread(Person $person): int
    {
        return self::of($person)->whereNull('read_at')->count();
    }

    /** @return Builder<NoticeReader> */
    private static function of(Person $person): Builder
    {
        return NoticeReader::query()->where('person_id', $person->id);
    }
}
