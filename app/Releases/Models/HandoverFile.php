<?php

declare(strict_types=1);

namespace App\Releases\Models;

use Illuminate\Database\Eloquent\Model;
use Orthotaxis\Core\Handover\Format;

/**
 * @property int $id
 * @property int $handover_id
 * @property Format $format
 * @property string $content
 * @property string $sha256
 */
final class HandoverFile extends Model
{
    public $timestamps = false;

    protected $casts = ['format' => Format::class];
}
