<?php

declare(strict_types=1);

namespace App\Orders\Contents;

use App\Orders\Models\WorkRecord;
use Illuminate\Support\Collection;
use Orthotaxis\Core\Change\Work;
use Orthotaxis\Core\Content\Content;
use Orthotaxis\Core\Content\Edit;

/**
 * How the contents of one kind are read and written. Whatever an order does works on these alone: a further kind is a class that says
 * so, given to ContentKinds by a provider.
 */
interface ContentKind
{
    /** The name under which its contents, works and edits are kept. */
    public function name(): string;

    /** What there is before the first revision. */
    public function none(): Content;

    /**
     * @param  list<int>  $ids  of contents
     * @return array<int, Content> by id; what says nothing may be left out
     */
    public function read(array $ids): array;

    /**
     * An edit as it was kept.
     *
     * @param  string  $name  as Edit::name gives it
     * @param  int  $version  in which it was kept
     * @param  array<string, string>  $fields
     */
    public function edit(string $name, int $version, string $part, array $fields): Edit;

    /**
     * What works of this kind need and what does not hold on the effective day of their order, asked a fixed number of times.
     *
     * @param  Collection<int, WorkRecord>  $records  of this kind, with their orders and items
     * @param  array<int, Work>  $works  all that these orders do, of whatever kind, by id
     * @return array<int, list<string>> by id, each what comes after the name of the subject in a sentence; where nothing is missing it may
     *     be left out
     */
    public function missing(Collection $records, array $works): array;

    /**
     * What they refer to is there by now, be it released with them.
     *
     * @param  array<int, Content>  $contents  what they say, by id of the content in review
     */
    public function write(array $contents): void;
}
