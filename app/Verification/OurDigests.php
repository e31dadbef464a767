<?php

declare(strict_types=1);

namespace App\Verification;

use Illuminate\Support\Facades\DB;

/**
 * A digest of each revision that holds here today or will. What is released never changes, the database sees to that: its digest is
 * reckoned once, by the first verification after its release, and kept.
 */
final readonly class OurDigests
{
    /** Revisions whose rows are read at a time. */
    private const KEPT_AT_ONCE = 2_000;

    /** Digests that are compared at a time. */
    private const AT_ONCE = 20_000;

    private const SUBJECT = "c.kind || E'\\t' || c.plant || E'\\t' || i.number || E'\\t' || c.code || E'\\t'";

    /** @return list<\Closure(): void> each keeps the digests of some revisions that have none yet */
    public function lacking(string $today): array
    {
        $lacking = DB::select(
            'SELECT c.id FROM contents c WHERE ' .
                HeldRows::HOLDS .
                ' AND NOT EXISTS (SELECT FROM content_digests d WHERE d.content_id = c.id) ORDER BY c.id',
            ['today' => $today],
        );

        return array_map(
            static fn(array $some): \Closure => static function () use ($some): void {
                DB::insert(
                    'INSERT INTO content_digests (content_id, rows, sha256) ' .
                        HeldRows::of('c.id IN (SELECT jsonb_array_elements_text(?::jsonb)::bigint)') .
                        "SELECT id, count(*), encode(sha256(convert_to(string_agg(line || chr(10), '' ORDER BY line COLLATE \"C\"), 'UTF8')), 'hex')
                        FROM rows GROUP BY id ON CONFLICT DO NOTHING",
                    [json_encode($some, JSON_THROW_ON_ERROR)],
                );
            },
            array_chunk(array_column($lacking, 'id'), self::KEPT_AT_ONCE),
        );
    }

    /**
     * All of them, in parts that follow each other without a gap; each is read when it comes to it.
     *
     * @return list<\Closure(): DigestPart>
     */
    public function parts(string $today): array
    {
        $begins = array_column(
            DB::select(
                'SELECT key FROM (SELECT ' .
                    self::SUBJECT .
                    ' AS key, row_number() OVER (ORDER BY ' .
                    self::SUBJECT .
                    ' COLLATE "C") - 1 AS place FROM contents c JOIN items i ON i.id = c.item_id WHERE ' .
                    HeldRows::HOLDS .
                    ') p WHERE place % ' .
                    self::AT_ONCE .
                    ' = 0 ORDER BY place',
                ['today' => $today],
            ),
            'key',
        );
        $begins[0] = '';

        return array_map(
            static fn(int $at): \Closure => static fn(): DigestPart => self::part($today, $begins[$at], $begins[$at + 1] ?? null),
            array_keys($begins),
        );
    }

    private static function part(string $today, string $from, ?string $before): DigestPart
    {
        $read = DB::selectOne(
            "SELECT coalesce(sum(rows), 0) AS rows, string_agg(key || sha256, chr(10) ORDER BY key COLLATE \"C\") AS text
            FROM (SELECT " .
                self::SUBJECT .
                ' AS key, d.rows, d.sha256 FROM contents c JOIN items i ON i.id = c.item_id JOIN content_digests d ON d.content_id = c.id WHERE ' .
                HeldRows::HOLDS .
                ') held WHERE key COLLATE "C" >= :from' .
                ($before === null ? '' : ' AND key COLLATE "C" < :before'),
            ['today' => $today, 'from' => $from] + ($before === null ? [] : ['before' => $before]),
        );

        return new DigestPart((string) $read->text, (int) $read->rows, $from, $before);
    }
}
