<?php

declare(strict_types=1);

namespace App\CutIn\Models;

use Illuminate\Database\Eloquent\Model;

/**
 * What became of a cut-in at a plant, by what planning told on its day or on the first after it on which planning answered.
 *
 * @property int $cut_in_id
 * @property string $plant
 * @property string $seen_on
 * @property list<array{item: string, left: string, short: string}> $parts
 */
final class CutInOutcome extends Model
{
    public $timestamps = false;

    public $incrementing = false;

    protected $primaryKey = null;

    protected $guarded = [];

    protected $casts = ['parts' => 'array'];
}
