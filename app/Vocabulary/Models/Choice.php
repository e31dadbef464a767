<?php

declare(strict_types=1);

namespace App\Vocabulary\Models;

use Illuminate\Database\Eloquent\Model;

/**
 * Never deleted: what was once chosen keeps its name.
 *
 * @property int $id
 * @property string $list of ChoiceList
 * @property string $code as records, files and planning name it; it stays
 * @property string $name as people read it
 * @property bool $retired whether it is offered no longer
 * @property int $version
 */
final class Choice extends Model
{
    public $timestamps = false;

    protected $guarded = [];

    protected $casts = ['retired' => 'boolean'];
}
