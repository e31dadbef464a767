<?php

declare(strict_types=1);

namespace Orthotaxis\Core\DesignModel;

use Orthotaxis\Core\Edit\LineEdit;
use Orthotaxis\Core\Structure\Line;

/** Where a design model says otherwise than a structure does. */
final readonly class Found
{
    /**
     * @param  ?Line  $before  as it stands there; null: the model has something new
     * @param  int  $pieces  in one of the assembly, as the model has it; 0: none any more
     * @param  ?LineEdit  $edit  that makes the structure say so, of a new line without identity; null: a person has to do it
     * @param  string  $why  a person has to; empty where the edit says all
     */
    public function __construct(
        public string $component,
        public ?Line $before,
        public int $pieces,
        public ?LineEdit $edit,
        public string $why = '',
    ) {}
}
