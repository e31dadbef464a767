<?php

declare(strict_types=1);

namespace App\FollowThrough;

use App\People\Models\Person;
use Illuminate\Support\Facades\DB;
use Orthotaxis\Core\FollowThrough\OldState;

/** How many documents of released orders are not seen to: in all, not decided on, and of one person. */
final readonly class DocumentsLeft
{
    private function __construct(public int $all, public int $open, public int $mine, public ?string $dueOn, public string $since) {}

    /**
     * @param  list<int>  $orders  ids
     * @return array<int, self> by order; only of those that have any
     */
    public static function of(array $orders, ?Person $person = null): array
    {
        $rows = DB::table('old_documents')
            ->whereIntegerInRaw('order_id', $orders)
            ->where('rank', '<', OldState::Seen->rank())
            ->groupBy('order_id')
            ->selectRaw('order_id, count(*) AS in_all, count(*) FILTER (WHERE rank = 0) AS open, min(first_read_at) AS since')
            ->selectRaw('count(*) FILTER (WHERE owner_id = ?) AS mine, min(due_on) FILTER (WHERE owner_id = ?) AS due_on', [
                $person->id ?? 0,
                $person->id ?? 0,
            ])
            ->get();
        $left = [];
        foreach ($rows as $row) {
            $left[(int) $row->order_id] = new self((int) $row->in_all, (int) $row->open, (int) $row->mine, $row->due_on, $row->since);
        }

        return $left;
    }
}
