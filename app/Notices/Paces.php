<?php

declare(strict_types=1);

namespace App\Notices;

use Illuminate\Support\Facades\DB;
use Orthotaxis\Core\Notice\Pace;

/** How soon people want a mail, where they have said so. */
final readonly class Paces
{
    /**
     * @param  list<int>  $people  ids
     * @return array<int, array<string, Pace>> by id, and by the value of a Cause
     */
    public static function of(array $people): array
    {
        $paces = [];
        foreach (DB::table('notice_paces')->whereIn('person_id', $people)->get() as $row) {
            $paces[(int) $row->person_id][(string) $row->cause] = Pace::from((string) $row->pace);
        }

        return $paces;
    }
}
