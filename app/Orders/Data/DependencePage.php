<?php

declare(strict_types=1);

namespace App\Orders\Data;

use App\Http\Api\ListOf;
use OpenApi\Attributes as OA;

/** How an order and other open ones depend on each other. */
#[OA\Schema]
final readonly class DependencePage
{
    /**
     * @param  list<Dependence>  $needs  orders that release for the first time what it uses
     * @param  list<Dependence>  $needed_by  orders that use what it releases for the first time
     * @param  list<string>  $before  orders to be released before it, in an order that works
     * @param  list<string>  $circle  orders that wait for each other, from one round to the same
     * @param  list<Dependence>  $same_lines  orders that edit lines which it edits too
     */
    public function __construct(
        #[ListOf(Dependence::class)] public array $needs,
        #[ListOf(Dependence::class)] public array $needed_by,
        #[ListOf('string')] public array $before,
        #[ListOf('string')] public array $circle,
        #[ListOf(Dependence::class)] public array $same_lines,
    ) {}
}
