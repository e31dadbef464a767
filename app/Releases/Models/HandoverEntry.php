<?php

declare(strict_types=1);

namespace App\Releases\Models;

use Illuminate\Database\Eloquent\Model;

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
}
