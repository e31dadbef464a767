<?php

declare(strict_types=1);

namespace App\Orders\Events;

use App\Ledger\Deed;
use App\Orders\Strokes\SubjectEdits;
use Orthotaxis\Core\Content\Edit;

/**
 * Several subjects of an order were edited at one stroke. What the edits are stands with the order and is never deleted; their hash shows
 * that it stayed as it was.
 */
final readonly class StrokeMade extends Deed
{
    public const NAME = 'order.edited_together';

    /**
     * @param  string  $what  was done, in words
     * @param  list<SubjectEdits>  $all
     */
    public function __construct(string $by, string $of, public string $stroke, public string $what, public array $all)
    {
        parent::__construct($by, $of);
    }

    public function details(): array
    {
        $said = $subjects = [];
        $edits = 0;
        foreach ($this->all as $one) {
            $subjects[] = $subject = (string) $one->work->subject();
            $edits += count($one->edits);
            $said[$subject] = array_map(
                static fn(Edit $edit): array => [$edit->name(), $edit->part(), (object) $edit->fields()],
                $one->edits,
            );
        }

        return [
            'what' => $this->what,
            'stroke' => $this->stroke,
            'subjects' => $subjects,
            'edits' => $edits,
            'sha256' => hash('sha256', json_encode($said, JSON_THROW_ON_ERROR)),
        ];
    }
}
