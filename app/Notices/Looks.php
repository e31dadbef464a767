<?php

declare(strict_types=1);

namespace App\Notices;

use App\Discussion\Subjects;
use App\Ledger\LedgerReader;
use App\Ledger\LedgerRow;
use App\Notices\Data\SinceLooked;
use App\Orders\Models\ChangeOrder;
use App\People\Models\Person;
use App\Requests\Models\ChangeRequest;
use Carbon\CarbonImmutable;
use Illuminate\Support\Facades\DB;
use Orthotaxis\Core\Notice\Look;

/** What others have done to a change since somebody looked at it last; and that they look at it now. */
final readonly class Looks
{
    private const MOST = 50;

    public function look(Person $person, string $number): SinceLooked
    {
        $subjects = self::subjects($number);

        return DB::transaction(static function () use ($person, $number, $subjects): SinceLooked {
            $now = CarbonImmutable::now();
            $newest = (int) DB::table('ledger')->whereIn('subject', $subjects)->max('number');
            $known = DB::table('looks')->where('person_id', $person->id)->where('change', $number)->lockForUpdate()->first();
            $look = $known === null ? Look::first($newest, $now->getTimestamp()) : self::kept($known)->again($newest, $now->getTimestamp());
            $since = $look->since === null ? null : CarbonImmutable::createFromTimestamp($look->since);
            DB::table('looks')->upsert(
                [
                    'person_id' => $person->id,
                    'change' => $number,
                    'seen' => $look->seen,
                    'latest' => $look->latest,
                    'since_at' => $since,
                    'looked_at' => $now,
                ],
                ['person_id', 'change'],
            );

            return self::told($person, $subjects, $look->seen, $since);
        });
    }

    private static function kept(\stdClass $row): Look
    {
        return new Look(
            (int) $row->seen,
            (int) $row->latest,
            CarbonImmutable::parse($row->looked_at)->getTimestamp(),
            $row->since_at === null ? null : CarbonImmutable::parse($row->since_at)->getTimestamp(),
        );
    }

    /** @param  list<string>  $subjects */
    private static function told(Person $person, array $subjects, int $seen, ?CarbonImmutable $since): SinceLooked
    {
        $new = DB::table('ledger')->whereIn('subject', $subjects)->where('number', '>', $seen)->where('actor', '!=', $person->login);
        $acts = array_values(
            (clone $new)
                ->orderByDesc('number')
                ->limit(self::MOST)
                ->get()
                ->map(static fn(\stdClass $row): LedgerRow => LedgerRow::of(LedgerReader::record($row)))
                ->all(),
        );

        return new SinceLooked(
            since: $since?->toIso8601String(),
            total: $new->count(),
            acts: $acts,
            names: (object) Person::query()
                ->whereIn('login', array_map(static fn(LedgerRow $act): string => $act->actor, $acts))
                ->pluck('name', 'login')
                ->all(),
        );
    }

    /** @return list<string> the change, and on the page of an order the requests from which it came, or the other way round */
    private static function subjects(string $number): array
    {
        $change = Subjects::get($number);
        $others = match (true) {
            $change instanceof ChangeOrder => $change->requests()->pluck('number')->all(),
            $change instanceof ChangeRequest => ChangeOrder::ofRequest($change)->pluck('number')->all(),
            default => [],
        };

        return array_values(array_filter([$number, ...$others], is_string(...)));
    }
}
