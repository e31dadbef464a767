<?php

declare(strict_types=1);

namespace App\People\Models;

use Illuminate\Database\Eloquent\Model;
use Orthotaxis\Core\Rights\Role as Rule;

/**
 * What people of a role may do, and where. Never deleted: who was asked, or acted, under it stays readable.
 *
 * @property int $id
 * @property string $code
 * @property string $name
 * @property list<string> $abilities
 * @property list<string> $plants  codes; empty: all
 * @property list<string> $categories  codes, each with all below it; empty: all
 * @property bool $second_factor  whether its people must sign in with one
 * @property bool $retired
 * @property int $version
 */
final class Role extends Model
{
    public $timestamps = false;

    protected $guarded = [];

    protected $casts = [
        'abilities' => 'array',
        'plants' => 'array',
        'categories' => 'array',
        'second_factor' => 'boolean',
        'retired' => 'boolean',
    ];

    /** Nothing of a retired one. */
    public function rule(): Rule
    {
        return new Rule($this->retired ? [] : $this->abilities, $this->plants, $this->categories);
    }
}
