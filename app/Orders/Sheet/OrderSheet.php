<?php

declare(strict_types=1);

namespace App\Orders\Sheet;

use Carbon\CarbonImmutable;
use Illuminate\Database\Eloquent\Concerns\HasUuids;
use Illuminate\Database\Eloquent\Model;
use Orthotaxis\Core\Structure\LineField;
use Orthotaxis\Core\Structure\LineReader;
use Orthotaxis\Core\Structure\Structure;

/**
 * What the lines of an order read like when somebody took them away.
 *
 * @property string $id
 * @property int $order_id
 * @property int $person_id
 * @property CarbonImmutable $taken_at
 * @property array<string, array<string, array<value-of<LineField>, string>>> $lines  texts of fields by subject and line
 * @property ?string $marked_id
 */
final class OrderSheet extends Model
{
    use HasUuids;

    public $timestamps = false;

    protected $casts = ['taken_at' => 'immutable_datetime', 'lines' => 'array'];

    /** @return array<string, Structure> by subject */
    public function structures(): array
    {
        $reader = new LineReader();
        $structures = [];
        foreach ($this->lines as $subject => $lines) {
            $read = [];
            foreach ($lines as $key => $texts) {
                $read[] = $reader->read((string) $key, $texts);
            }
            $structures[$subject] = new Structure($read);
        }

        return $structures;
    }
}
