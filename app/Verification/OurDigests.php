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

    private const KEEP = <<<'SQL'
    INSERT INTO content_digests (content_id, key, rows, sha256) %s
    SELECT c.id, c.subject, count(*), encode(sha256(convert_to(string_agg(line || E'\n', '' ORDER BY line COLLATE "C"), 'UTF8')), 'hex')
    FROM rows JOIN c USING (id) GROUP BY c.id, c.subject ON CONFLICT DO NOTHING
    SQL;

    // What has a digest was released once: it only ceases to hold.
    private const PARTS = <<<'SQL'
    SELECT width_bucket(d.key, begins.keys) AS part, sum(d.rows) AS rows, string_agg(d.key || d.sha256, E'\n') AS text
    FROM content_digests d CROSS JOIN (SELECT ARRAY(SELECT jsonb_array_elements_text(:begins::jsonb)) COLLATE "C" AS keys) begins
    WHERE NOT EXISTS (SELECT FROM contents c WHERE c.id = d.content_id AND c.effective_to <= :today) GROUP BY part
    SQL;

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
                DB::insert(sprintf(self::KEEP, HeldRows::of('c.id IN (SELECT jsonb_array_elements_text(?::jsonb)::bigint)')), [
                    json_encode($some, JSON_THROW_ON_ERROR),
                ]);
            },
            array_chunk(array_column($lacking, 'id'), self::KEPT_AT_ONCE),
        );
    }

    /** @return list<DigestPart> all of them, in parts that follow each other without a gap */
    public function parts(string $today): array
    {
        $begins = array_column(
            DB::select(
                'SELECT key FROM (SELECT key, row_number() OVER (ORDER BY key) - 1 AS place FROM content_digests) k WHERE place % ? = 0',
                [self::AT_ONCE],
            ),
            'key',
        );
        // Whatever planning has before the first or after the last belongs to these.
        $begins[0] = '';
        $read = array_column(
            DB::select(self::PARTS, ['begins' => json_encode($begins, JSON_THROW_ON_ERROR), 'today' => $today]),
            null,
            'part',
        );

        return array_map(
            static fn(string $from, ?string $before, int $part): DigestPart => new DigestPart(
                (string) ($read[$part]->text ?? ''),
                (int) ($read[$part]->rows ?? 0),
                $from,
                $before,
            ),
            $begins,
            [...array_slice($begins, 1), null],
            range(1, count($begins)),
        );
    }
}
