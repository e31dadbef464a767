<?php

declare(strict_types=1);

namespace App\Releases\Models;

use Illuminate\Database\Eloquent\Model;
use Orthotaxis\Core\Content\Subject;
use Orthotaxis\Core\Handover\EntryAction;
use Orthotaxis\Core\ItemData\ItemField;

/**
 * @property int $id
 * @property int $handover_id
 * @property int $number
 * @property array<string, string|int|null> $record as it stands in the files
 * @property string $answer waiting, taken or refused
 * @property string $reason why it was refused
 */
final class HandoverEntry extends Model
{
    public $timestamps = false;

    protected $casts = ['record' => 'array'];

    /** @return list<string> items that planning has to know to take it: all that it names, but what it introduces itself */
    public function names(): array
    {
        $introduces = $this->record['action'] === EntryAction::Introduce->value && $this->record['structure'] === Subject::ENGINEERING;
        $successor = ($this->record['field'] ?? null) === ItemField::ReplacedBy->value ? $this->record['value'] : null;

        return array_values(
            array_map(
                strval(...),
                array_filter([$introduces ? null : $this->record['item'], $this->record['component'] ?? null, $successor]),
            ),
        );
    }
}
