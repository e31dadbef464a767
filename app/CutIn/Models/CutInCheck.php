<?php

declare(strict_types=1);

namespace App\CutIn\Models;

use Carbon\CarbonImmutable;
use Illuminate\Database\Eloquent\Model;

/**
 * Whether a chosen day is still good with what planning told last.
 *
 * @property int $cut_in_id
 * @property CarbonImmutable $checked_at
 * @property string $fault why it is not; empty: it is
 * @property ?string $best_on the best day now
 */
final class CutInCheck extends Model
{
    public $timestamps = false;

    public $incrementing = false;

    protected $primaryKey = 'cut_in_id';

    protected $guarded = [];

    protected $casts = ['checked_at' => 'immutable_datetime'];
}
