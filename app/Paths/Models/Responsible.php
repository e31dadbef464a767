<?php

declare(strict_types=1);

namespace App\Paths\Models;

use Illuminate\Database\Eloquent\Model;

/**
 * Who is responsible for something that changes touch: the owner of the items of a category, the planner of a plant.
 *
 * @property string $field category or plant
 * @property string $code
 * @property string $who a sign-in name, or group: and a code
 */
final class Responsible extends Model
{
    public $timestamps = false;

    public $incrementing = false;

    protected $table = 'responsible';

    protected $guarded = [];
}
