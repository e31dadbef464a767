<?php

declare(strict_types=1);

namespace App\People\Models;

use Illuminate\Database\Eloquent\Model;
use Orthotaxis\Core\Rights\Duty;
use Orthotaxis\Core\Rights\Separation;

/**
 * Which duties one person may not have on one change. There is one row of it.
 *
 * @property list<array{string, string}> $pairs  codes
 * @property int $version
 */
final class SeparationOfDuties extends Model
{
    public $timestamps = false;

    protected $table = 'separation_of_duties';

    protected $casts = ['pairs' => 'array'];

    public function rule(): Separation
    {
        return new Separation(array_map(static fn(array $pair): array => [Duty::from($pair[0]), Duty::from($pair[1])], $this->pairs));
    }
}
