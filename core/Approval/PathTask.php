<?php

declare(strict_types=1);

namespace Orthotaxis\Core\Approval;

use Orthotaxis\Core\Refusal;

/** Something that is to be done besides signing, for every change that goes on a path. It is made when its time has come. */
final readonly class PathTask
{
    /** While the change is edited. */
    public const BEFORE_REVIEW = 0;

    /**
     * @param  ?int  $stage  with which it is made; 0: while the change is edited; null: once it is released
     * @param  string  $kind  of work
     * @param  string  $to  a name that a roster knows: of a person, a group, or a role of the change
     * @param  bool  $holds  whether the stage is not over before it is done
     * @param  ?int  $dueDays  working days from when it is made
     * @param  list<string>  $checks  its check list
     * @param  list<string>  $edits  kinds of subjects of the change that it edits, all that there are
     */
    public function __construct(
        public ?int $stage,
        public string $kind,
        public string $title,
        public string $to,
        public bool $holds = true,
        public ?int $dueDays = null,
        public array $checks = [],
        public array $edits = [],
    ) {
        if ($edits !== [] && $stage !== self::BEFORE_REVIEW) {
            throw Refusal::at('edits', 'Only before review is anything edited.');
        }
    }

    /** Whether a stage of signing waits for it. */
    public function holdsStage(): bool
    {
        return $this->holds && $this->stage !== null && $this->stage !== self::BEFORE_REVIEW;
    }
}
