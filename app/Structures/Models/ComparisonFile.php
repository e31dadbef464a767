<?php

declare(strict_types=1);

namespace App\Structures\Models;

use Carbon\CarbonImmutable;
use Illuminate\Database\Eloquent\Concerns\HasUuids;
use Illuminate\Database\Eloquent\Model;
use Orthotaxis\Core\Structure\LineField;
use Orthotaxis\Core\Structure\LineReader;
use Orthotaxis\Core\Structure\Structure;

/**
 * Structures of a file that somebody compares with ours. Nothing of it becomes ours.
 *
 * @property string $id
 * @property string $name
 * @property array<string, list<array<value-of<LineField>|'line', string>>> $lines parent => fields of each line as text, and its
 *     identity where the file gives one
 * @property int $person_id
 * @property CarbonImmutable $brought_at
 */
final class ComparisonFile extends Model
{
    use HasUuids;

    public $timestamps = false;

    protected $casts = ['lines' => 'array', 'brought_at' => 'immutable_datetime'];

    /** @return array<string, Structure> by item number */
    public function structures(): array
    {
        $reader = new LineReader();
        $structures = [];
        foreach ($this->lines as $parent => $lines) {
            $read = [];
            foreach ($lines as $at => $fields) {
                // An identity of the file itself where it gives none: nothing of ours has it.
                $key = $fields['line'] ?? "{$this->id} {$parent} {$at}";
                unset($fields['line']);
                $read[] = $reader->read($key, $fields);
            }
            $structures[$parent] = new Structure($read);
        }

        return $structures;
    }
}
