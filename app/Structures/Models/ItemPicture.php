<?php

declare(strict_types=1);

namespace App\Structures\Models;

use Illuminate\Database\Eloquent\Model;

/**
 * The file by which an item is told at a glance: a view of what is drawn of it.
 *
 * @property int $item_id
 * @property string $file_id
 */
final class ItemPicture extends Model
{
    protected $table = 'item_pictures';

    protected $primaryKey = 'item_id';

    public $incrementing = false;

    public $timestamps = false;
}
