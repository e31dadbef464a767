<?php

declare(strict_types=1);

namespace App\ChangeNotices\Models;

use Illuminate\Database\Eloquent\Builder;
use Illuminate\Database\Eloquent\Model;

/**
 * To whom notices of which changes go.
 *
 * @property int $id
 * @property string $code
 * @property string $name
 * @property list<string> $plants codes; none: any
 * @property list<string> $products numbers; none: any
 * @property list<string> $categories codes; none: any
 * @property list<string> $recipients sign-in names, and groups as group: and their code
 * @property bool $acknowledge
 * @property ?int $days
 * @property bool $retired
 * @property int $version
 */
final class DistributionList extends Model
{
    public $timestamps = false;

    protected $guarded = [];

    protected $casts = [
        'plants' => 'array',
        'products' => 'array',
        'categories' => 'array',
        'recipients' => 'array',
        'acknowledge' => 'boolean',
        'retired' => 'boolean',
    ];

    /** @return Builder<self> those by which notices go out */
    public static function inUse(): Builder
    {
        return self::query()->where('retired', false)->orderBy('name');
    }
}
