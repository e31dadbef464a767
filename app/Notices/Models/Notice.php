<?php

declare(strict_types=1);

namespace App\Notices\Models;

use App\Notices\ToldAct;
use Carbon\CarbonImmutable;
use Illuminate\Database\Eloquent\Model;

/**
 * Something that happened to a change, of which people are told.
 *
 * @property int $id
 * @property ToldAct $act
 * @property string $change number of the report, request, order or item; empty: it is of none
 * @property string $path of the page on which it is seen
 * @property string $title of the change, as it was then, or the name of what it is about
 * @property string $about what was said, or which task
 * @property string $actor sign-in name of who did it, or the name of a system
 * @property CarbonImmutable $happened_at
 */
final class Notice extends Model
{
    public $timestamps = false;

    protected $casts = ['act' => ToldAct::class, 'happened_at' => 'immutable_datetime'];

    /** The number of the change, or the name of what it is about. */
    public function called(): string
    {
        return $this->change === '' ? $this->title : $this->change;
    }
}
