<?php

declare(strict_types=1);

namespace App\Structures\Models;

use Illuminate\Database\Eloquent\Model;
use Orthotaxis\Core\Revision\Sequence;

/**
 * @property int $id
 * @property string $code
 * @property string $name
 * @property Sequence $sequence the revision sequence of its items
 */
final class Category extends Model
{
    public $timestamps = false;

    protected $casts = ['sequence' => Sequence::class];
}
