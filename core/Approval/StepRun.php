<?php

declare(strict_types=1);

namespace Orthotaxis\Core\Approval;

/** How one step of a path stands. */
final readonly class StepRun
{
    /**
     * @param  list<int>  $people  who may sign it, or for whom a stand-in may
     * @param  array<int, int>  $signed  for whom => who signed
     * @param  int  $lacking  how many signatures it still needs
     * @param  array<int, int>  $acting  who can sign it as soon as it is its turn => for whom
     */
    public function __construct(
        public PathStep $step,
        public StepStanding $standing,
        public array $people,
        public array $signed,
        public int $lacking,
        public array $acting,
    ) {}

    /** Why nobody can end it; empty: somebody can. */
    public function stuck(): string
    {
        $can = count($this->acting);

        return match (true) {
            $this->lacking === 0 || $can >= $this->lacking => '',
            $can === 0 => "Nobody can sign “{$this->step->name}”.",
            default => "“{$this->step->name}” needs {$this->lacking} more signatures, and only {$can} can sign.",
        };
    }
}
