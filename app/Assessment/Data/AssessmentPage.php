<?php

declare(strict_types=1);

namespace App\Assessment\Data;

use App\Http\Api\ListOf;
use OpenApi\Attributes as OA;

/** What specialists were asked about a request, and what they said. */
#[OA\Schema]
final readonly class AssessmentPage
{
    /**
     * @param  list<StandingOfItem>  $grid  a row for each affected item
     * @param  list<QuestionRow>  $questions  what waits first, then the newest
     */
    public function __construct(
        #[ListOf(StandingOfItem::class)] public array $grid,
        #[ListOf(QuestionRow::class)] public array $questions,
    ) {}
}
