<?php

declare(strict_types=1);

namespace App\People\Models;

use Illuminate\Database\Eloquent\Model;

/**
 * A page that somebody keeps at hand. Its address holds all of the view: filters, columns' order, day.
 *
 * @property int $id
 * @property int $person_id
 * @property string $address
 * @property string $name
 */
final class Favourite extends Model
{
    public $timestamps = false;
}
