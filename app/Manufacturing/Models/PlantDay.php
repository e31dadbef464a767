<?php

declare(strict_types=1);

namespace App\Manufacturing\Models;

use Illuminate\Database\Eloquent\Model;

/**
 * A day on which a plant does otherwise than on that day of other weeks.
 *
 * @property string $plant
 * @property string $day
 * @property bool $works
 * @property string $name as people call it
 */
final class PlantDay extends Model
{
    public $timestamps = false;

    public $incrementing = false;

    protected $primaryKey = null;

    protected $casts = ['works' => 'boolean'];
}
