<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Support\Facades\DB;

/** What was asked of a chosen day is kept as swaps, with what is said of each part beside them. */
return new class extends Migration {
    private const OF_OLD = ['keep', 'disposition', 'disposal', 'rework_percent', 'rework_cost'];

    private const OF_NEW = ['sooner_days', 'sooner_cost'];

    public function up(): void
    {
        DB::statement('ALTER TABLE cut_ins DISABLE TRIGGER cut_ins_stay');
        foreach (DB::table('cut_ins')->get(['id', 'asked']) as $row) {
            $asked = json_decode($row->asked, true, flags: JSON_THROW_ON_ERROR);
            if (isset($asked['pairs'])) {
                DB::table('cut_ins')
                    ->where('id', $row->id)
                    ->update(['asked' => json_encode(self::asSwaps($asked), JSON_THROW_ON_ERROR)]);
            }
        }
        DB::statement('ALTER TABLE cut_ins ENABLE TRIGGER cut_ins_stay');
        DB::statement("COMMENT ON COLUMN cut_ins.asked IS 'swaps and levers'");
    }

    /**
     * @param  array<string, mixed>  $asked
     * @return array<string, mixed>
     */
    private static function asSwaps(array $asked): array
    {
        $swaps = $parts = [];
        foreach ($asked['pairs'] as $pair) {
            $ratio = $pair['ratio'] ?? null;
            $swaps[] = ['gone' => [$pair['old']], 'come' => [['item' => $pair['new']] + ($ratio === null ? [] : ['ratio' => $ratio])]];
            foreach ([[$pair['old'], self::OF_OLD], [$pair['new'], self::OF_NEW]] as [$item, $names]) {
                $said = array_intersect_key($pair, array_flip($names));
                if ($said !== []) {
                    $parts[] = ['item' => $item] + $said;
                }
            }
        }

        // A shortage cost a share of the part then; what it means has changed, so the share is not taken over.
        return ['swaps' => $swaps, 'parts' => $parts] + array_diff_key($asked, array_flip(['pairs', 'expedite_percent', 'plant']));
    }
};
