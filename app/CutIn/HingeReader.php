<?php

declare(strict_types=1);

namespace App\CutIn;

use App\CutIn\Data\CutInHinge;
use Orthotaxis\Core\CutIn\Hinges;

/** What the best day hangs on. */
final readonly class HingeReader
{
    public function __construct(private CaseReader $cases) {}

    /**
     * @param  array<string, mixed>  $question  as CutInQuestion checks it
     * @return list<CutInHinge> the worst first
     */
    public function list(array $question): array
    {
        $case = $this->cases->read($question);

        return array_map(CutInHinge::of(...), Hinges::of($case->plants, $case->levers));
    }
}
