<?php

declare(strict_types=1);

namespace App\Dossier\Relations;

use App\Dossier\Data\RelatedRow;
use App\Dossier\Data\RelationPage;
use App\Dossier\Data\RelationRow;
use App\Dossier\References\RecordReference;
use Illuminate\Database\Eloquent\ModelNotFoundException;
use Illuminate\Support\Facades\DB;

/** All to which a report, a request, an order or an item is tied, one step away: from there it is walked. */
final readonly class RelationReader
{
    /** So many of one kind and direction are told; how many there are is told of all. */
    private const MOST = 40;

    private const NODE = <<<'SQL'
    SELECT 'report' AS type, id, number, title, state FROM problem_reports WHERE number = :number
    UNION ALL SELECT 'request', id, number, title, state FROM change_requests WHERE number = :number
    UNION ALL SELECT 'order', id, number, title, state FROM change_orders WHERE number = :number AND state <> 'proposed'
    UNION ALL SELECT 'item', id, number, title, NULL FROM items WHERE number = :number
    SQL;

    /** The far ends of the ties of one record, with their numbers and titles. */
    private const FAR = <<<'SQL'
    WITH far (tie, way, type, id) AS ({ties}),
    counted AS (
        SELECT far.*, count(*) OVER w AS total, row_number() OVER (w ORDER BY id DESC) AS place FROM far WINDOW w AS (PARTITION BY tie, way)
    )
    SELECT c.tie, c.way, c.type, c.total, coalesce(i.number, o.number, r.number, p.number) AS number,
        coalesce(i.title, o.title, r.title, p.title) AS title, coalesce(o.state, r.state, p.state) AS state
    FROM counted c
    LEFT JOIN items i ON c.type = 'item' AND i.id = c.id
    LEFT JOIN change_orders o ON c.type = 'order' AND o.id = c.id
    LEFT JOIN change_requests r ON c.type = 'request' AND r.id = c.id
    LEFT JOIN problem_reports p ON c.type = 'report' AND p.id = c.id
    WHERE c.place <= {most}
    ORDER BY number
    SQL;

    /** @throws ModelNotFoundException<\Illuminate\Database\Eloquent\Model> when nothing has the number */
    public function of(string $number): RelationPage
    {
        $node = DB::selectOne(self::NODE, ['number' => $number]);
        if (!($node instanceof \stdClass)) {
            throw new ModelNotFoundException();
        }
        $ties = implode(
            ' UNION ALL ',
            array_map(
                // Either end is asked for the record alone: all of a kind would be read otherwise.
                static fn(
                    Tie $tie,
                ): string => "SELECT '{$tie->value}'::text, 'out', t.b, t.b_id FROM ({$tie->sql()}) AS t (a, a_id, b, b_id)
                    WHERE t.a = :type AND t.a_id = :id
                    UNION ALL SELECT '{$tie->value}', 'in', t.a, t.a_id FROM ({$tie->sql()}) AS t (a, a_id, b, b_id)
                    WHERE t.b = :type AND t.b_id = :id",
                Tie::cases(),
            ),
        );
        /** @var array<string, non-empty-list<\stdClass>> $far */
        $far = [];
        foreach (
            DB::select(strtr(self::FAR, ['{ties}' => $ties, '{most}' => (string) self::MOST]), ['type' => $node->type, 'id' => $node->id])
            as $row
        ) {
            $far["{$row->tie} {$row->way}"][] = $row;
        }
        $rows = [];
        foreach (Tie::cases() as $tie) {
            foreach (['in' => $tie->in(), 'out' => $tie->out()] as $way => $words) {
                $some = $far["{$tie->value} {$way}"] ?? [];
                if ($some !== []) {
                    $rows[] = new RelationRow(
                        tie: $tie->value,
                        way: $way,
                        words: $words,
                        total: (int) $some[0]->total,
                        related: array_map(
                            static fn(\stdClass $one): RelatedRow => new RelatedRow($one->type, $one->number, $one->title, $one->state, ''),
                            $some,
                        ),
                    );
                }
            }
        }

        return new RelationPage($node->number, $node->type, $node->title, $node->state, [...$rows, ...self::elsewhere($number)]);
    }

    /** @return list<RelationRow> records of other processes */
    private static function elsewhere(string $number): array
    {
        $references = RecordReference::query()->where('change', $number)->orderBy('id')->get();

        return $references->isEmpty()
            ? []
            : [
                new RelationRow(
                    tie: 'refers',
                    way: 'out',
                    words: 'refers to',
                    total: $references->count(),
                    related: $references
                        ->map(
                            static fn(RecordReference $one): RelatedRow => new RelatedRow(
                                $one->kind,
                                $one->number,
                                '',
                                null,
                                $one->address,
                            ),
                        )
                        ->values()
                        ->all(),
                ),
            ];
    }
}
