<?php

declare(strict_types=1);

namespace Orthotaxis\Core\Approval;

/** Something that was done on a path. A path is replayed from its acts, in their order. */
final readonly class PathAct
{
    /**
     * @param  int  $step  which of the path
     * @param  int  $by  who did it
     * @param  ?int  $for  for whom a stand-in signed
     * @param  int  $stage  to which it was sent back
     * @param  list<string>  $to  to whom the step was given
     */
    private function __construct(
        public PathActKind $kind,
        public int $step,
        public int $by = 0,
        public ?int $for = null,
        public int $stage = 0,
        public array $to = [],
    ) {}

    public static function signed(int $step, int $by, ?int $for = null): self
    {
        return new self(PathActKind::Signed, $step, by: $by, for: $for);
    }

    public static function sentBack(int $step, int $stage): self
    {
        return new self(PathActKind::SentBack, $step, stage: $stage);
    }

    public static function skipped(int $step): self
    {
        return new self(PathActKind::Skipped, $step);
    }

    /** @param  list<string>  $to  names that a roster knows */
    public static function reassigned(int $step, array $to): self
    {
        return new self(PathActKind::Reassigned, $step, to: $to);
    }
}
