<?php

declare(strict_types=1);

namespace App\Manufacturing\Models;

use Illuminate\Database\Eloquent\Model;

/**
 * Where operations are done. Never deleted: what once named it keeps its name.
 *
 * @property int $id
 * @property string $plant
 * @property string $code as files and planning name it; it stays
 * @property string $name
 * @property int $rate of an hour, in ten-thousandths of the currency
 * @property bool $retired
 * @property int $version
 */
final class WorkCentre extends Model
{
    public $timestamps = false;

    protected $casts = ['retired' => 'boolean'];
}
