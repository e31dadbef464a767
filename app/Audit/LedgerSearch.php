<?php

declare(strict_types=1);

namespace App\Audit;

use App\Audit\Data\LedgerPage;
use App\Ledger\LedgerReader;
use App\Ledger\LedgerRow;
use Carbon\CarbonImmutable;
use Illuminate\Database\Query\Builder;
use Illuminate\Support\Facades\DB;
use Orthotaxis\Core\Calendar\Day;
use Orthotaxis\Core\Ledger\Record;

/** Records of the whole ledger, by what they are about, who acted, what was done, when, and words. */
final readonly class LedgerSearch
{
    public const AT_ONCE = 200;

    /** What is looked through with an index for parts of words. */
    private const TEXT = "(subject || ' ' || actor || ' ' || details)";

    /**
     * @param  string  $about  the number of an item, a change, a task …: acts on it, and acts that name it; empty: all
     * @param  string  $actor  sign-in name
     * @param  string  $act  such as order.released, or the first part of it and a dot: order.
     * @param  ?Day  $since  the first day, in the zone of the installation
     * @param  ?Day  $until  the last day
     * @param  list<string>  $words  all of which occur
     */
    public function __construct(
        private string $about = '',
        private string $actor = '',
        private string $act = '',
        private ?Day $since = null,
        private ?Day $until = null,
        private array $words = [],
    ) {}

    /** @param  int  $below  records before the one with this number; 0: the newest */
    public function page(int $below): LedgerPage
    {
        $found = $this->records();
        $total = $this->isOfAll() ? (int) DB::table('ledger_head')->value('count') : (clone $found)->count();
        $rows = $found
            ->when($below > 0, static fn(Builder $some): Builder => $some->where('number', '<', $below))
            ->orderByDesc('number')
            ->limit(self::AT_ONCE + 1)
            ->get()
            ->map(LedgerReader::record(...));
        $shown = $rows->take(self::AT_ONCE);

        return new LedgerPage(
            total: $total,
            from: $below,
            next: $rows->count() > self::AT_ONCE ? $shown->last()?->number : null,
            rows: $shown->map(static fn(Record $record): LedgerRow => LedgerRow::of($record))->values()->all(),
        );
    }

    /** @return array{int, int} the numbers of the first and the last record of the days asked for; of none: the last before the first */
    public function span(): array
    {
        $ends = DB::table('ledger')->tap($this->within(...))->selectRaw('min(number) AS first, max(number) AS last')->sole();

        return $ends->first === null ? [1, 0] : [(int) $ends->first, (int) $ends->last];
    }

    private function isOfAll(): bool
    {
        return $this->about === '' &&
            $this->actor === '' &&
            $this->act === '' &&
            $this->since === null &&
            $this->until === null &&
            $this->words === [];
    }

    private function records(): Builder
    {
        $found = DB::table('ledger')->tap($this->within(...));
        if ($this->about !== '') {
            $found->where(
                fn(Builder $either): Builder => $either
                    ->where('subject', $this->about)
                    // As a value of its own in the details, wherever it stands there.
                    ->orWhereRaw(self::TEXT . ' LIKE ?', ['%' . self::part('"' . self::inJson($this->about) . '"') . '%']),
            );
        }
        if ($this->actor !== '') {
            $found->where('actor', $this->actor);
        }
        if (str_ends_with($this->act, '.')) {
            $found->whereRaw('act LIKE ?', [self::part($this->act) . '%']);
        } elseif ($this->act !== '') {
            $found->where('act', $this->act);
        }
        foreach ($this->words as $word) {
            $found->whereRaw(self::TEXT . ' ILIKE ?', ['%' . self::part(self::inJson($word)) . '%']);
        }

        return $found;
    }

    private function within(Builder $records): void
    {
        if ($this->since !== null) {
            $records->where('at', '>=', self::start($this->since));
        }
        if ($this->until !== null) {
            $records->where('at', '<', self::start($this->until->plusDays(1)));
        }
    }

    /** As the ledger writes moments. */
    private static function start(Day $day): string
    {
        return CarbonImmutable::parse((string) $day)->utc()->format('Y-m-d\TH:i:s.u\Z');
    }

    private static function inJson(string $text): string
    {
        return substr(json_encode($text, JSON_UNESCAPED_UNICODE | JSON_UNESCAPED_SLASHES | JSON_THROW_ON_ERROR), 1, -1);
    }

    private static function part(string $text): string
    {
        return addcslashes($text, '%_\\');
    }
}
