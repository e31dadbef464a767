<?php

declare(strict_types=1);

namespace Orthotaxis\Core\Manufacturing;

use Orthotaxis\Core\Quantity\Quantity;
use Orthotaxis\Core\Quantity\Unit;
use Orthotaxis\Core\Refusal;

/** An engineering line is left out, or replaced by so much of another item for so much of it; with the reason. */
final readonly class PutOnRecord implements RecordEdit
{
    use OfRecord;

    public const NAME = 'record';

    public const LONGEST_REASON = 200;

    public static function saying(OnRecord $record): self
    {
        return new self(
            $record->line,
            $record->by === null
                ? ['reason' => $record->reason]
                : [
                    'reason' => $record->reason,
                    'by' => $record->by,
                    'new' => (string) $record->new,
                    'unit' => $record->unit->value ?? '',
                    'old' => (string) $record->old,
                ],
        );
    }

    public function apply(?OnRecord $record): OnRecord
    {
        $text = fn(string $field): string => trim($this->fields[$field] ?? '');
        $reason = $text('reason');
        if ($reason === '' || mb_strlen($reason) > self::LONGEST_REASON) {
            throw Refusal::at('reason', 'Say why, in at most ' . self::LONGEST_REASON . ' characters.');
        }

        return $text('by') === ''
            ? OnRecord::leftOut($this->line, $reason)
            : OnRecord::replaced(
                $this->line,
                $text('by'),
                $reason,
                new: Quantity::parse($text('new') ?: '1', 'new'),
                unit: Unit::parse($text('unit')),
                old: Quantity::parse($text('old') ?: '1', 'old'),
            );
    }

    public function inWords(): string
    {
        $by = trim($this->fields['by'] ?? '');

        return ($by === '' ? 'left out' : "replaced by {$by}") . ' on record: ' . trim($this->fields['reason'] ?? '');
    }
}
