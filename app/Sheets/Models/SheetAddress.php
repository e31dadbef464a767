<?php

declare(strict_types=1);

namespace App\Sheets\Models;

use App\Documents\Models\ItemFile;
use Carbon\CarbonImmutable;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;

/**
 * A private address under which somebody without an account learns what a sheet is worth today.
 *
 * @property int $id
 * @property string $file_id
 * @property string $key
 * @property string $key_hash
 * @property ?int $made_by
 * @property CarbonImmutable $made_at
 * @property ?int $withdrawn_by
 * @property ?CarbonImmutable $withdrawn_at
 * @property-read ItemFile $file
 */
final class SheetAddress extends Model
{
    public $timestamps = false;

    protected $guarded = [];

    protected $casts = ['key' => 'encrypted', 'made_at' => 'immutable_datetime', 'withdrawn_at' => 'immutable_datetime'];

    public static function hash(string $key): string
    {
        return hash('sha256', $key);
    }

    public static function ofKey(string $key): ?self
    {
        return self::query()->where('key_hash', self::hash($key))->first();
    }

    public static function inUse(string $file): ?self
    {
        return self::query()->where('file_id', $file)->whereNull('withdrawn_at')->first();
    }

    public function url(): string
    {
        return url("/s/{$this->key}");
    }

    /** @return BelongsTo<ItemFile, $this> */
    public function file(): BelongsTo
    {
        return $this->belongsTo(ItemFile::class, 'file_id');
    }
}
