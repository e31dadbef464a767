<?php

declare(strict_types=1);

namespace App\Structures\Models;

use Illuminate\Database\Eloquent\Model;

/**
 * What is usually done with one kind of supply of the items of a category.
 *
 * @property int $category_id
 * @property string $kind
 * @property string $disposition
 * @property ?int $per_unit ten-thousandths of the currency unit for one unit; null: as usual
 */
final class UsualDisposition extends Model
{
    public $incrementing = false;

    public $timestamps = false;

    protected $table = 'category_dispositions';
}
