<?php

declare(strict_types=1);

namespace Orthotaxis\Core\Approval;

/** The steps in which a change is judged, one after another. */
final readonly class Path
{
    /** @param  list<PathStep>  $steps */
    public function __construct(public array $steps) {}

    public function names(int $person): bool
    {
        return array_filter($this->steps, static fn(PathStep $step): bool => in_array($person, $step->people, true)) !== [];
    }

    /** One person signs: the path of every order until others are set up. */
    public static function oneSigner(?int $signer): self
    {
        return new self([new PathStep($signer === null ? [] : [$signer], 1)]);
    }
}
