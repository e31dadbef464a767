<?php

declare(strict_types=1);

namespace App\Verification;

use Illuminate\Support\Facades\DB;

/** What holds here today or will, row by row. */
final readonly class OurCopy
{
    /**
     * @param  list<string>  $items  numbers
     * @return string rows, one a line, in the order of their bytes
     */
    public function of(array $items, string $today): string
    {
        return (string) DB::scalar(
            HeldRows::of(HeldRows::HOLDS . ' AND i.number IN (SELECT jsonb_array_elements_text(:items::jsonb))') .
                'SELECT string_agg(line, chr(10) ORDER BY line COLLATE "C") FROM rows',
            ['today' => $today, 'items' => json_encode($items, JSON_THROW_ON_ERROR)],
        );
    }
}
