<?php

declare(strict_types=1);

namespace App\Problems\Models;

use Illuminate\Database\Eloquent\Model;

/**
 * A request by its number, where no more of it counts: a view of the requests.
 *
 * @property int $id
 * @property string $number
 */
final class NamedRequest extends Model
{
    protected $table = 'request_numbers';

    public $timestamps = false;
}
